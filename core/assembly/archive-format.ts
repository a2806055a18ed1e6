/** Marks a decision with everything that is kept about it. */
export const ARCHIVE_FORMAT = 'venalis.workbench';

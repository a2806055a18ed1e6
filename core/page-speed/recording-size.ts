/** The largest recording that is read, in bytes. */
export const LARGEST_RECORDING = 60_000_000;

/** What is said of a file that is too large to be read. */
export function tooLarge(bytes: number): string {
  return `The file has ${Math.round(bytes / 1e6)} MB; up to ${LARGEST_RECORDING / 1e6} MB are read. Save it again without the contents of the answers, or record one page only.`;
}

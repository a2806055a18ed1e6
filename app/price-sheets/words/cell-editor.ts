// The words of this screen, in the order in which they stand there.

export const cellEditor = {
  nothingIsReadFromThisYet: 'Nothing is read from this yet.',
  nothingIsReadFromThis: 'Nothing is read from this.',
  isNotUnderstood: (text: string) => `“${text}” is not understood.`,
};

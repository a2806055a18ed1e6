// The words of this screen, in the order in which they stand there.

export const pageLines = {
  notUnderstood: 'not understood',
  askedAbove: 'asked above',
};

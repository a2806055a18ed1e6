// The words of this screen, in the order in which they stand there.

export const standingStrip = {
  theAnswerSoFar: 'The answer so far',
};

// The words of this screen, in the order in which they stand there.

export const clauseList = {
  noneOfTheseLeave: 'none of these, leave it out',
  cannotBe: (why: string) => `cannot be: ${why}`,
  isNotUnderstoodAndLeft: 'is not understood, and left out',
  isLeftOut: (text: string) => `“${text}” is left out`,
};

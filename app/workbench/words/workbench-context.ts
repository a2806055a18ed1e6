// The words of this screen, in the order in which they stand there.

export const workbenchContext = {
  noDecisionIsOpenHere: 'No decision is open here',
};

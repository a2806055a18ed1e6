// The words of this screen, in the order in which they stand there.

export const gridSheet = {
  thisPlan: 'this plan',
};

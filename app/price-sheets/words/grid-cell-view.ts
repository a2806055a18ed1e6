// The words of this screen, in the order in which they stand there.

export const gridCellView = {
  hasAQuestion: 'has a question',
  beingCompared: 'Being compared',
};

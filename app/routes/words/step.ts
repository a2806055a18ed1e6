// The words of this screen, in the order in which they stand there.

export const step = {
  thisDecisionDoesNotExist: 'this decision does not exist any more',
  onlyUndoAndRedo: 'Only undo and redo are sent here.',
};

// The words of this screen, in the order in which they stand there.

export const shortcuts = {
  undoUndo: (undo: string) => `Undo: ${undo}`,
  nothingToUndo: 'Nothing to undo',
  undo: 'undo',
  redoRedo: (redo: string) => `Redo: ${redo}`,
  nothingToRedo: 'Nothing to redo',
  redo: 'redo',
  keys: 'Keys',
};

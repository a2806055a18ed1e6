// The words of this screen, in the order in which they stand there.

export const columnHead = {
  moved: (column: string) => `${column} moved`,
  whatThisCandidateIsPut: 'What this candidate is put together from; Alt and an arrow key, or dragging, moves it',
  keepInViewColumn: (column: string) => `Keep ${column} in view`,
  letGo: 'let go',
  keptInView: 'kept in view',
  keepInView: 'keep in view',
  moveColumn: (column: string) => `Move ${column}`,
  move: 'move',
  foldAwayColumn: (column: string) => `Fold ${column} away`,
  foldedAway: (column: string) => `${column} folded away`,
  foldAway: 'fold away',
};

// The words of this screen, in the order in which they stand there.

export const keyList = {
  keys: 'Keys',
  alt: (index: number) => `Alt + ${index}`,
  alt0: 'Alt + 0',
  typeWhatYouWant: 'type what you want to do or where to go',
  ctrlZ: 'Ctrl + Z',
  undoOutsideTextFields: 'undo, outside text fields',
  ctrlShiftZ: 'Ctrl + Shift + Z',
  redo: 'redo',
  enter: 'Enter',
  onAFigureHow: 'on a figure: how it came about',
  arrowsEnterF2Space: 'arrows, Enter, F2, Space',
  onAPriceSheet: 'on a price sheet: move, edit a cell, go through not known, nothing, no limit, not offered; typing begins a figure',
  arrowsPageUpAndDown: 'arrows, Page up and down, digits',
  onTheSalesScale: 'on the sales scale: another level of sales; Escape goes back to your forecast',
  altArrows: 'Alt + arrows',
  onACandidatesName: 'on a candidate’s name in the comparison: move it to the left or right',
  inAPriceNotKnown: 'in a price: not known; outside text fields: this list',
  close: 'Close',
};

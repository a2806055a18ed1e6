// The words of this place, screen by screen, in the order in which they stand there.

export const commandDialog = {
  typeWhatYouWant: 'Type what you want to do (Alt + 0)',
  do: 'do',
  whatCanBeDone: 'What can be done',
};

export const commandList = {
  whatDoYouWant: 'What do you want to do, or where to go?',
  whatCanBeDone: 'What can be done',
  nothingIsCalledThatTry: 'Nothing is called that; try one word of it.',
  toChooseFromEnter: (found: number) => `${found} to choose from; Enter does the marked one.`,
};

export const commands = {
  undo: (step: string) => `Undo: ${step}`,
  redo: (step: string) => `Redo: ${step}`,
  lastChange: 'last change',
  place: 'place',
  goTo: (place: string) => `Go to ${place}`,
  goToName: (name: string) => `Go to ${name}`,
  openThePricesOf: (sheet: string) => `Open the prices of ${sheet}`,
  priceSheet: 'price sheet',
  expectedSales: 'expected sales',
  lookAtTheSales: (name: string) => `Look at the ${name} sales`,
  file: 'file',
  takeTheFiguresAlong: 'Take the figures along as a spreadsheet',
  takeThisDecisionAlong: 'Take this decision along as a file',
  putTheDatesInYourCalendar: 'Put the dates in your calendar',
  goToAllYourDecisions: 'Go to all your decisions',
  lookWhetherPricesHave: 'Look whether prices have changed',
  priceWatch: 'price watch',
  backUpOrBring: 'Back up or bring back your data',
  yourData: 'your data',
  readHowItIsWorked: 'Read how it is worked out',
  help: 'help',
  showTheKeys: 'Show the keys',
};

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

// The words of this screen, in the order in which they stand there.

export const newerSheetNotice = {
  theNewest: (sheet: string) => `the newest ${sheet}`,
  thisSheetWasChanged: 'This sheet was changed from another decision since; here it stands as this decision used it.',
  useTheNewest: 'Use the newest',
};

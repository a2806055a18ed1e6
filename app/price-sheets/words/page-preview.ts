// The words of this screen, in the order in which they stand there.

export const pagePreview = {
  theSheetAsItWould: 'The sheet as it would stand',
  plans: 'Plans',
  addOns: 'Add-ons',
};

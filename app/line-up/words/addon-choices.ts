// The words of this screen, in the order in which they stand there.

export const addonChoices = {
  anAddOn: 'an add-on',
  addOns: 'Add-ons',
  withoutAName: 'without a name',
  hasNoPriceYet: 'has no price yet',
  isPaid: (addon: string) => `${addon} is paid`,
  it: 'it',
  howManyOf: (addon: string) => `How many of ${addon}`,
  aNumberOfUnits: 'a number of units',
};

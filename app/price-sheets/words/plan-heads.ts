// The words of this screen, in the order in which they stand there.

export const planHeads = {
  whatIsStated: 'What is stated',
  nameOf: (what: string, index: number) => `Name of ${what} ${index}`,
  theName: 'the name',
  currencyOf: (part: string) => `Currency of ${part}`,
  theCurrency: 'the currency',
  whetherTaxIsInThePrices: 'whether tax is in the prices',
  plusTax: 'plus tax',
  copiesItToTheRight: 'Copies it to the right, so that only what differs has to be typed',
  plan: (index: number) => `plan ${index}`,
  copyToTheRight: (part: string) => `Copy ${part} to the right`,
  aPlanCopied: 'a plan copied',
  copy: 'copy →',
  removePart: (part: string) => `Remove ${part}`,
  the: (what: string) => `the ${what}`,
  removed: (part: string) => `${part} removed`,
  remove: 'remove',
  aPlanAdded: 'a plan added',
  anAddOnAdded: 'an add-on added',
};

// The words of this screen, in the order in which they stand there.

export const sheetHead = {
  paymentProcessor: 'Payment processor',
  theName: 'the name',
  kind: 'Kind',
  theKindOfVendor: 'the kind of vendor',
  worksWith: 'Works with',
  everyVendor: 'every vendor',
  whatItWorksWith: 'what it works with',
  seenOn: 'Seen on',
  theDayItWas: 'the day it was seen',
  export: 'export',
  aPriceSheet: 'a price sheet',
  remove: 'remove',
};

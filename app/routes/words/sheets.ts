// The words of this screen, in the order in which they stand there.

export const sheets = {
  questions: (number: number) => `${number} ${number === 1 ? 'question' : 'questions'}`,
  priceSheets: 'Price sheets',
  withoutANameYet: 'Without a name yet',
  lookAtPricingPages: 'Look at pricing pages again',
  addAVendor: 'Add a vendor',
  addAPaymentProcessor: 'Add a payment processor',
  suchAsATheme: 'Such as a theme or a plug-in that works with several platforms',
  addAnAddOnSold: 'Add an add-on sold by others',
  useASheetYou: 'Use a sheet you have',
  choose: 'choose …',
  withoutAName: 'Without a name',
  notKnown: (gaps: number) => `${gaps} not known`,
  seen: (seen: string) => `seen ${seen}`,
  notDated: 'not dated',
};

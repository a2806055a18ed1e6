// The words of this screen, in the order in which they stand there.

export const sheetForm = {
  whatThePageSays: 'what the page says',
  prices: 'Prices',
  pricesOfAddOns: 'Prices of add-ons',
  priceSheet: 'Price sheet',
  whatWasPasted: 'what was pasted',
  itsFeesCountForCandidates: 'Its fees count for candidates that take their payments through it: choose that in the comparison.',
  addOns: 'Add-ons',
  addOnsOfThisVendor: 'Add-ons of this vendor',
  anAddOnIsCounted: 'An add-on is counted for a candidate once the candidate takes it. A limit here is what each one adds to the plan’s.',
};

// The words of this screen, in the order in which they stand there.

export const vendorTable = {
  vendor: 'Vendor',
  withoutANameYet: 'Without a name yet',
  bestForYou: 'Best for you',
  itsPlan: 'its plan',
  noneOfItsPlans: 'none of its plans yet',
  workingItOut: 'working it out …',
  aMonthNow: 'A month, now',
  atRenewal: 'at renewal',
  cardFee: 'Card fee',
  salesFee: 'Sales fee',
  allInAnOrder: 'All in, an order',
  everythingTheVendorTakes: 'Everything the vendor takes over the whole horizon, divided by the orders you expect',
  seen: 'Seen',
  notDated: 'not dated',
  open: 'Open',
};

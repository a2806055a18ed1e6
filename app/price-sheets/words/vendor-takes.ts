// The words of this screen, in the order in which they stand there.

export const vendorTakes = {
  aNumberOfHours: 'a number of hours',
  yourHoursWithThisVendor: 'your hours with this vendor',
  whatThisVendorTakes: 'What this vendor takes of you, whichever plan it is',
  countedInAllThatIsProposed: 'Counted in all that is proposed for this vendor. A candidate you put together yourself states its own.',
  yourTimeToSet: 'Your time to set up',
  hours: 'hours',
  yourTimeEachMonth: 'Your time each month',
  bringsMoreOrdersThan: 'Brings more orders than the forecast',
  aPercentage: 'a percentage',
  zeroUnlessThereIsReason: '0 unless there is reason to think so',
  theLift: 'the lift',
};

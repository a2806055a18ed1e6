// The words of this screen, in the order in which they stand there.

export const vendorBlock = {
  noneOfItsPlans: 'None of its plans does alone',
  setAside: (reason: string) => `Set aside${reason}.`,
  aPlan: 'A plan',
  least: 'least',
  atLeast: 'at least',
  aProposalUsed: 'a proposal used',
  takeIt: 'Take it',
  followsIt: 'follows it',
  isJustThis: 'is just this',
  candidateWhatItIsPut: (letter: string, standing: string) => `Candidate ${letter} ${standing}: what it is put together from`,
  itWaitsForTheExchange: (currency: string) => `It waits for the exchange rate of ${currency}`,
  itsPlansCountWhat: 'Its plans count what your sales do not state',
  itsPriceSheetHas: 'Its price sheet has no plan',
};

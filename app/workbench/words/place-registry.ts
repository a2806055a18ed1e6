// The words of this screen, in the order in which they stand there.

export const placeRegistry = {
  expectedSales: 'Expected sales',
  whatYouExpect: 'What you expect',
  pastOrders: 'Past orders',
  whatYouNeed: 'What you need',
  whatEachPlanOffers: 'What each plan offers',
  beyondPrice: 'Beyond price',
  trialDiary: 'Trial diary',
  pageSpeed: 'Page speed',
  priceSheets: 'Price sheets',
  sideBySide: 'Side by side',
  fitAndCost: 'Fit and cost',
  whatIf: 'What if',
  reportAndFiles: 'Report and files',
};

// The words of this screen, in the order in which they stand there.

export const guide = {
  guideOnOnePage: 'Guide on one page · Venalis',
  fromPricingPagesToAVerdict: 'From pricing pages to a verdict',
  printThisPage: 'Print this page',
  howEverythingIsWorked: 'How everything is worked out',
  whatTheSignsMean: 'What the signs mean',
  keys: 'Keys',
};

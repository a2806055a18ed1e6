// The words of this place, screen by screen, in the order in which they stand there.

export const choiceForm = {
  oneCandidate: 'one candidate',
  twoTogether: 'two together',
  aWayWithMoves: 'a way with moves',
  theChoice: 'the choice',
  choose: 'Choose',
  theFirst: 'The first',
  candidate: 'Candidate',
  and: 'and',
  throughWhichGo: 'through which go',
  noneYet: 'none yet',
  noWayThroughThese: 'No way through these months exists.',
  whatWasChosenIsNoLonger: 'What was chosen is no longer being compared. Choose another.',
  outgrownOrLackingSomething: 'Outgrown or lacking something: the comparison says what.',
};

export const conditionsTable = {
  condition: 'Condition',
  yourForecast: 'your forecast',
  costsLeast: 'Costs least',
  total: 'Total',
  lessThanTheNext: 'Less than the next',
};

export const givenVerdict = {
  forNow: 'for now',
  everythingItRestedOn: 'Everything it rested on',
  madeFromRevisionOfThisDecision: (revision: number) => ` Made from revision ${revision} of this decision.`,
  theRevisionItWas: ' The revision it was made from is not kept here.',
  salesAMonthOrders: ({
    version,
    monthlySales,
    monthlyOrders,
    currency,
    theRevisionIt,
  }: {
    version: string;
    monthlySales: string;
    monthlyOrders: string;
    currency: string;
    theRevisionIt: string;
  }) => `${version} sales, ${monthlySales} a month (${monthlyOrders} orders), in ${currency}.${theRevisionIt}`,
  candidate: 'Candidate',
  total: 'Total',
  atLeast: 'at least ',
  standing: 'Standing',
  cannotBeChosen: 'cannot be chosen',
  seen: (seen: string) => `seen ${seen}`,
  notDated: 'not dated',
  priceSheets: (sheets: string) => `Price sheets: ${sheets}.`,
  reportOfThisVerdict: 'Report of this verdict',
  withdraw: 'Withdraw',
};

export const verdictDifference = {
  theChoiceWasAndIs: (former: string, later: string) => `The choice was ${former}, and is ${later}.`,
  theChoiceIsTheSame: 'The choice is the same.',
  theyAreInDifferent: 'They are in different currencies or over different times, so totals are not set against each other.',
  theLeadOverTheNext: (former: string, later: string) => `The lead over the next was ${former}, and is ${later}.`,
  expectedSalesWereAMonth: (former: string, later: string) => `Expected sales were ${former} a month, and are ${later}.`,
  itCameFirstInFutures: (former: string, later: string) => `It came first in ${former} futures, and comes first in ${later}.`,
  salesWereAndAre: (former: string, later: string) => `Sales were ${former}, and are ${later}.`,
  thePriceSheetOfCame: (label: string) => `The price sheet of ${label} came in.`,
  thePriceSheetOfIsNot: (label: string) => `The price sheet of ${label} is not used any more.`,
  seen: (seen: string) => `, seen ${seen}`,
  thePriceSheetOfIsA: (label: string, seen: string) => `The price sheet of ${label} is a newer one${seen}.`,
  knownSince: (settled: string) => `Known since: ${settled}.`,
  notKnownAnyMore: (newlyOpen: string) => `Not known any more: ${newlyOpen}.`,
  whatWouldChangeItFirst: (now: string) => `What would change it first: ${now}.`,
  nothingToSetAgainst: 'nothing to set against',
  notThere: 'not there',
  fromTo: (day: string, lastDay: string) => `From ${day} to ${lastDay}`,
  total: 'Total',
  difference: 'Difference',
  was: (former: string) => `was ${former}`,
  wasNotSaid: 'was not said',
  is: (later: string) => `is ${later}`,
  isNotSaidAny: 'is not said any more',
};

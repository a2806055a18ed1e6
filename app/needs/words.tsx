import type { ReactNode } from 'react';
// The words of this place, screen by screen, in the order in which they stand there.

export const answerForm = {
  theAnswer: 'The answer',
  nobodyKnowsYet: 'nobody knows yet',
  thePlanItselfSays: 'The plan itself says',
  soManySeeBelow: 'so many, see below',
  notKnown: 'not known',
  itHasIt: 'it has it',
  yes: 'yes',
  itIsWithout: 'it is without',
  no: 'no',
  handsItsDataOnOnly: 'hands its data on only',
  takesDataOverOnly: 'takes data over only',
  howMany: (need: string) => `How many ${need}`,
  aNumber: 'a number',
  evidence: 'Evidence',
  sayMoreAboutIt: 'Say more about it',
  onThePriceSheet: 'on the price sheet',
  asAnAddOn: 'As an add-on …',
  oneThatIsOnTheSheet: 'One that is on the sheet',
  choose: 'choose …',
  orANewOne: 'Or a new one',
  itsName: 'its name',
  byTheMonth: 'By the month',
  anAmountOrIf: 'an amount, or ? if it is not known',
  addItToTheSheet: 'Add it to the sheet',
};

export const answersTable = {
  whatPlansSayToNeeds: 'What plans say to needs',
  withoutAName: 'Without a name',
  toFindOut: (open: number) => `${open} to find out`,
  allAnswered: 'all answered',
  aPlan: 'a plan',
  must: 'must',
  weight: (number: string) => `weight ${number}`,
  notKnown: 'not known',
};

export const expectedLimits = {
  limitsFromExpectedSales: 'Limits from expected sales',
  whatSalesAskForByThemselves: 'What sales ask for by themselves',
  noPriceSheetStates: 'No price sheet states a limit of something that expected sales count.',
  youWillHaveIn: (most: ReactNode, quantity: string, month: string) => (
    <>
      You will have {most} {quantity} in {month}.
    </>
  ),
  outgrownIn: (month: string) => `outgrown in ${month}`,
  goesTo: (plan: string, limit: string, outgrownIn: ReactNode) => (
    <>
      {plan} goes to {limit}: {outgrownIn}
    </>
  ),
  everyPlanCoversThis: 'Every plan covers this.',
  expectedSales: 'expected sales',
  theyFollowNothingHas: (expectedSales: ReactNode) => <>They follow {expectedSales}; nothing has to be listed for them.</>,
};

export const findOutList = {
  toFindOut: 'To find out',
  thisCouldNotBeWorked: (problem: string) => `This could not be worked out: ${problem}`,
  workingItOut: 'Working it out …',
  nothingEveryNeedIsAnswered: 'Nothing: every need is answered and every price is known.',
  noneOfThemCould: 'None of them could change the result.',
  one: 'One',
  itStands: 'it stands',
  theyStand: 'they stand',
  ofThemCouldChange: (questions: string | number, theyStand: string) => `${questions} of them could change the result; ${theyStand} first.`,
  inAll: (questions: number, noneOfThem: string) => `${questions} in all. ${noneOfThem}`,
  theFirstOnesOnly: 'the first ones only',
  all: (questions: number) => `all ${questions}`,
  couldMakeItTheOne: 'could make it the one that fits best',
  nothingCanBeUsed: 'nothing can be used yet; this could',
  ifItDoesUp: (amount: string) => `if it does, up to ${amount} below the cheapest`,
  withoutItBelowTheCheapest: (amount: string) => `without it ${amount} below the cheapest`,
};

export const needRow = {
  handsItsDataOn: 'hands its data on',
  takesDataOver: 'takes data over',
  bothWays: 'both ways',
  aWeight1To5: 'a weight, 1 to 5 as a rule',
  aNumber: 'a number',
  atLeast: 'At least',
  whichWay: 'Which way',
  level: 'Level',
  must: 'must',
  wouldLike: 'would like',
  weight: 'Weight',
  rulesOut: (weight: ReactNode) => <>{weight} rules out</>,
  from: 'From',
  theStart: 'the start',
  why: 'Why',
  soThatYouKnow: 'so that you know later',
  afterTheHorizonDoes: 'after the horizon: does not count yet.',
  notKnown: (unknown: number) => `, ${unknown} not known`,
  ofPlans: (met: number, plans: number, unknown: ReactNode) => (
    <>
      {met} of {plans} plans{unknown}
    </>
  ),
  removeName: (name: string) => `Remove: ${name}`,
  remove: 'remove',
  mustNotBeThere: 'Must not be there',
  connectsWith: 'Connects with',
};

export const newNeed = {
  isThere: 'is there',
  atLeastSoMany: 'at least so many',
  connectsWithSomethingI: 'connects with something I keep',
  mustNotBeThere: 'must not be there',
  theBookkeeping: 'the bookkeeping',
  aNeed: 'a need',
  somethingElseItMust: 'Something else it must or should do',
  giftCards: 'gift cards',
  which: 'Which',
  add: 'Add',
  isOnTheList: (same: string) => `“${same}” is on the list already.`,
};

export const starterSets = {
  needsToBeginWith: 'Needs to begin with',
  iSell: 'I sell …',
  nothingThatIsNotOnThe: 'Nothing that is not on the list already.',
  changeOfNeeds: 'needs to begin with',
  takeThem: 'Take them',
  takeThese: (fresh: number) => `Take these ${fresh}`,
};

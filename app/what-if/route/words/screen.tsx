import type { ReactNode } from 'react';
// The words of this screen, in the order in which they stand there.

export const screen = {
  route: 'Route',
  theSameInFigures: 'The same in figures',
  whatMovingCosts: 'What moving costs',
  eachStayCostsWhat:
    'Each stay costs what it costs when joined and left in those months; what is paid ahead and not used is lost unless the vendor gives it back. A vendor once left is not joined again. Found by trying every way there is, not by a rule of thumb.',
  theWayThroughTheMonths: 'The way through the months',
  ofMonthsFrom: ({ name, length, months, from }: { name: string; length: number; months: number; from: string }) =>
    `${name}, ${length} of ${months} months from ${from}`,
  month: 'month',
  months: 'months',
  fromFrom: (from: string, number: number, months: string) => `from ${from}, ${number} ${months}`,
  theNearestWayWithAMove: 'The nearest way with a move',
  ifYouMovedAll: 'If you moved all the same',
  movingAQuarterLater: 'Moving a quarter later is not possible: by then a plan is outgrown, or the months are over.',
  theSame: 'the same',
  more: ' more',
  less: ' less',
  movingAQuarterLaterCosts: (theSame: ReactNode, more: ReactNode, total: string) => (
    <>
      Moving a quarter later costs {theSame}
      {more}: {total}.
    </>
  ),
  from: 'From',
  with: 'With',
  monthsHead: 'Months',
  changeOfMovingCosts: 'what moving costs',
  toAnotherPlan: 'To another plan',
  toAnotherVendor: 'To another vendor',
  yourHours: (toAnotherVendor: string) => `${toAnotherVendor}: your hours`,
  hours: 'hours',
  money: (toAnotherVendor: string) => `${toAnotherVendor}: money`,
  anAmountIn: (currency: string) => `an amount in ${currency}`,
  togetherAMove: (money: string) => `together ${money} a move`,
  toAnotherPlanOfTheSame: 'To another plan of the same vendor',
  subscribersLostByMoving: 'Subscribers lost by moving to another vendor',
  aPercentageFrom0: 'a percentage from 0 to 100',
  theyHaveToSign: 'they have to sign up again',
  theyWouldHaveBrought: (lost: string) => `They would have brought ${lost}.`,
  theBestWayIsTheOne: 'The best way is the one that',
  whoTakesPart: 'Who takes part',
  is: 'is',
  are: 'are',
  leftOutAMove: (without: string, are: string) =>
    `${without} ${are} left out: a move from another plan of the same vendor would skip what is paid once for it.`,
  atMostSoMany: 'At most so many moves to another vendor',
  aNumberOfMoves: 'a number of moves',
};

import type { ReactNode } from 'react';
import type { ComparedBy } from '#core/decision-file/compared-by';
import type { NearestMove } from '#core/what-if/nearest-move';
import type { PricedOwnWay, WayObstacle } from '#core/what-if/own-way';
import type { RoutePlan } from '#core/what-if/route-plan';
import type { Writer } from '../../locale/writer';

/** "Begin with Brindle Shop and move to Marlpit Grow in April 2028: 6,800 over 36 months, 249 less than Marlpit Grow throughout." */
export function routeSentence(
  { segments, total, kept, single, saving }: RoutePlan,
  nameOf: (id: string | null) => string,
  write: Writer,
): string {
  const [first, ...later] = segments;
  if (!first || total === null) return '';
  const costs = costsWords(total, kept, write);
  if (later.length === 0) return `Moving does not pay: stay with ${nameOf(first.candidate)} throughout, ${costs}.`;
  const moves = movesWords(later, nameOf, write);
  const gain =
    single && saving !== null
      ? `, ${write.amount(saving)} ${kept === null ? 'less' : 'better'} than ${nameOf(single.candidate)} throughout`
      : '; no single candidate can be used throughout';
  return `Begin with ${nameOf(first.candidate)}, ${moves}: ${costs}${gain}.`;
}

/** "The nearest is to begin with Brindle Shop and move to Marlpit Grow in April 2028: 249 more than staying. It would pay if the move cost less than 331." */
export function nearestSentence(
  { segments, more, paysBelow }: NearestMove,
  by: ComparedBy,
  nameOf: (id: string | null) => string,
  write: Writer,
): string {
  const [first, ...later] = segments;
  if (!first) return '';
  const apart = by === 'keep' ? `leaves you ${write.amount(more)} less` : `costs ${write.amount(more)} more`;
  const would =
    paysBelow === null
      ? 'It would not pay even if moving cost nothing.'
      : `It would pay if the move cost less than ${write.amount(paysBelow)}.`;
  return `The nearest is to begin with ${nameOf(first.candidate)} and ${movesWords(later, nameOf, write)}: that ${apart} than staying. ${would}`;
}

const OBSTACLE_WORDS: Readonly<Record<WayObstacle['kind'], string>> = {
  gone: 'Somebody on this way is no longer compared: choose another.',
  months: 'Each move has to come after the one before, and within the months you plan for.',
  impossible: 'This way is not possible: somebody on it is outgrown, lacks a must, or has a price that is not known in those months.',
};

/** "Begin with Alder and move to Birch in February 2027: 6,912 in all, 73 more than the best throughout." */
export function ownWaySentence(
  { stays, total, kept, worse, obstacle }: PricedOwnWay,
  nameOf: (id: string | null) => string,
  write: Writer,
): string {
  const [first, ...later] = stays;
  if (obstacle) return OBSTACLE_WORDS[obstacle.kind];
  if (!first || total === null) return '';
  const costs = costsWords(total, kept, write);
  return `Begin with ${nameOf(first.candidate)}, ${movesWords(later, nameOf, write)}: ${costs}${againstBest(worse, kept !== null, write)}.`;
}

function againstBest(worse: string | null, isByKeep: boolean, write: Writer): string {
  if (worse === null) return '; nobody can be used throughout';
  if (Number(worse) === 0) return ', the same as the best throughout';
  const apart = write.amount(worse.replace('-', ''));
  const isWorse = Number(worse) > 0;
  if (isByKeep) return `, ${apart} ${isWorse ? 'less left' : 'more left'} than with the best throughout`;
  return `, ${apart} ${isWorse ? 'more' : 'less'} than the best throughout`;
}

/** "6,800 in all", or by what is kept "5,460 is kept, 540 paid". */
function costsWords(total: string, kept: string | null, write: Writer): string {
  return kept === null ? `${write.amount(total)} in all` : `${write.amount(kept)} is kept, ${write.amount(total)} paid`;
}

function movesWords(later: RoutePlan['segments'], nameOf: (id: string | null) => string, write: Writer): string {
  return later.map(({ candidate, from }) => `move to ${nameOf(candidate)} in ${write.month(from)}`).join(', then ');
}

export const firstMoveChart = {
  notPossible: 'not possible',
  moveIn: (month: string, notPossible: string) => `move in ${month}: ${notPossible}`,
  bestMonth: 'best month',
  theBestMonthToMove: 'The best month to move',
  movingOnlyInWould: (month: string, more: string) => ` Moving only in ${month} would cost ${more} more.`,
  isTheBestMonth: (best: string, name: string, more: ReactNode) => (
    <>
      {best} is the best month to move to {name}.{more}
    </>
  ),
  whatTheWayCosts: 'What the way costs by the month of the first move; the figures stand in the table below',
  monthByMonth: 'Month by month',
  month: 'Month',
  cost: 'Cost',
  notPossibleOutgrown: 'not possible: outgrown',
};

export const ownWays = {
  aWayAdded: 'a way added',
  waysOfYourOwn: 'Ways of your own',
  aWayOfYourOwn: 'A way of your own',
  oneMonthFirstThen:
    'One month first, then the year; the small plan now, the big one in spring. Open another plan or term of a vendor in the comparison to have it here.',
  putAWayTogether: 'Put a way together',
  workingItOut: 'Working it out …',
  beginWith: 'Begin with',
  then: 'Then',
  noLongerCompared: 'no longer compared',
  whoIsOnTheWay: 'who is on the way',
  from: 'from',
  whenTheWayMoves: 'when the way moves',
  aMoveAdded: 'a move added',
  moveOnceMore: 'move once more',
  aMoveRemoved: 'a move removed',
  leaveOutTheLast: 'leave out the last move',
  aWayRemoved: 'a way removed',
  removeThisWay: 'remove this way',
};

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
  months2: 'Months',
  whatMovingCosts2: 'what moving costs',
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

import { type BreakEvenPoint, nearestPoint, type PairBreakEven, percentOfForecast } from '#core/what-if/break-evens';
import type { LevelInUnit } from '#core/what-if/level-in-units';
import type { Writer } from '../../locale/writer';
import { COMPARED_WORDS, type ComparedWords } from '../../locale/compared-words';

/** Both names of a pair. */
export interface PairNames {
  readonly a: string;
  readonly b: string;
}

/** The verdict on a pair in a sentence; “always” and “never” are said as such. */
export function pairSentence(
  pair: PairBreakEven,
  nameOf: (id: string) => string,
  lowest: string,
  highest: string,
  write: Writer,
  compared: ComparedWords = COMPARED_WORDS.cost,
): string {
  const { a, b, points, now } = pair;
  const range = `between ${write.amount(lowest)} and ${write.amount(highest)} a month`;
  if (points.length === 0 && now === null) return `${nameOf(a)} and ${nameOf(b)} always cost the same, at every level of sales ${range}.`;
  if (points.length === 0 && now !== null)
    return `${nameOf(now)} ${compared.isAlwaysBetter}: ${nameOf(now === a ? b : a)} is never cheaper, at any level of sales ${range}.`;
  const [point] = points;
  if (points.length === 1 && point)
    return `${nameOf(point.below)} ${compared.isBetter} below ${levelWords(point, write)}, ${nameOf(point.above)} above. ${whenWords(point, write)}`;
  const nearest = nearestPoint(points);
  return `They change places ${points.length} times. ${nearest ? `Nearest to your forecast, ${nameOf(nearest.above)} takes over from ${levelWords(nearest, write)}. ${whenWords(nearest, write)}` : ''}`.trim();
}

/** "5,900 a month (124 orders, 23% more than expected)". */
export function levelWords({ monthlySales, monthlyOrders, scale }: BreakEvenPoint, write: Writer): string {
  const percent = percentOfForecast(scale);
  const beside =
    Number(percent) === 0
      ? 'about what you expect'
      : `${write.percent(percent.replace('-', ''), 0)} ${Number(percent) > 0 ? 'more' : 'less'} than expected`;
  return `${write.amount(monthlySales)} a month (${write.orders(monthlyOrders)} orders, ${beside})`;
}

/** "Reached in August 2027 at this growth." */
export function whenWords({ reached, scale }: BreakEvenPoint, write: Writer): string {
  if (reached === null) return 'No month of this forecast reaches that.';
  const when = `Your sales reach that in ${write.month(reached.month)} at this growth`;
  if (reached.stays) return `${when}.`;
  return `${when}, for the first time; ${scale > 1 ? 'later months fall below it again' : 'some months stay below it'}.`;
}

/** What a level is counted in: "sales, EUR", "orders, all", "Video club", "Video club, members". */
export function unitWords({ unit, label }: Pick<LevelInUnit, 'unit' | 'label'>, currency: string): string {
  switch (unit) {
    case 'sales':
      return `sales, ${currency}`;
    case 'orders':
      return 'orders, all';
    case 'stream':
      return label;
    case 'members':
      return `${label}, members`;
  }
}

export const pairChart = {
  aMonth: (sales: string) => `${sales} a month`,
  salesAMonthCurrency: (currency: string) => `sales a month, ${currency}`,
  yourForecast: 'your forecast',
  leaveYou: 'leave you',
  cost: 'cost',
  whatAndByMonthly: (name: string, other: string, cost: string) =>
    `What ${name} and ${other} ${cost} by monthly sales; the figures stand in the table below`,
  theSameInFigures: 'The same in figures',
  salesAMonth: 'Sales a month',
};

export const pairMatrix = {
  always: (now: string) => `always ${now}`,
  and: (name: string, other: string) => `${name} and ${other}`,
  then: (above: string) => `then ${above}`,
  everyPair: 'Every pair',
  salesAMonthAtWhich:
    'Sales a month at which the candidate above takes over from the one at the left, or gives way to it; the one that is cheaper above that level is named.',
};

export const screen = {
  breakEven: 'Break-even',
  setAgainstAllOthers: 'Set against all others',
  against: (name: string) => `Against ${name}`,
  changesAtAMonth: 'Changes at, a month',
  orders: 'Orders',
  reached: 'Reached',
  verdict: 'Verdict',
  belowAbove: (name: string, other: string) => `below ${name}, above ${other}`,
  times: (points: number) => `${points} times`,
  everyPair: (pairs: number) => `Every pair: ${pairs}`,
  thePair: 'The pair',
  and: (name: string, other: string) => `${name} and ${other}`,
  belowThatLevelAbove: (name: string, other: string, highest: string) =>
    `Below that level ${name}, above it ${other}: once, and not again up to ${highest} a month.`,
  chooseAnotherPairInTheTable: 'Choose another pair in the table, or open every pair.',
  from: ({ point, name, isBetter, when }: { point: string; name: string; isBetter: string; when: string }) =>
    `From ${point} ${name} ${isBetter}. ${when}`,
  salesOfAMonth: (monthlySales: string) => `Sales of ${monthlySales} a month`,
  aBreakEvenIsTheLevel: (months: number) =>
    `A break-even is the level of sales at which the better one changes. It is worked out for all ${months} months together, at a twentieth of your forecast to twenty times as much, with the mix of what you sell as it is.`,
  alwaysTheSame: 'always the same',
  neverCheaper: 'never cheaper',
  notInThisForecast: 'not in this forecast',
};

export const unitsTable = {
  thatLevelInYourUnits: 'That level in your units',
  thereYouSell: 'There you sell',
  aMonth: 'a month',
  aYear: 'a year',
  inAll: 'in all',
  inMonths: (months: number) => `in ${months} months`,
};

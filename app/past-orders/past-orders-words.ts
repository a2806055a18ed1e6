import { MONTH_NAMES } from '#core/calendar/month';
import { canBeChosen } from '#core/comparison/candidate-result';
import type { Spread } from '#core/past-orders/spread';
import { isProposal } from '#core/proposals/every-vendors-best';
import type { CourseYears } from '#core/past-orders/course';
import type { ColumnRole } from '#core/past-orders/column-role';
import type { Encoding } from '#core/past-orders/export-text';
import type { Estimate, Estimated } from '#core/past-orders/estimates';
import type { KeptFile } from '#core/past-orders/kept-orders';
import type { FoundOrders } from '#core/past-orders/orders-of-rows';
import type { ReplayAnswer } from '#core/replay/replay-answer';
import type { Writer } from '../locale/writer';

/** What a column can be taken for, as a person chooses it. */
export const ROLE_WORDS: Readonly<Record<ColumnRole, string>> = {
  date: 'day of the order',
  total: 'what the customer paid',
  subtotal: 'price of the goods',
  shipping: 'shipping',
  tax: 'tax',
  discount: 'discount',
  refunded: 'what was given back',
  currency: 'currency',
  country: 'country',
  means: 'means of payment',
  channel: 'place of selling',
  number: 'order number',
  status: 'status',
  'left-out': 'not used',
};

export const ENCODING_WORDS: Readonly<Record<Encoding, string>> = {
  'utf-8': 'UTF-8',
  'utf-16le': 'UTF-16',
  'utf-16be': 'UTF-16',
  'windows-1252': 'Windows-1252',
};

export const ESTIMATED_WORDS: Readonly<Record<Estimated, string>> = {
  orders: 'Orders a month',
  growth: 'Growth a month',
  season: 'Season',
  'order-value': 'Average order value',
  'order-sizes': 'Sizes of orders',
  refunds: 'Refunded',
  cards: 'Cards',
};

const count = (write: Writer, number: number, one: string, many: string) => `${write.number(String(number))} ${number === 1 ? one : many}`;

/** How many orders a file has, and of when. */
export function foundWords({ orders, from, to }: Pick<KeptFile, 'orders' | 'from' | 'to'>, write: Writer): string {
  const when = from === to ? `of ${write.day(from)}` : `from ${write.day(from)} to ${write.day(to)}`;
  return `${count(write, orders, 'order', 'orders')} ${when}`;
}

/** What was noticed while a file was read, in sentences. */
export function noticedWords(found: Omit<FoundOrders, 'found'>, write: Writer): string[] {
  const { furtherRows, calledOff, partlyRefunded, free, strayRefunds, tooMany } = found;
  const all: ReadonlyArray<readonly [number, string]> = [
    [furtherRows, `${count(write, furtherRows, 'row belongs', 'rows belong')} to an order that stands above.`],
    [
      calledOff,
      `${count(write, calledOff, 'order was', 'orders were')} called off, failed or a test, and ${calledOff === 1 ? 'is' : 'are'} left out.`,
    ],
    [free, `${count(write, free, 'order', 'orders')} cost nothing and ${free === 1 ? 'is' : 'are'} left out.`],
    [
      partlyRefunded,
      `${count(write, partlyRefunded, 'order was', 'orders were')} refunded in part, and count${partlyRefunded === 1 ? 's' : ''} as not refunded.`,
    ],
    [strayRefunds, `${count(write, strayRefunds, 'refund is', 'refunds are')} for orders that are not in this file, and left out.`],
  ];
  const told = all.filter(([many]) => many > 0).map(([, sentence]) => sentence);
  const lists = tooMany.map(
    (column) => `The column for the ${ROLE_WORDS[column]} looks like a list of those who ordered: nothing of it is kept.`,
  );
  return [...told, ...lists];
}

/** The first sentence: who would have cost least. */
export function wouldHaveCostWords({ candidates, months, orders }: ReplayAnswer, write: Writer): string {
  const able = candidates.filter(({ result }) => canBeChosen(result));
  const [first, second] = able;
  const span = `Your ${count(write, orders, 'order', 'orders')} of ${months.length === 1 ? 'one month' : `${months.length} months`}`;
  if (!first) return `${span} could not have been sold with any candidate as it is.`;
  const isNone = isProposal(first.id) ? ', which is no candidate yet' : '';
  const least = `${span} would have cost least with ${first.label}${isNone}: ${write.amount(first.result.total)}`;
  if (!second) return `${least}.`;
  return Number(second.more) < 0.5
    ? `${least}, as much as ${second.label}.`
    : `${least}, ${write.amount(second.more)} less than ${second.label}.`;
}

/** What the forecast's average order does not show of a candidate's fees; empty where that is less than 1. */
export function averageWords(moreThanAverage: string, write: Writer): string {
  const more = Number(moreThanAverage);
  if (Math.abs(more) < 1) return '';
  return more > 0
    ? `${write.amount(moreThanAverage)} more than the average order shows`
    : `${write.amount(moreThanAverage.replace('-', ''))} less than the average order shows`;
}

/** Months without any order may be in no file that was dropped; empty where there are none. */
export function emptyMonthsWords(months: readonly string[], write: Writer): string {
  if (months.length === 0) return '';
  const named = months.length > 3 ? `${months.length} of these months` : months.map(write.month).join(' and ');
  return `There is no order of ${named}: if a file is missing, drop it here too.`;
}

/** What is expected of a month, and who costs least then. */
interface Forecast {
  readonly orders: string;
  readonly sales: string;
  readonly leader: string | null;
}

/** How these months differ from those that are expected, where another candidate costs least in them. */
export function besideForecastWords({ candidates, months, orders, salesAMonth }: ReplayAnswer, forecast: Forecast, write: Writer): string {
  const first = candidates.find(({ result }) => canBeChosen(result));
  const [was, expected] = [orders / months.length, Number(forecast.orders)];
  const amounts = `${write.whole(String(was))} orders and ${write.amount(salesAMonth)} a month, where you expect ${write.whole(forecast.orders)} and ${write.amount(forecast.sales)}`;
  if (!first || forecast.leader === null || expected === 0) return '';
  if (first.label === forecast.leader) return `They had ${amounts}; the same candidate costs least in both.`;
  return `They had ${amounts}: at what you expect, ${forecast.leader} costs least.`;
}

/** Streams that no past order belongs to cost nothing in the replay; empty where there are none. */
export function withoutOrdersWords(streams: readonly string[]): string {
  if (streams.length === 0) return '';
  return `No past order belongs to ${streams.join(' or ')}, so what ${streams.length === 1 ? 'it brings and costs is' : 'they bring and cost are'} not in these figures.`;
}

/** How many orders are expected beside those of the same months before. */
export function courseWords(years: CourseYears | null, write: Writer): string {
  if (!years || years.past === 0) return 'Past months before the expected ones';
  const percent = (Number(years.expected) / years.past - 1) * 100;
  const span = years.months === 1 ? 'the same month' : `the same ${years.months} months`;
  if (Math.abs(percent) < 0.5) return `You expect as many orders as ${span} had.`;
  return `You expect ${write.percent(Math.abs(percent).toFixed(0))} ${percent > 0 ? 'more' : 'fewer'} orders than ${span} had: ${write.whole(years.expected)} instead of ${write.whole(String(years.past))}.`;
}

/** A figure of a stream as it is typed, or as past orders have it. */
export function estimatedWords(
  { of }: Pick<Estimate, 'of'>,
  values: readonly string[],
  kinds: readonly string[],
  currency: string,
  write: Writer,
): string {
  const [first = '0'] = values;
  const words: { [Of in Estimated]: () => string } = {
    orders: () => write.orders(first),
    growth: () => `${write.percent(first)}`,
    season: () => seasonWords(values, write),
    'order-value': () => write.price(first, currency),
    'order-sizes': () =>
      values.length === 1 ? 'all alike' : `from ${write.number(first)} to ${write.number(values.at(-1) ?? '1')} times the average`,
    refunds: () => `${write.percent(first)}`,
    cards: () => values.map((value, at) => `${kinds[at] ?? ''} ${write.percent(value, 1)}`).join(', '),
  };
  return words[of]();
}

function seasonWords(factors: readonly string[], write: Writer): string {
  const numbers = factors.map(Number);
  const [least, most] = [Math.min(...numbers), Math.max(...numbers)];
  if (most - least < 0.05) return 'the same all year';
  const at = (value: number) => `${MONTH_NAMES[numbers.indexOf(value)] ?? ''} ${write.number(String(value), 2)}`;
  return `${at(least)} to ${at(most)}`;
}

/** What the estimates of a stream rest on. */
export function restsOnWords({ orders, months }: Pick<Estimate, 'orders' | 'months'>, write: Writer): string {
  return `${count(write, orders, 'order', 'orders')} in ${count(write, months, 'month', 'months')}`;
}

/** How sure an estimate is; empty where nothing can be said. */
export function sureWords({ of, give, months }: Estimate, currency: string, write: Writer): string {
  if (of === 'growth')
    return months >= 24 ? 'the same months compared over the years' : `rough: only ${months - 12} months have one a year before`;
  if (of === 'season') return months >= 24 ? 'from two years or more' : 'less than two years, so pulled towards flat';
  if (give === null) return '';
  const written = of === 'order-value' ? write.price(give, currency) : `${write.number(give, 2)}${of === 'orders' ? '' : ' points'}`;
  return `± ${written} in nine of ten cases`;
}

/** How far three months on end came out from what was to be expected of them. */
export function spreadWords({ cautious, hopeful, scatter, months }: Spread, write: Writer): string {
  const [below, above] = [write.percent(cautious.replace('-', '')), write.percent(hopeful)];
  const apart =
    scatter === '100'
      ? 'Single months lie apart as chance alone would have it.'
      : `Single months lie ${write.number(String(Number(scatter) / 100), 1)} times as far apart as chance alone would have it.`;
  return `Going by ${months} months, one stretch of three months in ten comes out ${below} below what level, growth and season say, and one in ten ${above} above. ${apart}`;
}

import { addMonths, monthOfYear, monthsBetween } from '../calendar/month';
import { shaped, withSeries } from '../decision/edit-forecast';
import type { Stream } from '../decision-file/forecast-schema';
import type { PastOrders } from '../replay/past-orders';
import { deviation, meanOf, seasonalOf } from './seasonal';

/** What of a stream is estimated. */
export type Estimated = 'orders' | 'growth' | 'season' | 'order-value' | 'order-sizes' | 'refunds' | 'cards';

/** What past orders say about a figure of a stream, beside what is typed now. */
export interface Estimate {
  readonly stream: string;
  readonly of: Estimated;
  /** Numbers as they would be typed: one, twelve factors of a season, or percentages of kinds of card and sizes. */
  readonly typed: readonly string[];
  readonly past: readonly string[];
  /** Either way in nine of ten cases, in the unit of the figure; null where that cannot be told. */
  readonly give: string | null;
  /** Orders, and months, that it rests on. */
  readonly orders: number;
  readonly months: number;
}

/** Nine of ten cases lie within so many standard errors. */
const NINE_IN_TEN = 1.645;
const LEAST_ORDERS = 5;
const SIZES = 5;

/**
 * What past orders say about the expected ones.
 *
 * @param start - the first month that is expected, `YYYY-MM`
 */
export function estimates(orders: PastOrders, streams: readonly Stream[], start: string): Estimate[] {
  return streams.flatMap((stream, place) => (stream.kind === 'subscription' ? [] : ofStream(orders, stream, place, start)));
}

function ofStream(past: PastOrders, stream: Stream, place: number, start: string): Estimate[] {
  const own = ordersOf(past, place);
  if (own.values.length < LEAST_ORDERS) return [];
  const months = own.counts.length;
  const of = (kind: Estimated, typed: readonly string[], found: readonly string[], give: string | null): Estimate => ({
    stream: stream.id,
    of: kind,
    typed,
    past: found,
    give,
    orders: own.values.length,
    months,
  });
  const counted = shaped(stream.orders);
  const { level, levelError, growth, season } = seasonalOf(own.counts, monthOfYear(past.start));
  const ahead = monthsBetween(addMonths(past.start, months - 1), start);
  const atStart = level * (1 + (growth ?? 0)) ** Math.max(0, ahead);
  const value = meanOf(own.values);
  const valueError = deviation(own.values) / Math.sqrt(own.values.length);
  const refunds = share(own.refunded, own.values.length);
  return [
    of('orders', [counted.start], [rounded(atStart)], rounded(atStart * levelError * NINE_IN_TEN)),
    ...(growth === null ? [] : [of('growth', [counted.growth ?? '0'], [(growth * 100).toFixed(1)], null)]),
    ...(season === null
      ? []
      : [
          of(
            'season',
            counted.season ?? flat(),
            season.map((factor) => factor.toFixed(2)),
            null,
          ),
        ]),
    of('order-value', [shaped(stream.orderValue).start], [value.toFixed(2)], (valueError * NINE_IN_TEN).toFixed(2)),
    of('order-sizes', sizesOf(stream), sizesIn(own.values), null),
    of('refunds', [stream.refunds ?? '0'], [refunds.percent], refunds.give),
    ...cardsOf(past, stream, place).map(({ typed, found, give }) => of('cards', typed, found, give)),
  ];
}

const flat = () => new Array<string>(12).fill('1');

/** A stream's orders: how many in every whole month, and what each was worth. */
function ordersOf({ starts, months, stream, units, digits, refunded }: PastOrders, place: number) {
  const counts = new Array<number>(months).fill(0);
  const values: number[] = [];
  let given = 0;
  for (let month = 0; month < months; month++)
    for (let at = starts[month] ?? 0; at < (starts[month + 1] ?? 0); at++) {
      if (stream[at] !== place) continue;
      counts[month] = (counts[month] ?? 0) + 1;
      values.push((units[at] ?? 0) / 10 ** digits);
      given += refunded[at] ?? 0;
    }
  return { counts, values, refunded: given };
}

/** A share in percent, and how far it may be off. */
function share(some: number, all: number): { readonly percent: string; readonly give: string } {
  const part = some / all;
  // Agresti and Coull: two more of each, so that none of twenty is not taken for never.
  const careful = (some + 2) / (all + 4);
  return { percent: (part * 100).toFixed(1), give: (NINE_IN_TEN * Math.sqrt((careful * (1 - careful)) / (all + 4)) * 100).toFixed(1) };
}

function cardsOf({ kinds, kind, stream }: PastOrders, { cards }: Stream, place: number) {
  const names = Object.keys(cards ?? {});
  if (names.length < 2) return [];
  const counts = names.map((name) => {
    const at = kinds.indexOf(name);
    return kind.reduce((sum, one, order) => sum + Number(one === at && stream[order] === place), 0);
  });
  const all = counts.reduce((sum, one) => sum + one, 0);
  if (all === 0) return [];
  const shares = counts.map((count) => share(count, all));
  // Together they are a hundred: the first takes what rounding leaves.
  const others = shares.slice(1).map(({ percent }) => Number(percent));
  const first = (100 - others.reduce((sum, one) => sum + one, 0)).toFixed(1);
  const found = [first, ...others.map((percent) => percent.toFixed(1))];
  return [{ typed: names.map((name) => cards?.[name] ?? '0'), found, give: shares[1]?.give ?? null }];
}

/** A fifth of the orders each, by their value, as so many times the average. */
function sizesIn(values: readonly number[]): string[] {
  const sorted = [...values].sort((a, b) => a - b);
  const mean = meanOf(sorted);
  return Array.from({ length: SIZES }, (_, fifth) => {
    const [from, to] = [fifth, fifth + 1].map((end) => Math.round((end * sorted.length) / SIZES));
    return Math.max(0.01, meanOf(sorted.slice(from, to)) / mean).toFixed(2);
  });
}

const sizesOf = ({ orderSizes }: Stream) => orderSizes?.map(({ times }) => times) ?? ['1'];

function rounded(count: number): string {
  return count >= 20 ? String(Math.round(count)) : count.toFixed(1);
}

/** A stream with what past orders say about one of its figures. */
export function withEstimate(stream: Stream, { of, past }: Pick<Estimate, 'of' | 'past'>): Stream {
  const [first = '0'] = past;
  const taken: { [Of in Estimated]: () => Stream } = {
    orders: () => ({ ...stream, orders: withSeries(stream.orders, { start: first }) }),
    growth: () => ({ ...stream, orders: withSeries(stream.orders, { growth: first }) }),
    season: () => ({ ...stream, orders: withSeries(stream.orders, { season: [...past] }) }),
    'order-value': () => ({ ...stream, orderValue: withSeries(stream.orderValue, { start: first }) }),
    'order-sizes': () => ({ ...stream, orderSizes: past.map((times) => ({ share: String(100 / past.length), times })) }),
    refunds: () => ({ ...stream, refunds: first }),
    cards: () => ({ ...stream, cards: Object.fromEntries(Object.keys(stream.cards ?? {}).map((name, at) => [name, past[at] ?? '0'])) }),
  };
  return taken[of]();
}

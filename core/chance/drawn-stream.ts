import { monthOfYear, monthsFrom } from '../calendar/month';
import type { FutureStream, FutureWorld } from './future-world';
import type { NormalNumbers } from './normal';

/** What a future makes of a stream. */
export interface StreamOutcome {
  /** What its orders and subscribers are multiplied by. */
  readonly level: number;
  /** Fraction a month, beside the growth that is expected. */
  readonly growth: number;
  /** How strong its season is: 1 as expected. */
  readonly season: number;
  /** What its order value is multiplied by. */
  readonly worth: number;
  /** Fractions added to what is expected. */
  readonly refunds: number;
  readonly churn: number;
  readonly abroad: number;
  /** How far single months scatter, as a multiple of what counts do. */
  readonly scatter: number;
}

/** Fills a stream with what a future makes of it. */
export type StreamDrawer = (into: FutureStream, outcome: StreamOutcome, normal: NormalNumbers) => void;

/**
 * Prepares the drawing of one stream.
 *
 * @param expected - the stream as it is expected
 * @param foreign - the kind of card that stands for customers abroad; null where there is none
 */
export function streamDrawer(
  { start, months }: Pick<FutureWorld, 'start' | 'months'>,
  expected: FutureStream,
  foreign: string | null,
): StreamDrawer {
  const { subscribers, season: stated } = statedIn(expected);
  const season = stated && monthsFrom(start, months).map((month) => stated[monthOfYear(month)] ?? 1);
  const factors = new Float64Array(months);
  return (into, outcome, normal) => {
    const { level, growth, scatter, worth } = outcome;
    let grown = level;
    for (let month = 0; month < months; month++) {
      factors[month] = grown * (season ? seasonFactor(season[month] ?? 1, outcome.season) : 1);
      grown *= 1 + growth;
    }
    if (into.subscribers && subscribers) {
      const staying = 1 - clamped(subscribers.churn + outcome.churn);
      let count = subscribers.start * level;
      for (let month = 0; month < months; month++) {
        if (month > 0) count = count * staying + (subscribers.joins[month] ?? 0) * (factors[month] ?? 1);
        const seen = scattered(count, scatter, normal);
        into.subscribers[month] = seen;
        into.orders[month] = seen / subscribers.every;
      }
    } else
      for (let month = 0; month < months; month++)
        into.orders[month] = scattered((expected.orders[month] ?? 0) * (factors[month] ?? 1), scatter, normal);
    for (let month = 0; month < months; month++) {
      into.orderValue[month] = (expected.orderValue[month] ?? 0) * worth;
      into.netOrderValue[month] = (expected.netOrderValue[month] ?? 0) * worth;
    }
    into.refunded = clamped(expected.refunded + outcome.refunds);
    if (foreign !== null) shareAbroad(into.kinds, expected.shares, foreign, outcome.abroad, into.shares);
  };
}

/** What of a stream is stated that its months do not say by themselves. */
function statedIn({ stream, subscribers }: FutureStream) {
  const series = stream.subscribers ? stream.subscribers.joins : stream.orders;
  const season = typeof series === 'object' && series.season ? series.season.map(Number) : null;
  if (!subscribers || !stream.subscribers) return { season, subscribers: null };
  const churn = Number(stream.subscribers.churn) / 100;
  return {
    season,
    subscribers: {
      churn,
      start: subscribers[0] ?? 0,
      every: stream.subscribers.every ?? 1,
      joins: subscribers.map((count, month) => (month === 0 ? 0 : count - (subscribers[month - 1] ?? 0) * (1 - churn))),
    },
  };
}

/** A season stronger or weaker: what lies above and below the average month, so many times. */
function seasonFactor(season: number, strength: number): number {
  return season === 0 ? 0 : Math.max(0, 1 + (season - 1) * strength) / season;
}

/** A count that scatters about its mean as counts do (by its square root), never below nothing. */
function scattered(mean: number, times: number, normal: NormalNumbers): number {
  const drawn = normal.next();
  if (mean <= 0 || times === 0) return mean;
  const root = Math.sqrt(mean) + (drawn * times) / 2;
  return Math.max(0, root * Math.abs(root) - (times * times) / 4);
}

const clamped = (fraction: number) => Math.min(1, Math.max(0, fraction));

/** Another share of one kind of card; the others keep their proportions. */
function shareAbroad(kinds: readonly string[], expected: Float64Array, foreign: string, points: number, into: Float64Array): void {
  const at = kinds.indexOf(foreign);
  if (at < 0) return into.set(expected);
  const before = expected[at] ?? 0;
  const after = clamped(before + points);
  const others = before >= 1 ? 0 : (1 - after) / (1 - before);
  for (let kind = 0; kind < into.length; kind++) into[kind] = kind === at ? after : (expected[kind] ?? 0) * others;
}

import { monthOfYear } from '../calendar/month';
import type { DecisionFile } from '../decision-file/schema';
import { foreignKind } from '../forecast/foreign-kind';
import { expectedWorld, monthNames } from './future-world';
import type { FuturePricing } from './future-pricing';
import { NormalNumbers } from './normal';
import { factorAt, pointsAt, type Uncertain, type UncertainKind } from './uncertain';

/** Draws futures one after the other into the world of a pricing. */
export interface FutureDrawer {
  /** Fills the world with a future, the same for the same number; `drawn` gets what each uncertain thing came out as. */
  draw(future: number, drawn: Float32Array): void;
}

const MONTHS_A_YEAR = 12;

/**
 * Prepares the drawing of futures: level, growth, season and order value together for all streams, each stream's own level
 * besides, rates that walk from month to month, and counts of orders that scatter by chance.
 *
 * @param scale - multiplies expected orders and subscribers
 */
export function futureDrawer(
  file: DecisionFile,
  { world, rises }: FuturePricing,
  uncertain: readonly Uncertain[],
  seed: number,
  scale = 1,
): FutureDrawer {
  const normal = new NormalNumbers();
  const expected = expectedWorld(file);
  const foreign = foreignKind(file);
  const inYear = monthNames(expected).map(monthOfYear);
  const places = new Map(uncertain.map(({ key }, at) => [key, at]));
  const spread = (kind: UncertainKind, of: string | null = null): Uncertain | undefined => uncertain[placeOf(kind, of)];
  const placeOf = (kind: UncertainKind, of: string | null = null) => places.get(of === null ? kind : `${kind}:${of}`) ?? -1;
  const streams = expected.streams.map((stream, place) => {
    const stated = file.forecast.streams[place];
    const series = stated?.subscribers ? stated.subscribers.joins : stated?.orders;
    const season = typeof series === 'object' && series.season ? series.season.map(Number) : null;
    const churn = Number(stated?.subscribers?.churn ?? '0') / 100;
    const { subscribers } = stream;
    return {
      id: stream.id,
      expected: stream,
      own: placeOf('own-level', stream.id),
      leaving: placeOf('churn', stream.id),
      refunds: placeOf('refunds', stream.id),
      season: season && inYear.map((month) => season[month] ?? 1),
      churn,
      every: stated?.subscribers?.every ?? 1,
      joins: subscribers && subscribers.map((count, month) => (month === 0 ? 0 : count - (subscribers[month - 1] ?? 0) * (1 - churn))),
    };
  });
  const together = {
    level: placeOf('level'),
    growth: placeOf('growth'),
    season: placeOf('season'),
    worth: placeOf('order-value'),
    abroad: placeOf('foreign-cards'),
  };
  const scatterOf = Number(spread('scatter')?.low ?? 0) / 100;
  const factors = new Float64Array(world.months);
  return {
    draw(future, drawn) {
      normal.begin(seed, future);
      for (let at = 0; at < uncertain.length; at++) drawn[at] = normal.next();
      const factor = (place: number) => {
        const one = uncertain[place];
        return one ? factorAt(one, drawn[place] ?? 0) : 1;
      };
      const points = (place: number) => {
        const one = uncertain[place];
        return one ? pointsAt(one, drawn[place] ?? 0) : 0;
      };
      const [level, growth, strength, worth, abroad] = [
        factor(together.level),
        Math.max(-0.99, points(together.growth)),
        factor(together.season),
        factor(together.worth),
        points(together.abroad),
      ];
      streams.forEach((stream, place) => {
        const into = world.streams[place];
        if (!into) return;
        const own = scale * level * factor(stream.own);
        for (let month = 0; month < factors.length; month++)
          factors[month] = own * (1 + growth) ** month * (stream.season ? seasonFactor(stream.season[month] ?? 1, strength) : 1);
        if (into.subscribers && stream.joins) {
          const staying = 1 - clamped(stream.churn + points(stream.leaving));
          let count = (stream.expected.subscribers?.[0] ?? 0) * own;
          for (let month = 0; month < factors.length; month++) {
            if (month > 0) count = count * staying + (stream.joins[month] ?? 0) * (factors[month] ?? 1);
            const seen = scattered(count, scatterOf, normal);
            into.subscribers[month] = seen;
            into.orders[month] = seen / stream.every;
          }
        } else
          for (let month = 0; month < factors.length; month++)
            into.orders[month] = scattered((stream.expected.orders[month] ?? 0) * (factors[month] ?? 1), scatterOf, normal);
        for (let month = 0; month < factors.length; month++) {
          into.orderValue[month] = (stream.expected.orderValue[month] ?? 0) * worth;
          into.netOrderValue[month] = (stream.expected.netOrderValue[month] ?? 0) * worth;
        }
        into.refunded = clamped(stream.expected.refunded + points(stream.refunds));
        if (foreign !== null) shareAbroad(into.kinds, stream.expected.shares, foreign, abroad, into.shares);
      });
      for (const [currency, rates] of world.rates)
        walk(rates, expected.rates.get(currency)?.[0] ?? 1, spread('rate', currency), normal, drawn, placeOf('rate', currency));
      const rise = spread('rises');
      const yearly = rise ? Math.max(1, factorAt(rise, drawn[placeOf('rises')] ?? 0)) : 1;
      for (const months of rises.values())
        for (let month = 0; month < months.length; month++) months[month] = yearly ** Math.floor(month / MONTHS_A_YEAR);
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

/** A rate that goes up or down by chance every month; over a year it is further off than stated one time in ten, either way. */
function walk(
  rates: Float64Array,
  now: number,
  spread: Uncertain | undefined,
  normal: NormalNumbers,
  drawn: Float32Array,
  place: number,
): void {
  let rate = now;
  let sum = 0;
  for (let month = 0; month < rates.length; month++) {
    // The first month's step is the drawn one, the later ones follow it.
    const step = normal.next() / Math.sqrt(MONTHS_A_YEAR);
    sum += step;
    if (spread) rate = now * factorAt(spread, sum);
    rates[month] = rate;
  }
  if (place >= 0) drawn[place] = sum / Math.sqrt(Math.max(1, rates.length / MONTHS_A_YEAR));
}

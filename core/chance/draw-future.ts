import type { DecisionFile } from '../decision-file/schema';
import { foreignKind } from '../forecast/foreign-kind';
import { streamDrawer } from './drawn-stream';
import { expectedWorld } from './future-world';
import type { FuturePricing } from './future-pricing';
import { NormalNumbers } from './normal';
import { amountAt, factorOf, isDrawnEvenly, isYesAt, pointsAt, type Uncertain, type UncertainKind } from './uncertain';

/** Draws futures one after the other into the world of a pricing. */
export interface FutureDrawer {
  /**
   * Fills the world with a future, the same for the same number; `drawn` gets what each uncertain thing came out as: an even
   * number of prices and answers that nobody knows, else a standard normal one.
   */
  draw(future: number, drawn: Float32Array): void;
}

const MONTHS_A_YEAR = 12;
/** How far a walk goes in a month of what it goes in a year. */
const A_MONTH = Math.sqrt(1 / MONTHS_A_YEAR);
/** Nobody loses more than nearly all of it from one month to the next. */
const MOST_SHRINKING = -0.99;

/**
 * Prepares the drawing of futures: level, growth, season and order value together for all streams, each stream's own level
 * besides, rates that walk from month to month, and counts of orders that scatter by chance.
 *
 * @param scale - multiplies expected orders and subscribers
 */
export function futureDrawer(
  file: DecisionFile,
  { world, rises, prices, answers, isNo }: FuturePricing,
  uncertain: readonly Uncertain[],
  seed: number,
  scale = 1,
): FutureDrawer {
  const normal = new NormalNumbers();
  const expected = expectedWorld(file);
  const foreign = foreignKind(file);
  const places = new Map(uncertain.map(({ key }, at) => [key, at]));
  const placeOf = (kind: UncertainKind, of: string | null = null) => places.get(of === null ? kind : `${kind}:${of}`) ?? -1;
  // Looked up once: this is gone through for every future.
  const at = {
    level: placeOf('level'),
    growth: placeOf('growth'),
    season: placeOf('season'),
    worth: placeOf('order-value'),
    abroad: placeOf('foreign-cards'),
  };
  const scatter = (uncertain[placeOf('scatter')]?.low ?? 0) / 100;
  const streams = expected.streams.map((stream, place) => ({
    into: world.streams[place] ?? stream,
    fill: streamDrawer(expected, stream, foreign),
    own: placeOf('own-level', stream.stream.id),
    churn: placeOf('churn', stream.stream.id),
    refunds: placeOf('refunds', stream.stream.id),
  }));
  const rates = [...world.rates].map(([currency, into]) => ({
    into,
    now: expected.rates.get(currency)?.[0] ?? 1,
    place: placeOf('rate', currency),
  }));
  const rising = [...rises].map(([vendor, into]) => ({ into, place: placeOf('rises', vendor) }));
  const priced = [...prices].map(([id, into]) => ({ into, place: placeOf('price', id) }));
  const answered = answers.map(({ id }) => placeOf('answer', id));
  const areEven = uncertain.map(isDrawnEvenly);
  const factors = uncertain.map((one) => factorOf(one));
  return {
    draw(future, drawn) {
      normal.begin(seed, future);
      for (let place = 0; place < uncertain.length; place++) drawn[place] = areEven[place] ? normal.even() : normal.next();
      const factor = (place: number) => factors[place]?.(drawn[place] ?? 0) ?? 1;
      const points = (place: number) => (uncertain[place] ? pointsAt(uncertain[place], drawn[place] ?? 0) : 0);
      const together = {
        growth: Math.max(MOST_SHRINKING, points(at.growth)),
        season: factor(at.season),
        worth: factor(at.worth),
        abroad: points(at.abroad),
        scatter,
      };
      const all = scale * factor(at.level);
      for (const { into, fill, own, churn, refunds } of streams)
        fill(into, { ...together, level: all * factor(own), churn: points(churn), refunds: points(refunds) }, normal);
      for (const { into, now, place } of rates) {
        const walked = walk(into, now, factors[place], normal);
        if (place >= 0) drawn[place] = walked;
      }
      for (const { into, place } of rising) fillRises(into, Math.max(1, factor(place)));
      for (const { into, place } of priced) if (uncertain[place]) into.fill(amountAt(uncertain[place], drawn[place] ?? 0));
      answered.forEach((place, answer) => {
        isNo[answer] = uncertain[place] && !isYesAt(uncertain[place], drawn[place] ?? 0) ? 1 : 0;
      });
    },
  };
}

/** Prices that rise once a year. */
function fillRises(into: Float64Array, yearly: number): void {
  let rise = 1;
  for (let month = 0; month < into.length; month += MONTHS_A_YEAR) {
    into.fill(rise, month, month + MONTHS_A_YEAR);
    rise *= yearly;
  }
}

/**
 * A rate that goes up or down by chance every month; over a year it is further off than stated one time in ten, either way.
 *
 * @returns how far it has gone in all, a standard normal number
 */
function walk(rates: Float64Array, now: number, factorAt: ((drawn: number) => number) | undefined, normal: NormalNumbers): number {
  let gone = 0;
  for (let month = 0; month < rates.length; month++) {
    gone += normal.next() * A_MONTH;
    rates[month] = factorAt ? now * factorAt(gone) : now;
  }
  return gone / Math.sqrt(rates.length / MONTHS_A_YEAR || 1);
}

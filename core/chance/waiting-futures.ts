import type { DecisionFile } from '../decision-file/schema';
import { fromMonth, numberForecast } from '../forecast/number-forecast';
import { addMonths } from '../calendar/month';
import { futureDrawer } from './draw-future';
import { type FuturePricing, futurePricing, USABLE } from './future-pricing';
import type { Uncertain } from './uncertain';

/** What candidates come to over some months, by future and candidate, and where they cannot be used. */
export interface PartCosts {
  readonly cost: Float64Array;
  readonly isOut: Uint8Array;
}

/** Deciding after so many months: what the months before and after cost, and what has been seen by then. */
export interface WaitCosts {
  readonly months: number;
  /** Left after these months. */
  readonly before: PartCosts;
  /** Joined then, from another vendor, and from another plan of the same one. */
  readonly after: PartCosts;
  readonly moved: PartCosts;
  /** Sales of these months, base currency, by future. */
  readonly seen: Float64Array;
}

/** Candidates in many futures: used throughout, left or joined after some months. */
export interface WaitingFutures {
  readonly count: number;
  readonly width: number;
  readonly throughout: PartCosts;
  readonly waits: readonly WaitCosts[];
  /** Looks at one more future. */
  add(): void;
}

/** A part of the months, with all that candidates come to in it. */
interface Part {
  readonly pricing: FuturePricing;
  readonly from: number;
  readonly into: PartCosts;
}

/** Prepares the pricing of candidates in so many futures, throughout and on either side of deciding later (decision file §9). */
export function waitingFutures(
  file: DecisionFile,
  uncertain: readonly Uncertain[],
  { seed, most, after }: { readonly seed: number; readonly most: number; readonly after: readonly number[] },
): WaitingFutures {
  const whole = futurePricing(file);
  const drawer = futureDrawer(file, whole, uncertain, seed);
  const width = whole.ids.length;
  const costs = (): PartCosts => ({ cost: new Float64Array(most * width), isOut: new Uint8Array(most * width) });
  const throughout: Part = { pricing: whole, from: 0, into: costs() };
  const waits = after.map((months) => waitOf(file, months, { before: costs(), after: costs(), moved: costs() }, new Float64Array(most)));
  const drawn = new Float32Array(uncertain.length);
  let count = 0;
  const run = ({ pricing, from, into }: Part) => {
    if (pricing !== whole) fillPart(pricing, whole, from);
    pricing.run();
    into.cost.set(pricing.totals, count * width);
    for (let place = 0; place < width; place++) into.isOut[count * width + place] = pricing.outgrown[place] === USABLE ? 0 : 1;
  };
  return {
    get count() {
      return count;
    },
    width,
    throughout: throughout.into,
    waits: waits.map(({ costs: one }) => one),
    add() {
      drawer.draw(count, drawn);
      run(throughout);
      for (const { parts, costs: one } of waits) {
        parts.forEach(run);
        one.seen[count] = salesOf(whole, one.months);
      }
      count += 1;
    },
  };
}

function waitOf(file: DecisionFile, months: number, into: Omit<WaitCosts, 'months' | 'seen'>, seen: Float64Array) {
  const later: DecisionFile = { ...file, start: addMonths(file.start, months), months: file.months - months };
  const forecast = fromMonth(numberForecast(file), months);
  const parts: Part[] = [
    { pricing: futurePricing({ ...file, months }, { isLeft: true }), from: 0, into: into.before },
    { pricing: futurePricing(later, { forecast }), from: months, into: into.after },
    { pricing: futurePricing(later, { forecast, isMoved: true }), from: months, into: into.moved },
  ];
  return { parts, costs: { months, ...into, seen } };
}

/** Carries what was drawn for all months over to some of them. */
function fillPart({ world, rises, prices, answers, isNo }: FuturePricing, whole: FuturePricing, from: number): void {
  const to = from + world.months;
  world.streams.forEach((stream, place) => {
    const drawn = whole.world.streams[place];
    if (!drawn) return;
    stream.orders.set(drawn.orders.subarray(from, to));
    if (drawn.subscribers) stream.subscribers?.set(drawn.subscribers.subarray(from, to));
    stream.orderValue.set(drawn.orderValue.subarray(from, to));
    stream.netOrderValue.set(drawn.netOrderValue.subarray(from, to));
    stream.refunded = drawn.refunded;
    stream.shares.set(drawn.shares);
  });
  for (const [currency, rates] of world.rates) rates.set(whole.world.rates.get(currency)?.subarray(from, to) ?? []);
  for (const [vendor, months] of rises) months.set(whole.rises.get(vendor)?.subarray(from, to) ?? []);
  for (const [id, months] of prices) months.fill(whole.prices.get(id)?.[0] ?? 0);
  // A must that begins later is none of the months before.
  answers.forEach(({ id }, answer) => {
    isNo[answer] = whole.isNo[whole.answers.findIndex((one) => one.id === id)] ?? 0;
  });
}

function salesOf({ world }: FuturePricing, months: number): number {
  let sales = 0;
  for (const { orders, orderValue } of world.streams)
    for (let month = 0; month < months; month++) sales += (orders[month] ?? 0) * (orderValue[month] ?? 0);
  return sales;
}

import { type Decimal, decimal, sum, ZERO } from '../amount/decimal';
import type { Candidate } from '../decision-file/candidate-schema';
import { type Pricing, readingWith } from '../pricing/pricing';
import { orderFee } from './order-fee';
import type { PastOrders } from './past-orders';
import type { ReplayedWorld } from './replayed-world';
import { countedCells, feesOf, takenPerOrder, type TakenPerOrder } from './taken-per-order';

/**
 * By how much the fees on single orders come to more than the same number of average ones: what a forecast that knows
 * only the average does not see. Fees that are a plain percentage and so much an order come to the same either way, but
 * for rounding.
 *
 * @returns in base currency, below 0 where they come to less
 */
export function differenceToAverage(pricing: Pricing, world: ReplayedWorld, candidate: Candidate): Decimal {
  return sum(
    takenPerOrder(pricing, candidate).map((taken) => {
      const amounts = readingWith(pricing, candidate).of(taken.amount);
      const free = readingWith(pricing, candidate).of(taken.free);
      const average = onAverageOrders(world, taken);
      const inOwn = sum(amounts.map((amount, month) => amount.minus(average(month, free[month] ?? ZERO))));
      return inOwn.times(taken.terms.rate);
    }),
  );
}

/** So many more decimals are kept of the fee on an average order, as it is taken many times. */
const FURTHER_DIGITS = 6;

/** What a charge takes by the month if every order of a stream were the stream's average. */
function onAverageOrders(world: ReplayedWorld, taken: TakenPerOrder): (month: number, free: Decimal) => Decimal {
  const { orders } = world;
  const terms = { ...taken.terms, minorDigits: taken.terms.minorDigits + FURTHER_DIGITS };
  const isCounted = countedCells(orders, taken.counted);
  const width = orders.kinds.length * 2;
  const totals = Array.from({ length: orders.streams }, () => ({ count: 0, units: 0 }));
  const byMonth = Array.from({ length: orders.months }, () => new Float64Array(orders.streams));
  for (let month = 0; month < orders.months; month++)
    for (let at = orders.starts[month] ?? 0; at < (orders.starts[month + 1] ?? 0); at++) {
      const stream = orders.stream[at] ?? 0;
      if (isCounted[stream * width + (orders.kind[at] ?? 0) * 2 + (orders.refunded[at] ?? 0)] === 0) continue;
      const [counts, total] = [byMonth[month], totals[stream]];
      if (!counts || !total) continue;
      counts[stream] = (counts[stream] ?? 0) + 1;
      total.count += 1;
      total.units += orders.units[at] ?? 0;
    }
  const fees = totals.map(({ count, units }, stream) => {
    if (count === 0) return ZERO;
    const contained = taken.ofNet ? world.contained(stream).toFixed() : '1';
    const fee = orderFee({ ...terms, contained }, orders.digits, orders.mostUnits)(Math.round(units / count));
    return decimal(fee).div(decimal(10).pow(terms.minorDigits));
  });
  return (month, free) => {
    const counts = byMonth[month] ?? new Float64Array(0);
    const all = counts.reduce((together, count) => together + count, 0);
    const amount = sum(fees.map((fee, stream) => fee.times(counts[stream] ?? 0)));
    if (all === 0) return ZERO;
    const charged = Math.max(0, all - free.floor().toNumber());
    return amount.times(charged).div(all);
  };
}

/** An order on which two candidates differ. */
export interface DifferingOrder {
  /** Place of the order. */
  readonly at: number;
  /** What the first takes of it more than the second, base currency. */
  readonly more: number;
}

/** The orders on which the fees of two candidates differ most, the largest difference first. */
export function mostDiffering(
  pricing: Pricing,
  world: ReplayedWorld,
  pair: readonly [Candidate, Candidate],
  most: number,
): DifferingOrder[] {
  const { orders } = world;
  const [first, second] = pair.map((candidate) => feeOfOrder(pricing, world, candidate));
  if (!first || !second) return [];
  let found: DifferingOrder[] = [];
  let least = 0;
  for (let at = 0; at < orders.units.length; at++) {
    const more = first(at) - second(at);
    if (Math.abs(more) <= least) continue;
    found = [...found, { at, more }].sort((a, b) => Math.abs(b.more) - Math.abs(a.more)).slice(0, most);
    if (found.length === most) least = Math.abs(found.at(-1)?.more ?? 0);
  }
  return found;
}

/**
 * What the charges of a candidate take of an order, base currency, by its place.
 *
 * @param counts - which charges; all if not stated
 */
export function feeOfOrder(
  pricing: Pricing,
  world: ReplayedWorld,
  candidate: Candidate,
  counts: (taken: TakenPerOrder) => boolean = () => true,
): (at: number) => number {
  const { orders } = world;
  const width = orders.kinds.length * 2;
  const charges = takenPerOrder(pricing, candidate)
    .filter(counts)
    .map((taken) => ({
      isCounted: countedCells(orders, taken.counted),
      fees: feesOf(orders, taken, (stream) => world.contained(stream)),
      base: Number(taken.terms.rate) / 10 ** taken.terms.minorDigits,
    }));
  return (at) => {
    const stream = orders.stream[at] ?? 0;
    const cell = stream * width + (orders.kind[at] ?? 0) * 2 + (orders.refunded[at] ?? 0);
    return charges.reduce(
      (fee, { isCounted, fees, base }) => (isCounted[cell] ? fee + (fees[stream]?.(orders.units[at] ?? 0) ?? 0) * base : fee),
      0,
    );
  };
}

/** What a customer paid for an order, base currency. */
export function valueAt({ units, digits }: PastOrders, at: number): string {
  return decimal(units[at] ?? 0)
    .div(decimal(10).pow(digits))
    .toFixed();
}

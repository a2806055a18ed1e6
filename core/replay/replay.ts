import { minorDigits } from '../amount/currencies';
import { type Decimal, decimal, ONE } from '../amount/decimal';
import { type DecisionResult, priceAll } from '../comparison/decision-result';
import type { DecisionFile } from '../decision-file/schema';
import { type CandidateCharge, candidateCharges } from '../pricing/candidate-charges';
import { preparePricing, type Pricing, readingWith } from '../pricing/pricing';
import { isChargeNotKnown } from '../rules/charges/charge-rule';
import type { PerOrder, PerOrderParts } from '../rules/charges/per-order';
import type { CountedOrders, Expression } from '../rules/expression/expression';
import { orderFee } from './order-fee';
import type { PastOrders } from './past-orders';
import { type ReplayedWorld, replayedWorld } from './replayed-world';

/** What past orders would have cost (decision file §11). */
export interface ReplayResult extends DecisionResult {
  replayed: { orders: number; from: string; to: string };
}

/**
 * What past orders would have cost with every candidate, order by order; break-even, cheapest-at, route and proposals are
 * not answered.
 */
export function replay(file: DecisionFile, orders: PastOrders): ReplayResult {
  const world = replayedWorld(file, orders);
  const { result } = priceAll(replayPricing(file, world));
  const { months } = world.forecast;
  return { ...result, replayed: { orders: orders.units.length, from: orders.start, to: months.at(-1) ?? orders.start } };
}

/** A file prepared for pricing with past orders in the place of its forecast. */
export function replayPricing(file: DecisionFile, world: ReplayedWorld): Pricing {
  const { forecast, counted, orders } = world;
  const candidates = file.candidates.map(({ lift: _left, ...candidate }) => candidate);
  const replayed = { ...file, start: orders.start, months: orders.months, candidates };
  const amounts = new Map<Expression, () => readonly Decimal[]>();
  const pricing = preparePricing(replayed, { forecast, counted, amountOf: (expression) => amounts.get(expression)?.() ?? null });
  const feesOn = feesByMonth(world);
  for (const candidate of candidates)
    for (const one of candidateCharges(pricing, candidate)) {
      const { charge, rule } = one;
      // A rule that comes to nothing shares its expression with all such.
      if (charge.how !== 'per-order' || isChargeNotKnown(charge) || rule.parts.amount.is === 'figure') continue;
      const taken = takenOf(pricing, { ...one, charge, parts: rule.parts as PerOrderParts });
      amounts.set(rule.parts.amount, () => feesOn(taken, readingWith(pricing, candidate).of(taken.free)));
    }
  return pricing;
}

/** What a charge per order takes, of which orders. */
export interface TakenPerOrder {
  readonly terms: Omit<Parameters<typeof orderFee>[0], 'contained'>;
  readonly ofNet: boolean;
  readonly counted: CountedOrders;
  readonly free: Expression;
}

function takenOf(
  pricing: Pricing,
  { charge, owner, parts }: Pick<CandidateCharge, 'owner'> & { charge: PerOrder; parts: PerOrderParts },
): TakenPerOrder {
  if (parts.quantity.is !== 'orders') throw new RangeError(`Charge ${charge.id} does not count orders`);
  return {
    terms: {
      percent: charge.percent ?? '0',
      each: charge.each ?? '0',
      least: charge.least ?? null,
      most: charge.most ?? null,
      minorDigits: minorDigits(owner.currency),
      rate: pricing.rate(owner.currency).toFixed(),
    },
    ofNet: charge.of === 'net',
    counted: parts.quantity.of,
    free: parts.free,
  };
}

/**
 * What charges take of every order that they count, each order's rounded in the charge's currency, added up by month; the
 * first so many of a month cost nothing. Plans with the same fees are gone through once.
 */
function feesByMonth({ orders, contained }: ReplayedWorld): (taken: TakenPerOrder, free: readonly Decimal[]) => readonly Decimal[] {
  const known = new Map<string, readonly Decimal[]>();
  return (taken, free) => {
    const freeOrders = free.map((so) => so.floor().toNumber());
    const key = JSON.stringify([taken.terms, taken.ofNet, taken.counted.key, taken.counted.withoutRefunded, freeOrders]);
    const found = known.get(key) ?? addedUp(orders, taken, freeOrders, contained);
    known.set(key, found);
    return found;
  };
}

function addedUp(orders: PastOrders, taken: TakenPerOrder, free: readonly number[], contained: ReplayedWorld['contained']): Decimal[] {
  const { starts, units, stream, kind, kinds, refunded } = orders;
  const [isCounted, fees] = [countedCells(orders, taken.counted), feesOf(orders, taken, contained)];
  const width = kinds.length * 2;
  const minor = decimal(10).pow(taken.terms.minorDigits);
  return free.map((costNothing, month) => {
    let [sum, place] = [0, 0];
    const end = starts[month + 1] ?? 0;
    for (let at = starts[month] ?? 0; at < end; at++) {
      const of = stream[at] ?? 0;
      if (isCounted[of * width + (kind[at] ?? 0) * 2 + (refunded[at] ?? 0)] === 0) continue;
      place += 1;
      if (place > costNothing) sum += fees[of]?.(units[at] ?? 0) ?? 0;
    }
    return decimal(sum).div(minor);
  });
}

/** Which orders a charge counts: 1 or 0 by stream, kind of card and whether it was refunded. */
function countedCells({ streams, kinds }: PastOrders, counted: CountedOrders): Uint8Array {
  const width = kinds.length * 2;
  return Uint8Array.from({ length: streams * width }, (_, cell) => {
    const isLeftOut = counted.withoutRefunded && cell % 2 === 1;
    return Number(!isLeftOut && counted.counts(Math.floor(cell / width), kinds[Math.floor((cell % width) / 2)] ?? ''));
  });
}

/** What a charge takes of an order, by stream: each may contain another sales tax. */
function feesOf({ streams, digits, mostUnits }: PastOrders, { terms, ofNet }: TakenPerOrder, contained: ReplayedWorld['contained']) {
  const feeWith = (tax: Decimal) => orderFee({ ...terms, contained: tax.toFixed() }, digits, mostUnits);
  return Array.from({ length: streams }, (_, stream) => feeWith(ofNet ? contained(stream) : ONE));
}

import type { Decimal } from '../amount/decimal';
import { type DecisionResult, priceAll } from '../comparison/decision-result';
import type { DecisionFile } from '../decision-file/schema';
import { preparePricing, type Pricing, readingWith } from '../pricing/pricing';
import type { Expression } from '../rules/expression/expression';
import { feesByMonth, takenPerOrder } from './taken-per-order';
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
    for (const taken of takenPerOrder(pricing, candidate))
      amounts.set(taken.amount, () => feesOn(taken, readingWith(pricing, candidate).of(taken.free)));
  return pricing;
}

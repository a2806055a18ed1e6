import { type Decimal, decimal, fraction, plus, ZERO } from '../amount/decimal';
import { roundMoney } from '../amount/currencies';
import { type DecisionResult, priceAll } from '../comparison/decision-result';
import type { DecisionFile } from '../decision-file/schema';
import { type CandidateCharge, candidateCharges } from '../pricing/candidate-charges';
import { preparePricing, type Pricing, readingWith } from '../pricing/pricing';
import { isChargeNotKnown } from '../rules/charges/charge-rule';
import type { PerOrder, PerOrderParts } from '../rules/charges/per-order';
import type { Expression } from '../rules/expression/expression';
import type { PastOrder } from './past-order';
import { type ReplayedWorld, replayedWorld } from './replayed-world';

/** What past orders would have cost (decision file §11). */
export interface ReplayResult extends DecisionResult {
  replayed: { orders: number; from: string; to: string };
}

/**
 * What past orders would have cost with every candidate, order by order; break-even, cheapest-at, route and proposals are
 * not answered.
 *
 * @param orders - at least one, by date
 */
export function replay(file: DecisionFile, orders: readonly PastOrder[]): ReplayResult {
  const world = replayedWorld(file, orders);
  const { result } = priceAll(replayPricing(file, world));
  return { ...result, replayed: { orders: orders.length, from: world.start, to: world.forecast.months.at(-1) ?? world.start } };
}

/** A file prepared for pricing with past orders in the place of its forecast. */
function replayPricing(file: DecisionFile, world: ReplayedWorld): Pricing {
  const { start, months, forecast, counted } = world;
  const replayed = { ...file, start, months, candidates: file.candidates.map(({ lift: _left, ...candidate }) => candidate) };
  const amounts = new Map<Expression, () => readonly Decimal[]>();
  const pricing = preparePricing(replayed, { forecast, counted, amountOf: (expression) => amounts.get(expression)?.() ?? null });
  for (const candidate of replayed.candidates)
    for (const one of candidateCharges(pricing, candidate)) {
      const { charge, rule } = one;
      // A rule that comes to nothing shares its expression with all such.
      if (charge.how !== 'per-order' || isChargeNotKnown(charge) || rule.parts.amount.is === 'figure') continue;
      const perOrder = { ...one, charge, parts: rule.parts as PerOrderParts };
      amounts.set(rule.parts.amount, () => orderByOrder(pricing, world, perOrder, readingWith(pricing, candidate).of(perOrder.parts.free)));
    }
  return pricing;
}

interface ChargedPerOrder extends Pick<CandidateCharge, 'owner'> {
  readonly charge: PerOrder;
  readonly parts: PerOrderParts;
}

/**
 * What a charge takes of every order that it counts, each rounded in its currency, added up by month; the first so many
 * of a month cost nothing.
 */
function orderByOrder(
  pricing: Pricing,
  { byMonth, netOf }: ReplayedWorld,
  one: ChargedPerOrder,
  free: readonly Decimal[],
): readonly Decimal[] {
  const { charge, owner, parts } = one;
  if (parts.quantity.is !== 'orders') throw new RangeError(`Charge ${charge.id} does not count orders`);
  const { counts, withoutRefunded } = parts.quantity.of;
  const rate = pricing.rate(owner.currency);
  const [percent, each] = [fraction(charge.percent ?? '0'), decimal(charge.each ?? '0')];
  const feeOn = (order: PastOrder): Decimal => {
    const counted = charge.of === 'net' ? netOf(order) : order.value;
    let fee = counted.div(rate).times(percent).plus(each);
    if (charge.least != null && fee.lt(charge.least)) fee = decimal(charge.least);
    if (charge.most != null && fee.gt(charge.most)) fee = decimal(charge.most);
    return roundMoney(fee, owner.currency);
  };
  return byMonth.map((orders, month) => {
    let [sum, place] = [ZERO, 0];
    for (const order of orders) {
      if (!counts(order.stream, order.card) || (withoutRefunded && order.refunded)) continue;
      place += 1;
      if (!free[month]?.gte(place)) sum = plus(sum, feeOn(order));
    }
    return sum;
  });
}

import { minorDigits } from '../amount/currencies';
import { type Decimal, decimal, ONE } from '../amount/decimal';
import type { Candidate } from '../decision-file/candidate-schema';
import { candidateCharges } from '../pricing/candidate-charges';
import { type Bucket, bucketOf } from '../pricing/ledger-line';
import type { Pricing } from '../pricing/pricing';
import { isChargeNotKnown } from '../rules/charges/charge-rule';
import type { PerOrderParts } from '../rules/charges/per-order';
import type { CountedOrders, Expression } from '../rules/expression/expression';
import { orderFee } from './order-fee';
import type { PastOrders } from './past-orders';
import type { ReplayedWorld } from './replayed-world';

/** What a charge per order takes, of which orders. */
export interface TakenPerOrder {
  /** What it comes to by the month. */
  readonly amount: Expression;
  readonly terms: Omit<Parameters<typeof orderFee>[0], 'contained'>;
  readonly ofNet: boolean;
  readonly counted: CountedOrders;
  /** Part of the cost it belongs to: a card fee is `payment`. */
  readonly bucket: Bucket;
  readonly free: Expression;
}

/** The charges of a candidate that are taken of every order, as far as they are known and come to something. */
export function takenPerOrder(pricing: Pricing, candidate: Candidate): TakenPerOrder[] {
  return candidateCharges(pricing, candidate).flatMap(({ charge, rule, owner }) => {
    // A rule that comes to nothing shares its expression with all such.
    if (charge.how !== 'per-order' || isChargeNotKnown(charge) || rule.parts.amount.is === 'figure') return [];
    const { quantity, free, amount } = rule.parts as PerOrderParts;
    if (quantity.is !== 'orders') throw new RangeError(`Charge ${charge.id} does not count orders`);
    const terms = {
      percent: charge.percent ?? '0',
      each: charge.each ?? '0',
      least: charge.least ?? null,
      most: charge.most ?? null,
      minorDigits: minorDigits(owner.currency),
      rate: pricing.rate(owner.currency).toFixed(),
    };
    return [{ amount, terms, ofNet: charge.of === 'net', counted: quantity.of, free, bucket: bucketOf(charge) }];
  });
}

/**
 * What charges take of every order that they count, each order's rounded in the charge's currency, added up by month; the
 * first so many of a month cost nothing. Plans with the same fees are gone through once.
 */
export function feesByMonth({ orders, contained }: ReplayedWorld): (taken: TakenPerOrder, free: readonly Decimal[]) => readonly Decimal[] {
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
export function countedCells({ streams, kinds }: PastOrders, counted: CountedOrders): Uint8Array {
  const width = kinds.length * 2;
  return Uint8Array.from({ length: streams * width }, (_, cell) => {
    const isLeftOut = counted.withoutRefunded && cell % 2 === 1;
    return Number(!isLeftOut && counted.counts(Math.floor(cell / width), kinds[Math.floor((cell % width) / 2)] ?? ''));
  });
}

/** What a charge takes of an order, by stream: each may contain another sales tax. */
export function feesOf({ streams, digits, mostUnits }: PastOrders, { terms, ofNet }: TakenPerOrder, contained: ReplayedWorld['contained']) {
  const feeWith = (tax: Decimal) => orderFee({ ...terms, contained: tax.toFixed() }, digits, mostUnits);
  return Array.from({ length: streams }, (_, stream) => feeWith(ofNet ? contained(stream) : ONE));
}

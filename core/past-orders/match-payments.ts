import type { PastOrders } from '../replay/past-orders';
import type { Payment } from './read-payouts';
import { AMOUNT_DIGITS } from './written-amount';

/** A payment, and the place of the order that it is for. */
export interface MatchedPayment {
  readonly payment: Payment;
  readonly at: number;
}

/** An order is paid on its day; processors write the day it was taken or settled. */
const [DAYS_BEFORE, DAYS_BEHIND] = [1, 7];

/**
 * Which payment is for which order: of the same amount and about the same day, the earliest order first, each order once.
 *
 * @param orders - in the currency of the payments
 */
export function matchPayments(payments: readonly Payment[], orders: PastOrders): MatchedPayment[] {
  const unit = 10 ** (AMOUNT_DIGITS - orders.digits);
  const waiting = new Map<number, number[]>();
  orders.units.forEach((units, at) => {
    const amount = Math.round(units * unit);
    const same = waiting.get(amount);
    if (same) same.push(at);
    else waiting.set(amount, [at]);
  });
  const next = new Map<number, number>();
  return [...payments]
    .sort((a, b) => a.day - b.day)
    .flatMap((payment) => {
      const same = waiting.get(payment.gross) ?? [];
      let place = next.get(payment.gross) ?? 0;
      // Orders that are too old for this payment are so for all later ones.
      while (place < same.length && dayOf(orders, same[place]) < payment.day - DAYS_BEHIND) place += 1;
      next.set(payment.gross, place);
      const at = same[place];
      if (at === undefined || dayOf(orders, at) > payment.day + DAYS_BEFORE) return [];
      next.set(payment.gross, place + 1);
      return [{ payment, at }];
    });
}

const dayOf = ({ day }: PastOrders, at: number | undefined) => day[at ?? -1] ?? 0;

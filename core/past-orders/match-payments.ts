import type { PastOrders } from '../replay/past-orders';
import type { Payment } from './read-payouts';
import { AMOUNT_DIGITS } from './written-amount';

/** A payment, or a payout of several together, and the places of the orders that it is for. */
export interface MatchedPayment {
  readonly payment: Payment;
  readonly orders: readonly number[];
}

/** An order is paid on its day; processors write the day it was taken or settled. */
const [DAYS_BEFORE, DAYS_BEHIND] = [1, 7];
/** A payout has at most the orders of so many days on end. */
const MOST_DAYS = 31;

/**
 * Which payment is for which order: of the same amount and about the same day, the earliest order first, each order once.
 * What is left may be a payout: of all orders of some days on end, up to the day it was paid, that are left as well and come
 * to its amount.
 *
 * @param orders - in the currency of the payments
 */
export function matchPayments(payments: readonly Payment[], orders: PastOrders): MatchedPayment[] {
  const inOrder = [...payments].sort((a, b) => a.day - b.day);
  const single = matchSingly(inOrder, orders);
  const taken = new Set(single.map(({ payment }) => payment));
  const left = inOrder.filter((payment) => !taken.has(payment));
  if (left.length === 0) return single;
  return [...single, ...matchPayouts(left, orders, new Set(single.flatMap(({ orders: at }) => at)))];
}

function matchSingly(payments: readonly Payment[], orders: PastOrders): MatchedPayment[] {
  const waiting = new Map<number, number[]>();
  orders.units.forEach((_, at) => {
    const amount = amountOf(orders, at);
    const same = waiting.get(amount);
    if (same) same.push(at);
    else waiting.set(amount, [at]);
  });
  const next = new Map<number, number>();
  return payments.flatMap((payment) => {
    const same = waiting.get(payment.gross) ?? [];
    let place = next.get(payment.gross) ?? 0;
    // Orders that are too old for this payment are so for all later ones.
    while (place < same.length && dayOf(orders, same[place]) < payment.day - DAYS_BEHIND) place += 1;
    next.set(payment.gross, place);
    const at = same[place];
    if (at === undefined || dayOf(orders, at) > payment.day + DAYS_BEFORE) return [];
    next.set(payment.gross, place + 1);
    return [{ payment, orders: [at] }];
  });
}

/** Orders of a day that no single payment is for, and what they come to. */
interface DayLeft {
  total: number;
  readonly orders: number[];
}

function matchPayouts(payouts: readonly Payment[], orders: PastOrders, taken: ReadonlySet<number>): MatchedPayment[] {
  const days = new Map<number, DayLeft>();
  orders.units.forEach((_, at) => {
    if (taken.has(at)) return;
    const day = days.get(dayOf(orders, at)) ?? { total: 0, orders: [] };
    day.total += amountOf(orders, at);
    day.orders.push(at);
    days.set(dayOf(orders, at), day);
  });
  return payouts.flatMap((payment) => {
    const found = stretchOf(payment, days);
    for (const day of found) days.delete(day.day);
    return found.length === 0 ? [] : [{ payment, orders: found.flatMap(({ orders: at }) => at) }];
  });
}

/** The latest stretch of days on end whose orders come to a payout; empty where none does. */
function stretchOf({ day, gross }: Payment, days: ReadonlyMap<number, DayLeft>): Array<DayLeft & { readonly day: number }> {
  for (let last = day; last >= day - DAYS_BEHIND; last--) {
    if (!days.has(last)) continue;
    let total = 0;
    const stretch: Array<DayLeft & { readonly day: number }> = [];
    for (let first = last; first > last - MOST_DAYS && total < gross; first--) {
      const one = days.get(first);
      if (!one) continue;
      total += one.total;
      stretch.push({ ...one, day: first });
    }
    if (total === gross) return stretch;
  }
  return [];
}

const dayOf = ({ day }: PastOrders, at: number | undefined) => day[at ?? -1] ?? 0;
/** In ten-thousandths. */
const amountOf = ({ units, digits }: PastOrders, at: number) => Math.round((units[at] ?? 0) * 10 ** (AMOUNT_DIGITS - digits));

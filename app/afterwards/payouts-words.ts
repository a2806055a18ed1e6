import type { ChargedFees, FeesCompared } from '#core/past-orders/charged-fees';
import type { PayoutsRead } from '../../workers/past-orders';
import type { Writer } from '../locale/writer';

/** So much of what was paid may be rounding. */
const SAME_PERCENT = 0.05;

/** The first sentence: "Charged 2.9% where the sheet says 2.6%: €12 more on 31 payments." */
export function chargedWords({ all }: FeesCompared, write: Writer): string {
  const { charged, bySheet, chargedPercent, bySheetPercent, payments } = all;
  const on = `on ${write.number(String(payments))} ${payments === 1 ? 'payment' : 'payments'}`;
  const apart = Number(charged) - Number(bySheet);
  if (isSame(all)) return `Charged ${write.percent(chargedPercent)} ${on}, as the sheet says.`;
  const more = `${write.amount(String(Math.abs(apart)))} ${apart > 0 ? 'more' : 'less'}`;
  return `Charged ${write.percent(chargedPercent)} where the sheet says ${write.percent(bySheetPercent)}: ${more} ${on}.`;
}

/** Whether what was charged is what the sheet says, but for rounding. */
export function isSame({ chargedPercent, bySheetPercent }: ChargedFees): boolean {
  return Math.abs(Number(chargedPercent) - Number(bySheetPercent)) <= SAME_PERCENT;
}

/** What of the file was read, and what was not. */
export function payoutsReadWords({ payments, others, unread, compared }: PayoutsRead, hasOrders: boolean, write: Writer): string[] {
  const count = (many: number, one: string, more: string) => `${write.number(String(many))} ${many === 1 ? one : more}`;
  const told = [payments === 0 ? 'No payment was found in it.' : `${count(payments, 'payment was', 'payments were')} read.`];
  if (others > 0) told.push(`${count(others, 'line is', 'lines are')} left out: refunds, transfers or monthly fees.`);
  if (unread.count > 0) {
    const [first] = unread.first;
    told.push(`${count(unread.count, 'line', 'lines')} cannot be read${first ? `; line ${first.line}: ${first.why}` : '.'}`);
  }
  if (payments === 0) return told;
  if (!hasOrders) told.push('Keep the orders of the same months under past orders, and they are set beside what the sheet says.');
  else if (!compared)
    told.push('None of them is for an order of that day and amount that was kept, so they can’t be set beside the sheet.');
  else if (compared.unmatched > 0)
    told.push(`For ${count(compared.unmatched, 'payment', 'payments')} no order of that day and amount was kept.`);
  return told;
}

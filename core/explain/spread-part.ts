import type { Decimal } from '../amount/decimal';
import { roundMoney } from '../amount/currencies';
import type { ScheduledPayment } from '../pricing/payment-schedule';
import type { Pricing } from '../pricing/pricing';
import type { SpreadPart } from './derivation';

/** What of a payment counts in a month: all of it, or its part where payments are spread (decision file §3). */
export function partOfPayment(
  { file }: Pricing,
  payment: ScheduledPayment,
  month: number,
): { part: SpreadPart | null; unrounded: Decimal } {
  const { charged, currency, covers } = payment;
  if (file.basis !== 'spread') return { part: null, unrounded: charged };
  const of = covers === 0 ? file.months - payment.month : covers;
  const number = month - payment.month + 1;
  const upTo = (parts: number) => roundMoney(charged.times(parts).div(of), currency);
  return { part: { number, of }, unrounded: upTo(number).minus(upTo(number - 1)) };
}

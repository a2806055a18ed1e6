import type { Decimal } from '../amount/decimal';
import { minorDigits, roundMoney } from '../amount/currencies';
import { MinorAmount } from '../amount/minor-amount';
import { LedgerLine } from './ledger-line';
import type { ScheduledPayment } from './payment-schedule';
import { conversionOf, type Pricing } from './pricing';

/**
 * The ledger lines of scheduled payments: in the month they are paid, or in equal parts over the months they
 * pay for (decision file §1 `basis`, §3 Spread basis).
 */
export function paymentLines(pricing: Pricing, payments: readonly ScheduledPayment[]): LedgerLine[] {
  const { basis, months: horizon } = pricing.file;
  return payments.flatMap((payment) => {
    const line = (month: number, charged: Decimal) => toLine(pricing, payment, month, charged);
    return basis === 'spread' ? spreadLines(payment, horizon, line) : [line(payment.month, payment.charged)];
  });
}

function spreadLines(
  { month, covers, charged, currency }: ScheduledPayment,
  horizon: number,
  line: (month: number, charged: Decimal) => LedgerLine,
): LedgerLine[] {
  const length = covers === 0 ? horizon - month : covers;
  const within = Math.min(length, horizon - month);
  const upTo = (part: number) => roundMoney(charged.times(part).div(length), currency);
  return Array.from({ length: within }, (_, part) => line(month + part, upTo(part + 1).minus(upTo(part))));
}

function toLine(pricing: Pricing, payment: ScheduledPayment, month: number, charged: Decimal): LedgerLine {
  const { bucket, source, currency, taxExcluded } = payment;
  const inCurrency = MinorAmount.of(charged, minorDigits(currency));
  return new LedgerLine(month, bucket, source, currency, taxExcluded, inCurrency, conversionOf(pricing, currency)(inCurrency));
}

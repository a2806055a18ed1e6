import { Decimal, decimal, fraction, ONE, sum, ZERO } from '../amount/decimal';
import { inBaseCurrency, roundLine } from '../amount/currencies';
import type { Ledger } from '../pricing/ledger';
import type { LedgerLine } from '../pricing/ledger-line';
import { exactConstant } from '../pricing/constant-values';
import { findTerm, type ScheduledPayment } from '../pricing/payment-schedule';
import type { Pricing } from '../pricing/pricing';
import type { Derivation, PaymentDerivation } from './derivation';
import { type Derived, explainCharge } from './explain-charge';
import { partOfPayment } from './spread-part';

/**
 * How a line of a ledger came about. It is worked out anew from the price sheet and the forecast, only when asked
 * for, and gives the same amount as the line.
 *
 * @param ledger - the ledger the line stands in
 * @param line - one of its lines
 * @param scale - the scale the ledger was made at, default 1
 */
export function explainLine(pricing: Pricing, ledger: Ledger, line: LedgerLine, scale: Decimal = ONE): Derivation {
  const { file } = pricing;
  const { what, unrounded } = derive(pricing, ledger, line, scale);
  const rate = pricing.rate(line.currency);
  const charged = roundLine(unrounded, line.currency);
  return {
    month: pricing.forecastAt(ONE).months[line.month] ?? '',
    what,
    currency: line.currency,
    rate,
    baseCurrency: file.currency,
    unrounded,
    charged,
    amount: inBaseCurrency(charged, line.currency, rate, file.currency),
  };
}

function derive(pricing: Pricing, ledger: Ledger, line: LedgerLine, scale: Decimal): Derived {
  const { source, month } = line;
  const { candidate } = ledger;
  switch (source.kind) {
    case 'charge':
      return explainCharge(pricing, candidate, source, line, scale);
    case 'time': {
      const monthly = decimal(candidate.hours?.monthly ?? '0');
      const setup = month === 0 ? decimal(candidate.hours?.setup ?? '0') : null;
      const hourValue = decimal(pricing.file.hourValue ?? '0');
      return { what: { kind: 'time', setup, monthly, hourValue }, unrounded: monthly.plus(setup ?? ZERO).times(hourValue) };
    }
    case 'tax': {
      const percent = decimal(pricing.file.feeTax ?? '0');
      const on = sum(ledger.lines.filter((one) => one.taxExcluded && one.month === month).map((one) => one.amount));
      return { what: { kind: 'tax', percent, on }, unrounded: on.times(fraction(percent)) };
    }
    default:
      return explainPayment(pricing, ledger, line);
  }
}

function explainPayment(pricing: Pricing, ledger: Ledger, line: LedgerLine): Derived {
  const key = JSON.stringify(line.source);
  const payments = ledger.payments.filter((payment) => JSON.stringify(payment.source) === key);
  const payment = payments.findLast(({ month }) => month <= line.month);
  if (!payment) throw new RangeError('This line is not one of the ledger');
  const { part, unrounded } = partOfPayment(pricing, payment, line.month);
  const { charged, covers, ofTerm } = payment;
  return { what: { kind: 'payment', ...named(pricing, ledger, line, payment), ofTerm, payment: charged, covers, part }, unrounded };
}

type Named = Pick<PaymentDerivation, 'label' | 'term' | 'price' | 'count'>;

function named(pricing: Pricing, { candidate }: Ledger, { source }: LedgerLine, payment: ScheduledPayment): Named {
  const whole = exactConstant(payment.price);
  const plain = { term: null, price: whole, count: 1 };
  if (source.kind === 'joining-fee') return { ...plain, label: pricing.plan(source.plan).plan.once?.[source.index]?.label ?? '' };
  if (source.kind === 'extra') return { ...plain, label: candidate.extras?.[source.index]?.label ?? '' };
  if (source.kind !== 'term') throw new RangeError('This line is not a payment');
  const part = source.owner === 'plan' ? pricing.plan(source.id).plan : pricing.addon(source.id);
  const term = findTerm(part.terms ?? [], source.term);
  const entry = candidate.addons?.find(({ addon, term: used }) => addon === source.id && used === source.term);
  const count = source.owner === 'plan' ? 1 : (entry?.count ?? 1);
  return { label: part.label, term, price: whole.div(count), count };
}

import { Decimal, decimal, fraction, ONE, sum, ZERO } from '../amount/decimal';
import { inBaseCurrency, roundMoney } from '../amount/currencies';
import type { Ledger } from '../pricing/ledger';
import type { LedgerLine } from '../pricing/ledger-line';
import { termPrice } from '../pricing/payment-schedule';
import type { Pricing } from '../pricing/pricing';
import type { Derivation, DerivedFrom, PaymentDerivation } from './derivation';
import { explainCharge } from './explain-charge';

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
  const charged = roundMoney(unrounded, line.currency);
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

interface Derived {
  readonly what: DerivedFrom;
  readonly unrounded: Decimal;
}

function derive(pricing: Pricing, ledger: Ledger, line: LedgerLine, scale: Decimal): Derived {
  const { source, month } = line;
  const { candidate } = ledger;
  switch (source.kind) {
    case 'charge':
      return explainCharge(pricing, candidate, source, month, scale);
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
  const { basis, months: horizon } = pricing.file;
  const key = JSON.stringify(line.source);
  const payments = ledger.payments.filter((payment) => JSON.stringify(payment.source) === key);
  const length = (covers: number, month: number) => (covers === 0 ? horizon - month : covers);
  const ordinal = payments.findLastIndex(({ month }) => month <= line.month);
  const payment = payments[ordinal];
  if (!payment) throw new RangeError('This line is not one of the ledger');
  const part = basis === 'spread' ? { number: line.month - payment.month + 1, of: length(payment.covers, payment.month) } : null;
  const upTo = (parts: number) => roundMoney(payment.charged.times(parts).div(part?.of ?? 1), payment.currency);
  const unrounded = part ? upTo(part.number).minus(upTo(part.number - 1)) : payment.charged;
  return { what: { ...named(pricing, ledger, line, ordinal), payment: payment.charged, covers: payment.covers, part }, unrounded };
}

type Named = Omit<PaymentDerivation, 'payment' | 'covers' | 'part'>;

function named(pricing: Pricing, { candidate }: Ledger, { source }: LedgerLine, ordinal: number): Named {
  const plain = { kind: 'payment', term: null, ordinal, introductory: false, count: 1 } as const;
  if (source.kind === 'joining-fee') {
    const fee = pricing.plan(source.plan).plan.once?.[source.index];
    return { ...plain, label: fee?.label ?? '', price: decimal(fee?.amount ?? '0') };
  }
  if (source.kind === 'extra') {
    const extra = candidate.extras?.[source.index];
    return { ...plain, label: extra?.label ?? '', price: decimal(extra?.amount ?? '0') };
  }
  if (source.kind !== 'term') throw new RangeError('This line is not a payment');
  const part = source.owner === 'plan' ? pricing.plan(source.id).plan : pricing.addon(source.id);
  const term = part.terms?.find(({ id }) => id === source.term);
  if (!term) throw new RangeError(`There is no term ${source.term}`);
  const count =
    source.owner === 'plan'
      ? 1
      : (candidate.addons?.find(({ addon, term: used }) => addon === source.id && used === source.term)?.count ?? 1);
  return {
    ...plain,
    label: part.label,
    term,
    introductory: ordinal < (term.intro?.periods ?? 0),
    price: termPrice(term, ordinal) ?? ZERO,
    count,
  };
}

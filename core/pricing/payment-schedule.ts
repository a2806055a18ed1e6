import { type Decimal, decimal, fraction, ONE } from '../amount/decimal';
import { roundMoney } from '../amount/currencies';
import type { Candidate, Extra } from '../decision-file/candidate-schema';
import type { Term } from '../decision-file/price-sheet-schema';
import type { Bucket, LineSource } from './ledger-line';
import type { Pricing } from './pricing';

/** A payment that falls due whatever the sales: for a term, on joining, or for an extra. */
export interface ScheduledPayment {
  /** Month index in which it is paid. */
  readonly month: number;
  /** Months it pays for; 0 = once and for good. */
  readonly covers: number;
  /** Rounded in its own currency (decision file §3, Terms). */
  readonly charged: Decimal;
  readonly currency: string;
  readonly bucket: Bucket;
  readonly source: LineSource;
  readonly taxExcluded: boolean;
}

/** All payments of a candidate that joins in the first month and stays to the end of the horizon. */
export function paymentSchedule(pricing: Pricing, candidate: Candidate): ScheduledPayment[] {
  const { months: horizon, currency: base } = pricing.file;
  const plans = candidate.plans.flatMap(({ plan: id, term: termId }) => {
    const { plan } = pricing.plan(id);
    const shared = { currency: plan.currency, taxExcluded: plan.taxExcluded ?? false };
    const term = termPayments(findTerm(plan.terms, termId), 1, horizon, {
      ...shared,
      bucket: 'plan',
      source: { kind: 'term', owner: 'plan', id, term: termId },
    });
    const joining = (plan.once ?? []).map<ScheduledPayment>(({ amount }, index) => ({
      ...shared,
      month: 0,
      covers: 0,
      charged: roundMoney(decimal(amount), plan.currency),
      bucket: 'once',
      source: { kind: 'joining-fee', plan: id, index },
    }));
    return [...term, ...joining];
  });
  const addons = (candidate.addons ?? []).flatMap(({ addon: id, term: termId, count }) => {
    const addon = pricing.addon(id);
    if (termId === undefined) return [];
    return termPayments(findTerm(addon.terms ?? [], termId), count ?? 1, horizon, {
      currency: addon.currency,
      taxExcluded: addon.taxExcluded ?? false,
      bucket: 'addon',
      source: { kind: 'term', owner: 'addon', id, term: termId },
    });
  });
  const extras = (candidate.extras ?? []).flatMap((extra, index) => extraPayments(extra, index, horizon, base));
  return [...plans, ...addons, ...extras];
}

/** Whether a term's price or introductory price is not known (decision file, Conventions). */
export function isTermNotKnown(term: Term): boolean {
  return term.price === null || (term.intro !== undefined && 'price' in term.intro && term.intro.price === null);
}

/**
 * What the n-th payment of a term costs, before rounding: the introductory price for the first `periods`
 * payments, then the renewal price (decision file §3, Terms).
 *
 * @param ordinal - 0 for the first payment
 * @returns `null` if the price is not known
 */
export function termPrice(term: Term, ordinal: number): Decimal | null {
  if (isTermNotKnown(term) || term.price === null) return null;
  const price = decimal(term.price);
  const { intro } = term;
  if (!intro || ordinal >= intro.periods) return price;
  if ('off' in intro) return price.times(ONE.minus(fraction(intro.off)));
  return intro.price === null ? null : decimal(intro.price);
}

/** The term of an id among those of a plan or add-on. */
export function findTerm(terms: readonly Term[], id: string): Term {
  const term = terms.find((one) => one.id === id);
  if (!term) throw new RangeError(`There is no term ${id}`);
  return term;
}

function termPayments(
  term: Term,
  count: number,
  horizon: number,
  shared: Pick<ScheduledPayment, 'currency' | 'bucket' | 'source' | 'taxExcluded'>,
): ScheduledPayment[] {
  const payments: ScheduledPayment[] = [];
  const first = Math.floor((term.trialDays ?? 0) / 30);
  for (let month = first, ordinal = 0; month < horizon; month += term.months, ordinal++) {
    const price = termPrice(term, ordinal);
    if (price === null) return [];
    payments.push({ ...shared, month, covers: term.months, charged: roundMoney(price.times(count), shared.currency) });
    if (term.months === 0) break;
  }
  return payments;
}

function extraPayments(extra: Extra, index: number, horizon: number, base: string): ScheduledPayment[] {
  const currency = extra.currency ?? base;
  const charged = roundMoney(decimal(extra.amount), currency);
  const payments: ScheduledPayment[] = [];
  for (let month = extra.from ?? 0; month < horizon; month += extra.months) {
    payments.push({
      month,
      covers: extra.months,
      charged,
      currency,
      bucket: extra.months === 0 ? 'once' : 'extra',
      source: { kind: 'extra', index },
      taxExcluded: false,
    });
    if (extra.months === 0) break;
  }
  return payments;
}

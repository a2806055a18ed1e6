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
  /** Whether what is not used comes back on leaving (decision file §9). */
  readonly prorated: boolean;
  /** Rounded in its own currency (decision file §3, Terms). */
  readonly charged: Decimal;
  readonly currency: string;
  readonly bucket: Bucket;
  readonly source: LineSource;
  readonly taxExcluded: boolean;
}

/** When and how a candidate is joined. */
export interface Joining {
  /** Month index. */
  readonly month: number;
  /**
   * Whether one comes from another candidate of the same offer: then there is no introductory price, no trial, no
   * joining fee and no extra that is paid once (decision file §9).
   */
  readonly moved: boolean;
}

/** Joined in the first month, from outside. */
export const FROM_THE_START: Joining = { month: 0, moved: false };

/** All payments of a candidate from when it is joined to the end of the horizon. */
export function paymentSchedule(pricing: Pricing, candidate: Candidate, joining: Joining = FROM_THE_START): ScheduledPayment[] {
  const { months: horizon, currency: base } = pricing.file;
  const plans = candidate.plans.flatMap(({ plan: id, term: termId }) => {
    const { plan } = pricing.plan(id);
    const shared = { currency: plan.currency, taxExcluded: plan.taxExcluded ?? false };
    const source = { kind: 'term', owner: 'plan', id, term: termId } as const;
    const term = termPayments(findTerm(plan.terms, termId), 1, joining, horizon, { ...shared, bucket: 'plan', source });
    const joiningFees = joining.moved ? [] : (plan.once ?? []);
    const once = joiningFees.map<ScheduledPayment>(({ amount }, index) => ({
      ...shared,
      month: joining.month,
      covers: 0,
      prorated: false,
      charged: roundMoney(decimal(amount), plan.currency),
      bucket: 'once',
      source: { kind: 'joining-fee', plan: id, index },
    }));
    return [...term, ...once];
  });
  const addons = (candidate.addons ?? []).flatMap(({ addon: id, term: termId, count }) => {
    const addon = pricing.addon(id);
    if (termId === undefined) return [];
    return termPayments(findTerm(addon.terms ?? [], termId), count ?? 1, joining, horizon, {
      currency: addon.currency,
      taxExcluded: addon.taxExcluded ?? false,
      bucket: 'addon',
      source: { kind: 'term', owner: 'addon', id, term: termId },
    });
  });
  const extras = (candidate.extras ?? []).flatMap((extra, index) => extraPayments(extra, index, joining, horizon, base));
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
  joining: Joining,
  horizon: number,
  shared: Pick<ScheduledPayment, 'currency' | 'bucket' | 'source' | 'taxExcluded'>,
): ScheduledPayment[] {
  const payments: ScheduledPayment[] = [];
  const prices = new Map<number, Decimal>();
  const introductory = joining.moved ? 0 : (term.intro?.periods ?? 0);
  const priceOf = (ordinal: number): Decimal | null => {
    // All payments after the introductory ones cost the same.
    const kind = Math.min(ordinal, introductory);
    const known = prices.get(kind);
    if (known) return known;
    const price = termPrice(term, joining.moved ? Infinity : kind);
    if (price === null) return null;
    const charged = roundMoney(price.times(count), shared.currency);
    prices.set(kind, charged);
    return charged;
  };
  const trial = joining.moved ? 0 : Math.floor((term.trialDays ?? 0) / 30);
  for (let month = joining.month + trial, ordinal = 0; month < horizon; month += term.months, ordinal++) {
    const charged = priceOf(ordinal);
    if (charged === null) return [];
    payments.push({ ...shared, month, covers: term.months, prorated: term.prorated ?? false, charged });
    if (term.months === 0) break;
  }
  return payments;
}

function extraPayments(extra: Extra, index: number, joining: Joining, horizon: number, base: string): ScheduledPayment[] {
  if (joining.moved && extra.months === 0) return [];
  const currency = extra.currency ?? base;
  const charged = roundMoney(decimal(extra.amount), currency);
  const payments: ScheduledPayment[] = [];
  for (let month = joining.month + (extra.from ?? 0); month < horizon; month += extra.months) {
    payments.push({
      month,
      covers: extra.months,
      prorated: false,
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

import { type Decimal, decimal } from '../amount/decimal';
import { roundMoney } from '../amount/currencies';
import type { Candidate, Extra } from '../decision-file/candidate-schema';
import type { Term } from '../decision-file/price-sheet-schema';
import { constant, figure, product } from '../rules/expression/build';
import type { Expression } from '../rules/expression/expression';
import { isTermNotKnown } from '../rules/terms/term';
import { FROM_THE_START, type Joining, type TermPayment, termPayments } from '../rules/terms/term-payments';
import { exactConstant } from './constant-values';
import type { Bucket, LineSource } from './ledger-line';
import type { Pricing } from './pricing';

export { FROM_THE_START, type Joining, isTermNotKnown };

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
  /** What it costs before rounding, for all of a count, in its currency. */
  readonly price: Expression;
  readonly currency: string;
  readonly bucket: Bucket;
  readonly source: LineSource;
  readonly taxExcluded: boolean;
  /** Which payment of its term it is, 0 for the first, and which price it costs; null for what has no term. */
  readonly ofTerm: Pick<TermPayment, 'ordinal' | 'price'> | null;
}

/** All payments of a candidate from when it is joined to the end of the horizon. */
export function paymentSchedule(pricing: Pricing, candidate: Candidate, joining: Joining = FROM_THE_START): ScheduledPayment[] {
  const plans = candidate.plans.flatMap((_, entry) => [
    ...planPayments(pricing, candidate, entry, joining),
    ...joiningFees(pricing, candidate, entry, joining),
  ]);
  const addons = (candidate.addons ?? []).flatMap(({ addon: id, term: termId, count = 1 }) => {
    const addon = pricing.addon(id);
    if (termId === undefined) return [];
    return paymentsOfTerm(
      pricing,
      findTerm(addon.terms ?? [], termId),
      { part: id, count, joining, extraMonths: 0 },
      {
        currency: addon.currency,
        taxExcluded: addon.taxExcluded ?? false,
        bucket: 'addon',
        source: { kind: 'term', owner: 'addon', id, term: termId },
      },
    );
  });
  const extras = (candidate.extras ?? []).flatMap((extra, index) => extraPayments(pricing, candidate, extra, index, joining));
  return [...plans, ...addons, ...extras];
}

/** The payments of the term of one of a candidate's plans. */
export function planPayments(pricing: Pricing, { plans }: Candidate, entry: number, joining: Joining): ScheduledPayment[] {
  const used = plans[entry];
  if (!used) return [];
  const { plan } = pricing.plan(used.plan);
  const as = { part: plan.id, count: 1, joining, extraMonths: used.extraMonths ?? 0 };
  return paymentsOfTerm(pricing, findTerm(plan.terms, used.term), as, {
    currency: plan.currency,
    taxExcluded: plan.taxExcluded ?? false,
    bucket: 'plan',
    source: { kind: 'term', owner: 'plan', id: plan.id, term: used.term },
  });
}

function joiningFees(pricing: Pricing, { plans }: Candidate, entry: number, joining: Joining): ScheduledPayment[] {
  const used = plans[entry];
  if (!used || joining.moved) return [];
  const { plan } = pricing.plan(used.plan);
  return (plan.once ?? []).map(({ amount }, index) => ({
    month: joining.month,
    covers: 0,
    prorated: false,
    charged: roundMoney(decimal(amount), plan.currency),
    price: figure(amount, { part: plan.id, line: 'once', id: String(index), field: 'price' }),
    currency: plan.currency,
    taxExcluded: plan.taxExcluded ?? false,
    bucket: 'once',
    source: { kind: 'joining-fee', plan: plan.id, index },
    ofTerm: null,
  }));
}

/** The term of an id among those of a plan or add-on. */
export function findTerm(terms: readonly Term[], id: string): Term {
  const term = terms.find((one) => one.id === id);
  if (!term) throw new RangeError(`There is no term ${id}`);
  return term;
}

interface TermPaid {
  readonly part: string;
  readonly count: number;
  readonly joining: Joining;
  readonly extraMonths: number;
}

function paymentsOfTerm(
  { file }: Pricing,
  term: Term,
  { part, count, joining, extraMonths }: TermPaid,
  shared: Pick<ScheduledPayment, 'currency' | 'bucket' | 'source' | 'taxExcluded'>,
): ScheduledPayment[] {
  if (isTermNotKnown(term)) return [];
  const payments = termPayments(term, { joining, start: file.start, months: file.months, part, extraMonths });
  const priced = new Map<Expression, { whole: Expression; charged: Decimal }>();
  return payments.map(({ month, covers, ordinal, price, amount }) => {
    const { whole, charged } = priced.get(amount) ?? pricedFor(amount, count, shared.currency);
    priced.set(amount, { whole, charged });
    const { currency, bucket, source, taxExcluded } = shared;
    const ofTerm = { ordinal, price };
    // Routes make thousands of these: their fields are named one by one.
    return { month, covers, prorated: term.prorated ?? false, charged, price: whole, currency, bucket, source, taxExcluded, ofTerm };
  });
}

function pricedFor(amount: Expression, count: number, currency: string): { whole: Expression; charged: Decimal } {
  const whole = count === 1 ? amount : product(amount, constant(String(count)));
  return { whole, charged: roundMoney(exactConstant(whole), currency) };
}

function extraPayments({ file }: Pricing, candidate: Candidate, extra: Extra, index: number, joining: Joining): ScheduledPayment[] {
  if (joining.moved && extra.months === 0) return [];
  const currency = extra.currency ?? file.currency;
  const charged = roundMoney(decimal(extra.amount), currency);
  const price = figure(extra.amount, { part: candidate.id, line: 'extra', id: String(index), field: 'price' });
  const payments: ScheduledPayment[] = [];
  for (let month = joining.month + (extra.from ?? 0); month < file.months; month += extra.months) {
    payments.push({
      month,
      covers: extra.months,
      prorated: false,
      charged,
      price,
      currency,
      bucket: extra.months === 0 ? 'once' : 'extra',
      source: { kind: 'extra', index },
      taxExcluded: false,
      ofTerm: null,
    });
    if (extra.months === 0) break;
  }
  return payments;
}

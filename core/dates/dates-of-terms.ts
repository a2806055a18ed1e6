import type { Decimal } from '../amount/decimal';
import { moneyText, roundMoney } from '../amount/currencies';
import { addDays, addMonthsToDay } from '../calendar/day-steps';
import { monthsBetween } from '../calendar/month';
import type { Candidate } from '../decision-file/candidate-schema';
import type { Term } from '../decision-file/price-sheet-schema';
import { exactConstant } from '../pricing/constant-values';
import { findTerm } from '../pricing/payment-schedule';
import type { Pricing } from '../pricing/pricing';
import type { Expression } from '../rules/expression/expression';
import { isTermNotKnown } from '../rules/terms/term';
import { FROM_THE_START, type TermPayment, termPayments } from '../rules/terms/term-payments';
import type { DateThatMatters, Used } from './date-that-matters';

/** Terms shorter than this renew so often that nobody wants to be told. */
const LEAST_MONTHS_TOLD = 3;

/** Of a candidate that is joined on a day: what follows from its terms. */
export function datesOfCandidate(
  pricing: Pricing,
  { candidate: id, from, months }: Used,
  index: number,
  joined: string,
  before: string | undefined,
): DateThatMatters[] {
  const candidate = pricing.file.candidates.find((one) => one.id === id);
  if (!candidate) return [];
  const key = `${id}${index > 0 ? `.${index}` : ''}`;
  const isMove = from > 0;
  const isWithin = isMove && before !== undefined && offerOf(pricing, before) === offerOf(pricing, id);
  const begins: DateThatMatters = isMove
    ? { id: `move.${key}`, kind: 'move', on: joined, about: candidate.label, atStake: null }
    : { id: `joins.${key}`, kind: 'joins', on: joined, about: candidate.label, atStake: null };
  const until = addMonthsToDay(joined, months);
  return [
    begins,
    ...termsOf(pricing, candidate).flatMap((used) =>
      datesOfTerm({ ...used, pricing, key: `${key}.${used.part}`, term: isWithin ? asKnownCustomer(used.term) : used.term, joined, until }),
    ),
  ];
}

function offerOf(pricing: Pricing, id: string): string | undefined {
  const plan = pricing.file.candidates.find((one) => one.id === id)?.plans[0]?.plan;
  return plan === undefined ? undefined : pricing.plan(plan).offer.id;
}

/** Moving inside an offer there is no introductory price and no trial (decision file §9). */
function asKnownCustomer({ intro: _intro, trialDays: _trialDays, refundDays: _refundDays, ...term }: Term): Term {
  return term;
}

interface UsedTerm {
  readonly part: string;
  readonly label: string;
  readonly term: Term;
  readonly count: number;
  /** Months that come on top of the first payment's. */
  readonly extraMonths: number;
  readonly currency: string;
}

function termsOf(pricing: Pricing, { plans, addons = [] }: Candidate): UsedTerm[] {
  return [
    ...plans.map(({ plan: id, term, extraMonths = 0 }) => {
      const { plan, offer } = pricing.plan(id);
      return {
        part: id,
        label: `${offer.label || offer.vendor} ${plan.label}`.trim(),
        term: findTerm(plan.terms, term),
        count: 1,
        extraMonths,
        currency: plan.currency,
      };
    }),
    ...addons.flatMap(({ addon: id, term, count = 1 }) => {
      const addon = pricing.addon(id);
      return term === undefined
        ? []
        : [{ part: id, label: addon.label, term: findTerm(addon.terms ?? [], term), count, extraMonths: 0, currency: addon.currency }];
    }),
  ];
}

interface DatedTerm extends UsedTerm {
  readonly pricing: Pricing;
  readonly key: string;
  readonly joined: string;
  readonly until: string;
}

function datesOfTerm(used: DatedTerm): DateThatMatters[] {
  const { key, label, term, joined } = used;
  const payments = paymentsUntil(used);
  const firstPaid = addDays(joined, term.trialDays ?? 0);
  const first = payments[0]?.amount ?? null;
  const dates: DateThatMatters[] = [];
  const text = (amount: Decimal | null) => (amount === null ? null : moneyText(amount, used.pricing.file.currency));
  const about = { about: label, atStake: text(first) };
  if (term.trialDays) dates.push({ id: `trial-ends.${key}`, kind: 'trial-ends', on: firstPaid, ...about, months: term.months });
  if (term.refundDays && first?.gt(0))
    dates.push({ id: `refund-ends.${key}`, kind: 'refund-ends', on: addDays(firstPaid, term.refundDays), ...about });
  let rises = 0;
  payments.slice(1).forEach(({ on, amount, price, covers }, index) => {
    const before = payments[index];
    const rise = before?.amount && amount && before.price !== price ? amount.minus(before.amount) : null;
    const due = { on, about: label, months: covers };
    if (rise && !rise.isZero()) {
      rises += 1;
      const id = `price-rises.${key}${rises > 1 ? `.${rises}` : ''}`;
      dates.push({ ...due, id, kind: 'price-rises', atStake: text(rise), detail: text(amount) ?? '' });
    } else if (covers >= LEAST_MONTHS_TOLD)
      dates.push({ ...due, id: `renewal.${key}.${index + 1}`, kind: 'renewal', atStake: text(amount) });
  });
  return dates;
}

/** A payment of a term on its day; base currency, null where it is not known. */
interface PaymentOnDay {
  readonly on: string;
  readonly amount: Decimal | null;
  readonly price: TermPayment['price'];
  readonly covers: number;
}

/** The payments of a term that fall due before a day (decision file §3, Terms). */
function paymentsUntil({ pricing, part, term, count, currency, extraMonths, joined, until }: DatedTerm): PaymentOnDay[] {
  const base = pricing.file.currency;
  const start = joined.slice(0, 7);
  const months = Math.max(1, monthsBetween(start, until.slice(0, 7)) + 1);
  const payments = termPayments(term, {
    joining: FROM_THE_START,
    start,
    months: Math.floor((term.trialDays ?? 0) / 30) + months,
    part,
    extraMonths,
  });
  const firstPaid = addDays(joined, term.trialDays ?? 0);
  const firstMonth = payments[0]?.month ?? 0;
  const inBase = (amount: Expression) =>
    roundMoney(roundMoney(exactConstant(amount).times(count), currency).times(pricing.rate(currency)), base);
  const isKnown = !isTermNotKnown(term);
  return payments
    .map(({ month, amount, price, covers }, index) => ({
      on: index === 0 ? firstPaid : addMonthsToDay(firstPaid, month - firstMonth),
      amount: isKnown ? inBase(amount) : null,
      price,
      covers,
    }))
    .filter(({ on }, index) => index === 0 || on < until);
}

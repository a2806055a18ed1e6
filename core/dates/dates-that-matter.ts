import { decimal, type Decimal, sum } from '../amount/decimal';
import { moneyText, roundMoney } from '../amount/currencies';
import { daysBetween } from '../calendar/day';
import { addDays, addMonthsToDay } from '../calendar/day-steps';
import { monthsBetween } from '../calendar/month';
import type { PricedDecision } from '../comparison/decision-result';
import { assembleDecisionFile } from '../assembly/assemble';
import { benchInVersion, type Workbench } from '../decision/workbench';
import { sheetLabel } from '../decision/sheet-label';
import type { Candidate } from '../decision-file/candidate-schema';
import type { Term } from '../decision-file/price-sheet-schema';
import { exceededLimits } from '../pricing/limits';
import { exactConstant } from '../pricing/constant-values';
import { findTerm } from '../pricing/payment-schedule';
import type { Expression } from '../rules/expression/expression';
import { isTermNotKnown } from '../rules/terms/term';
import { FROM_THE_START, type TermPayment, termPayments } from '../rules/terms/term-payments';
import { preparePricing, type Pricing } from '../pricing/pricing';
import { partsOf } from '../price-sheet/parts';
import { offerEnds } from '../price-sheet/offer-ends';
import { pairBreakEvens } from '../what-if/break-evens';
import { lookAtOffers } from '../what-if/offers';
import type { GivenVerdict } from '../decision/verdict-schema';
import { USUAL_LOOK_AGAIN_DAYS } from '../decision/dates-schema';

/** Why a day matters. */
export type DateKind =
  | 'joins'
  | 'trial-ends'
  | 'refund-ends'
  | 'price-rises'
  | 'renewal'
  | 'offer-ends'
  | 'limit-reached'
  | 'break-even'
  | 'move'
  | 'look-again'
  | 'verdict-again'
  | 'own';

/** A day that matters. */
export interface DateThatMatters {
  /** Stays the same when the day or its money changes, so that a calendar knows it again. */
  readonly id: string;
  readonly kind: DateKind;
  /** `YYYY-MM-DD`. */
  readonly on: string;
  /** What it is about: a plan, an add-on, a candidate, a price sheet, the person's own words. */
  readonly about: string;
  /** Base currency; null where no money is at stake or it is not known. */
  readonly atStake: string | null;
  /** Of a rise: what is paid from then on; of a limit: its name; of a break-even: the level of monthly sales. */
  readonly detail?: string;
  /** Of a term: how many months a payment is for. */
  readonly months?: number;
  /** Of a limit: it is reached only if sales come out hopeful. */
  readonly isIfHopeful?: boolean;
}

/** A candidate that is used, from a month of the horizon on. */
export interface Used {
  readonly candidate: string;
  /** Month index, and for how many months. */
  readonly from: number;
  readonly months: number;
  /** Of two together: ids of the streams that go through it. */
  readonly streams?: readonly string[];
}

/** Looked at again half a year after a verdict. */
const VERDICT_AGAIN_DAYS = 182;

/** Terms shorter than this renew so often that nobody wants to be told. */
const LEAST_MONTHS_TOLD = 3;

/** What a verdict or, without one, the cheapest candidate makes use of. */
export function usedIn(verdict: GivenVerdict | undefined, priced: PricedDecision): Used[] {
  const { start, months, candidates, forecast } = priced.pricing.file;
  const isThere = (id: string) => candidates.some((candidate) => candidate.id === id);
  if (!verdict) return priced.result.cheapest === null ? [] : [{ candidate: priced.result.cheapest, from: 0, months }];
  return verdict.parts
    .filter(({ candidate }) => isThere(candidate))
    .map(({ candidate, segment, streams }) => ({
      candidate,
      from: segment ? Math.max(0, monthsBetween(start, segment.from)) : 0,
      months: segment?.months ?? months,
      ...(streams ? { streams: forecast.streams.filter(({ id, label }) => streams.includes(label || id)).map(({ id }) => id) } : {}),
    }));
}

/**
 * The days that matter for what is used: trial ends, refund windows, rises of the price, renewals, offers that end,
 * limits and break-evens that the forecast reaches, moves, days to look again, and the person's own; the earliest first.
 */
export function datesThatMatter(workbench: Workbench, priced: PricedDecision, verdict: GivenVerdict | undefined): DateThatMatters[] {
  const { decision } = workbench;
  const { pricing } = priced;
  const used = usedIn(verdict, priced);
  const joins = decision.dates?.joins ?? `${decision.start}-01`;
  const all = [
    ...used.flatMap((one, index) => datesOfCandidate(pricing, one, index, addMonthsToDay(joins, one.from), used[index - 1]?.candidate)),
    ...limitsReached(workbench, pricing, used),
    ...breakEvensReached(priced, used),
    ...offersEnding(workbench, priced, verdict ? used : decision.candidates.map(({ id }) => ({ candidate: id }))),
    ...lookAgain(workbench, used, pricing),
    ...(verdict
      ? [
          {
            id: 'verdict-again',
            kind: 'verdict-again' as const,
            on: addDays(verdict.on, VERDICT_AGAIN_DAYS),
            about: '',
            atStake: verdict.runnerUp?.margin ?? null,
          },
        ]
      : []),
    ...(decision.dates?.own ?? []).map(({ id, on, what }) => ({ id: `own.${id}`, kind: 'own' as const, on, about: what, atStake: null })),
  ];
  const key = ({ on, id }: (typeof all)[number]) => `${on} ${id}`;
  return all.sort((a, b) => (key(a) < key(b) ? -1 : 1));
}

/** Of a candidate that is joined on a day: what follows from its terms. */
function datesOfCandidate(
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
  payments.slice(1).forEach(({ on, amount, price, covers }, index) => {
    const before = payments[index];
    const rise = before?.amount && amount && before.price !== price ? amount.minus(before.amount) : null;
    const due = { on, about: label, months: covers };
    if (rise && !rise.isZero())
      dates.push({ ...due, id: `price-rises.${key}`, kind: 'price-rises', atStake: text(rise), detail: text(amount) ?? '' });
    else if (covers >= LEAST_MONTHS_TOLD) dates.push({ ...due, id: `renewal.${key}.${index + 1}`, kind: 'renewal', atStake: text(amount) });
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

/** The first month in which each limit is reached by the forecast, or, where it does not reach it, if sales come out hopeful. */
function limitsReached(workbench: Workbench, pricing: Pricing, used: readonly Used[]): DateThatMatters[] {
  const hopeful = preparePricing(assembleDecisionFile(benchInVersion(workbench, 'hopeful')).file);
  return used.flatMap(({ candidate }) => {
    const expected = limitReached(pricing, candidate);
    const others = limitReached(hopeful, candidate).filter(({ id }) => expected.every((one) => one.id !== id));
    return [...expected, ...others.map((date) => ({ ...date, isIfHopeful: true }))];
  });
}

/** The first month in which each limit is reached, where the forecast reaches it. */
function limitReached(pricing: Pricing, id: string): DateThatMatters[] {
  const candidate = pricing.file.candidates.find((one) => one.id === id);
  if (!candidate) return [];
  const seen = new Set<string>();
  return exceededLimits(pricing, candidate).flatMap(({ limit, month }) => {
    if (seen.has(limit)) return [];
    seen.add(limit);
    return [
      {
        id: `limit-reached.${id}.${limit}`,
        kind: 'limit-reached' as const,
        on: addMonthsToDay(`${pricing.file.start}-01`, month),
        about: candidate.label,
        atStake: null,
        detail: limit,
      },
    ];
  });
}

/** The month whose sales first make another candidate the cheaper one; at stake is what it costs less from then on. */
function breakEvensReached({ pricing, result }: PricedDecision, used: readonly Used[]): DateThatMatters[] {
  const { file } = pricing;
  const [first] = used;
  if (used.length !== 1 || !first) return [];
  const monthlyOf = (id: string) => result.candidates.find((one) => one.id === id)?.monthly ?? [];
  return pairBreakEvens(file)
    .filter(({ a, b }) => a === first.candidate || b === first.candidate)
    .flatMap(({ a, b, points }) => {
      const other = a === first.candidate ? b : a;
      const canBeUsed = result.candidates.some(({ id, usable, unknown }) => id === other && usable && unknown.length === 0);
      const point = points.find(({ above, reached }) => above === other && reached !== null);
      if (!canBeUsed || !point?.reached) return [];
      const month = monthsBetween(file.start, point.reached.month);
      const less = sum(monthlyOf(first.candidate).slice(month).map(decimal)).minus(sum(monthlyOf(other).slice(month).map(decimal)));
      const label = file.candidates.find(({ id }) => id === other)?.label ?? other;
      return [
        {
          id: `break-even.${first.candidate}.${other}`,
          kind: 'break-even' as const,
          on: `${point.reached.month}-01`,
          about: label,
          atStake: less.gt(0) ? moneyText(less, file.currency) : null,
          detail: point.monthlySales,
        },
      ];
    });
}

/** Special offers of candidates, where a price sheet says until when they hold. */
function offersEnding(
  workbench: Workbench,
  { pricing }: PricedDecision,
  of: ReadonlyArray<{ readonly candidate: string }>,
): DateThatMatters[] {
  const ids = new Set(of.map(({ candidate }) => candidate));
  return lookAtOffers(pricing.file, []).offers.flatMap(({ id, part, term, label, candidates, saves }) => {
    const on = candidates.some((candidate) => ids.has(candidate)) ? offerEnds(workbench, part, term) : null;
    return on === null
      ? []
      : [{ id: `offer-ends.${id.replaceAll(' ', '.')}`, kind: 'offer-ends' as const, on, about: label, atStake: saves }];
  });
}

/** When to look at the price sheets that are used again. */
function lookAgain({ sheets, decision }: Workbench, used: readonly Used[], pricing: Pricing): DateThatMatters[] {
  const after = decision.dates?.lookAgain ?? USUAL_LOOK_AGAIN_DAYS;
  const parts = new Set(
    pricing.file.candidates
      .filter(({ id }) => used.some(({ candidate }) => candidate === id))
      .flatMap(({ plans, addons = [], payments }) => [
        ...plans.map(({ plan }) => plan),
        ...addons.map(({ addon }) => addon),
        ...(typeof payments === 'string' ? [payments] : (payments ?? []).map(({ use }) => use)),
      ]),
  );
  return sheets.flatMap(({ id, sheet }) => {
    if (!sheet.seen || !partsOf(sheet).some((part) => parts.has(part.id))) return [];
    return [
      { id: `look-again.${id}`, kind: 'look-again' as const, on: addDays(sheet.seen, after), about: sheetLabel(sheet), atStake: null },
    ];
  });
}

/** How many days are left to a day; less than nothing once it is over. */
export function daysLeft({ on }: DateThatMatters, today: string): number {
  return daysBetween(today, on);
}

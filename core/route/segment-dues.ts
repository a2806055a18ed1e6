import { type Decimal, decimal, fraction, ZERO } from '../amount/decimal';
import { inBaseCurrency, minorDigits, roundMoney } from '../amount/currencies';
import { type MinorUnits, roundedProduct } from '../amount/minor-units';
import type { Candidate } from '../decision-file/candidate-schema';
import { type CandidateCharge, candidateCharges } from '../pricing/candidate-charges';
import { creditPayments, isAgainstPlan, planCredits } from '../pricing/plan-credit';
import type { ExactReading } from '../pricing/exact-reading';
import { findTerm, paymentSchedule, type ScheduledPayment } from '../pricing/payment-schedule';
import { conversionOf, type Pricing, readingWith } from '../pricing/pricing';
import { isChargeNotKnown } from '../rules/charges/charge-rule';
import { runsOverMonths } from '../rules/expression/parts';

/** What is due in a month, all of it and the part that is quoted without tax, in minor units of the base currency. */
export interface Due {
  all: MinorUnits;
  taxExcluded: MinorUnits;
}

/** What is due on a candidate that is joined in a month, as long as one stays, and what leaving adds to the last month. */
export interface SegmentDues {
  /** From the month of joining on; put together anew by every call. */
  dues(): readonly Due[];
  /** All of them together up to a month, not part of it: everything, or the part that is quoted without tax. */
  sumTo(to: number, of: keyof Due): MinorUnits;
  /** @param to - the month in which it is left; nothing is added by staying to the end */
  leaving(to: number): Due;
  /** Whether anything that falls due is quoted without tax. */
  readonly isTaxed: boolean;
}

/** What is due by when and how a candidate is joined. */
export interface DuesByStart {
  /** @param moved - whether one comes from another candidate of the same offer */
  joinedIn(from: number, moved: boolean): SegmentDues;
  /** Whether the month of joining does not matter: only for how long one stays, and whether that is to the end. */
  readonly isAlwaysAlike: boolean;
}

const NOTHING_DUE: Due = { all: 0, taxExcluded: 0 };

/** Which parts of a candidate count. */
export interface CountedParts {
  /** The candidate with the payments that count. */
  readonly paid: Candidate;
  /** Whether a charge of the whole candidate counts. */
  counts(charge: CandidateCharge): boolean;
}

/** Prepares what is due on a candidate by when and how it is joined (decision file §9): payments, charges and own time. */
export function segmentDues(pricing: Pricing, candidate: Candidate, { paid, counts }: CountedParts): DuesByStart {
  const { currency, hourValue = '0' } = pricing.file;
  const charges = candidateCharges(pricing, candidate).filter((one) => !isChargeNotKnown(one.charge) && counts(one));
  const payments = paymentsByStart(pricing, candidate, paid, charges);
  const monthly = chargesByStart(pricing, candidate, charges);
  const hours = { setup: '0', monthly: '0', ...candidate.hours };
  const worth = (spent: Decimal) => units(currency, roundMoney(spent.times(hourValue), currency));
  const usualTime = worth(decimal(hours.monthly));
  const firstTime = worth(decimal(hours.setup).plus(hours.monthly));
  return {
    isAlwaysAlike: payments.isAlwaysAlike && charges.length === 0,
    joinedIn(from, moved) {
      const { since: paid, leaving } = payments.joinedIn(from, moved);
      const { since: charged, first } = monthly(from);
      const more = moved ? 0 : firstTime - usualTime;
      return {
        dues: () =>
          charged.dues.slice(first).map((charge, index): Due => {
            const { all, taxExcluded } = paid.dues[index] ?? NOTHING_DUE;
            const time = usualTime + (index === 0 ? more : 0);
            return { all: all + charge.all + time, taxExcluded: taxExcluded + charge.taxExcluded };
          }),
        sumTo: (to, of) =>
          (paid[of][to - from] ?? 0) +
          (charged[of][first + to - from] ?? 0) -
          (charged[of][first] ?? 0) +
          (of === 'all' ? usualTime * (to - from) + more : 0),
        leaving,
        isTaxed: paid.isTaxed || charged.isTaxed,
      };
    },
  };
}

/** Dues of months that follow on each other, with the sums of all before each. */
interface Summed {
  readonly dues: readonly Due[];
  readonly all: Float64Array;
  readonly taxExcluded: Float64Array;
  readonly isTaxed: boolean;
}

function summed(dues: readonly Due[]): Summed {
  const [all, taxExcluded] = [new Float64Array(dues.length + 1), new Float64Array(dues.length + 1)];
  dues.forEach((due, index) => {
    all[index + 1] = (all[index] ?? 0) + due.all;
    taxExcluded[index + 1] = (taxExcluded[index] ?? 0) + due.taxExcluded;
  });
  return { dues, all, taxExcluded, isTaxed: dues.some((due) => due.taxExcluded !== 0) };
}

/** Payments on a candidate from the month of joining on. */
interface JoinedPayments extends Pick<SegmentDues, 'leaving'> {
  readonly since: Summed;
}

/** What payments come to by when and how a candidate is joined; where that only moves them, they are worked out once. */
function paymentsByStart(
  pricing: Pricing,
  candidate: Candidate,
  paid: Candidate,
  charges: readonly CandidateCharge[],
): { joinedIn(from: number, moved: boolean): JoinedPayments; readonly isAlwaysAlike: boolean } {
  const { months } = pricing.file;
  const anew = (from: number, moved: boolean): JoinedPayments => {
    const joining = { month: from, moved };
    const credits = planCredits(pricing, candidate, charges, joining);
    const credited = credits.length === 0 ? [] : creditPayments(credits, readingWith(pricing, candidate).joinedIn(from));
    const payments = [...paymentSchedule(pricing, paid, joining), ...credited];
    return {
      since: summed(paymentDues(pricing, payments, from)),
      leaving: (to) => (to < months ? leavingDue(pricing, payments, to) : NOTHING_DUE),
    };
  };
  if (charges.some(isAgainstPlan) || !onlyMovesWithStart(pricing, paid)) return { joinedIn: anew, isAlwaysAlike: false };
  const joined = lazyPair((moved) => ({ ...anew(0, moved), left: new Array<Due | undefined>(months) }));
  return {
    isAlwaysAlike: true,
    joinedIn(from, moved) {
      const { since, leaving, left } = joined(moved);
      return { since, leaving: (to) => (to < months ? (left[to - from] ??= leaving(to - from)) : NOTHING_DUE) };
    },
  };
}

/** What is worked out once for those who come from the same offer, and once for others. */
function lazyPair<Value>(work: (moved: boolean) => Value): (moved: boolean) => Value {
  const found: [Value?, Value?] = [];
  return (moved) => (found[moved ? 1 : 0] ??= work(moved));
}

/** Whether joining later only moves a candidate's payments: no price has a date, and nothing is spread up to the horizon. */
function onlyMovesWithStart(pricing: Pricing, { plans, addons = [] }: Candidate): boolean {
  if (pricing.file.basis === 'spread') return false;
  const terms = [
    ...plans.map(({ plan, term }) => findTerm(pricing.plan(plan).plan.terms, term)),
    ...addons.flatMap(({ addon, term }) => (term === undefined ? [] : [findTerm(pricing.addon(addon).terms ?? [], term)])),
  ];
  return terms.every(({ changes, intro }) => changes === undefined && intro?.until === undefined);
}

/** The payments of parts that run through from one month to another, with tax lines of their own. */
export function runThroughCost(pricing: Pricing, common: Candidate, from = 0, to = pricing.file.months): MinorUnits {
  const tax = taxOn(pricing);
  const payments = paymentSchedule(pricing, common, { month: from, moved: false });
  const dues = paymentDues(pricing, payments, from).slice(0, to - from);
  const last = dues.at(-1);
  if (to < pricing.file.months && last) {
    const leaving = leavingDue(pricing, payments, to);
    last.all += leaving.all;
    last.taxExcluded += leaving.taxExcluded;
  }
  return dues.reduce((total, { all, taxExcluded }) => total + all + tax(taxExcluded), 0);
}

/** An amount of a currency in its whole minor units. */
export function units(currency: string, amount: Decimal): MinorUnits {
  return amount.times(10 ** minorDigits(currency)).toNumber();
}

/** The tax line on what of a month is quoted without tax (decision file §5, Ledger). */
export function taxOn({ file }: Pricing): (taxExcluded: MinorUnits) => MinorUnits {
  const exact = fraction(file.feeTax ?? '0');
  const rate = { exact, number: exact.toNumber() };
  return exact.isZero() ? () => 0 : (taxExcluded) => roundedProduct(taxExcluded, rate);
}

/** What payments come to in each month from one on, in the basis of the file (decision file §1, §3). */
function paymentDues(pricing: Pricing, payments: readonly ScheduledPayment[], from: number): Due[] {
  const { basis, months: horizon } = pricing.file;
  const dues = Array.from({ length: horizon - from }, () => ({ all: 0, taxExcluded: 0 }));
  const add = (payment: ScheduledPayment, month: number, charged: Decimal) => {
    const due = dues[month - from];
    if (!due) return;
    const amount = inBase(pricing, payment, charged);
    due.all += amount;
    if (payment.taxExcluded) due.taxExcluded += amount;
  };
  for (const payment of payments) {
    if (basis !== 'spread') add(payment, payment.month, payment.charged);
    else {
      const length = spreadLength(payment, horizon);
      for (let part = 0; part < length && payment.month + part < horizon; part++)
        add(payment, payment.month + part, upTo(payment, part + 1, length).minus(upTo(payment, part, length)));
    }
  }
  return dues;
}

/** The lines that leaving before the horizon's end adds to the last month (decision file §9). */
function leavingDue(pricing: Pricing, payments: readonly ScheduledPayment[], to: number): Due {
  const { basis, months: horizon } = pricing.file;
  const due = { all: 0, taxExcluded: 0 };
  for (const payment of payments) {
    if (payment.month >= to) continue;
    const line = basis === 'spread' ? restOfSpread(payment, to, horizon) : notUsed(payment, to);
    if (line.isZero()) continue;
    const amount = inBase(pricing, payment, line);
    due.all += amount;
    if (payment.taxExcluded) due.taxExcluded += amount;
  }
  return due;
}

/** What the unused months of a prorated payment bring back, as a line of the other sign. */
function notUsed({ prorated, charged, month, covers, currency }: ScheduledPayment, to: number): Decimal {
  const unused = month + covers - to;
  if (!prorated || covers === 0 || unused <= 0) return ZERO;
  return roundMoney(charged.times(unused).div(covers), currency).neg();
}

/** All parts past the month of leaving, those past the horizon too; nothing of what comes back. */
function restOfSpread(payment: ScheduledPayment, to: number, horizon: number): Decimal {
  const { month, charged, prorated, covers } = payment;
  const length = spreadLength(payment, horizon);
  if (month + length <= to || (prorated && covers > 0)) return ZERO;
  return charged.minus(upTo(payment, to - month, length));
}

function spreadLength({ month, covers }: ScheduledPayment, horizon: number): number {
  return covers === 0 ? horizon - month : covers;
}

function upTo({ charged, currency }: ScheduledPayment, part: number, length: number): Decimal {
  return roundMoney(charged.times(part).div(length), currency);
}

function inBase(pricing: Pricing, { currency }: ScheduledPayment, charged: Decimal): MinorUnits {
  return units(pricing.file.currency, inBaseCurrency(charged, currency, pricing.rate(currency), pricing.file.currency));
}

/** Charges from a start on: sums of which the start's month is at a place of its own. */
interface JoinedCharges {
  readonly since: Summed;
  readonly first: number;
}

/** Charges by month from a start on; only what runs over months depends on the start. */
function chargesByStart(pricing: Pricing, candidate: Candidate, charges: readonly CandidateCharge[]): (from: number) => JoinedCharges {
  const { months } = pricing.file;
  const whole = readingWith(pricing, candidate);
  const monthly = charges.filter((one) => !isAgainstPlan(one));
  const lineOf = ({ charge, owner, rule: { amount } }: CandidateCharge, reading: ExactReading) => {
    const inBase = conversionOf(pricing, owner.currency);
    const amounts = reading.rounded(amount, owner.currency).map((one) => inBase(charge.credit ? one.negated() : one).units);
    return { amounts, isTaxExcluded: owner.taxExcluded };
  };
  const always = monthly.filter(({ rule }) => !runsOverMonths(rule.amount)).map((one) => lineOf(one, whole));
  const running = monthly.filter(({ rule }) => runsOverMonths(rule.amount));
  const from = (month: number, more: typeof always): JoinedCharges => {
    const dues = Array.from({ length: months - month }, () => ({ all: 0, taxExcluded: 0 }));
    for (const { amounts, isTaxExcluded } of [...always, ...more])
      dues.forEach((due, index) => {
        const amount = amounts[month + index] ?? 0;
        due.all += amount;
        if (isTaxExcluded) due.taxExcluded += amount;
      });
    return { since: summed(dues), first: 0 };
  };
  if (running.length > 0)
    return (month) => {
      const joined = whole.joinedIn(month);
      return from(
        month,
        running.map((one) => lineOf(one, joined)),
      );
    };
  const { since } = from(0, []);
  return (month) => ({ since, first: month });
}

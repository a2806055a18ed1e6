import { type Decimal, decimal, fraction, ZERO } from '../amount/decimal';
import { inBaseCurrency, minorDigits, roundMoney } from '../amount/currencies';
import type { MinorAmount } from '../amount/minor-amount';
import { type MinorUnits, roundedProduct } from '../amount/minor-units';
import type { Candidate } from '../decision-file/candidate-schema';
import { type CandidateCharge, candidateCharges } from '../pricing/candidate-charges';
import { creditPayments, isAgainstPlan, planCredits } from '../pricing/plan-credit';
import { paymentSchedule, type ScheduledPayment } from '../pricing/payment-schedule';
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
  /** From the month of joining on. */
  readonly dues: readonly Due[];
  /** @param to - the month in which it is left; nothing is added by staying to the end */
  leaving(to: number): Due;
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
export function segmentDues(
  pricing: Pricing,
  candidate: Candidate,
  { paid, counts }: CountedParts,
): (from: number, moved: boolean) => SegmentDues {
  const { currency, months, hourValue = '0' } = pricing.file;
  const charges = candidateCharges(pricing, candidate).filter((one) => !isChargeNotKnown(one.charge) && counts(one));
  const chargesFrom = chargesByStart(pricing, candidate, charges);
  const { setup = '0', monthly = '0' } = candidate.hours ?? {};
  const worth = (hours: Decimal) => units(currency, roundMoney(hours.times(hourValue), currency));
  const usualTime = worth(decimal(monthly));
  const firstTime = worth(decimal(setup).plus(monthly));
  return (from, moved) => {
    const joining = { month: from, moved };
    const credits = planCredits(pricing, candidate, charges, joining);
    const credited = credits.length === 0 ? [] : creditPayments(credits, readingWith(pricing, candidate).joinedIn(from));
    const payments = [...paymentSchedule(pricing, paid, joining), ...credited];
    const charged = chargesFrom(from);
    const dues = paymentDues(pricing, payments, from).map(({ all, taxExcluded }, index): Due => {
      const charge = charged[index] ?? NOTHING_DUE;
      const time = index === 0 && !moved ? firstTime : usualTime;
      return { all: all + charge.all + time, taxExcluded: taxExcluded + charge.taxExcluded };
    });
    return { dues, leaving: (to) => (to < months ? leavingDue(pricing, payments, to) : NOTHING_DUE) };
  };
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

/** Charges by month from a start on; only what runs over months depends on the start. */
function chargesByStart(pricing: Pricing, candidate: Candidate, charges: readonly CandidateCharge[]): (from: number) => Due[] {
  const whole = readingWith(pricing, candidate);
  const lines = charges
    .filter((one) => !isAgainstPlan(one))
    .map(({ charge, owner, rule }) => {
      const inBase = conversionOf(pricing, owner.currency);
      const line = (rounded: MinorAmount) => inBase(charge.credit ? rounded.negated() : rounded).units;
      const { amount } = rule;
      const always = runsOverMonths(amount) ? null : whole.rounded(amount, owner.currency).map(line);
      return {
        taxExcluded: owner.taxExcluded,
        from: (from: number) => always ?? whole.joinedIn(from).rounded(amount, owner.currency).map(line),
      };
    });
  return (from) => {
    const dues = Array.from({ length: pricing.file.months - from }, () => ({ all: 0, taxExcluded: 0 }));
    for (const { taxExcluded, from: linesFrom } of lines) {
      const amounts = linesFrom(from);
      dues.forEach((due, index) => {
        const amount = amounts[from + index] ?? 0;
        due.all += amount;
        if (taxExcluded) due.taxExcluded += amount;
      });
    }
    return dues;
  };
}

import { type Decimal, decimal, fraction, ZERO } from '../amount/decimal';
import { inBaseCurrency, minorDigits, roundMoney } from '../amount/currencies';
import type { Candidate } from '../decision-file/candidate-schema';
import { candidateCharges } from '../pricing/candidate-charges';
import { monthlyAmounts, withinTotal } from '../pricing/charge-amount';
import { chargeBasis } from '../pricing/charge-quantity';
import { paymentSchedule, type ScheduledPayment } from '../pricing/payment-schedule';
import { liftScale, type Pricing } from '../pricing/pricing';
import { processingOf } from '../pricing/processing';

/** Amounts are whole minor units of the base currency: sums of rounded lines, so they stay exact in a number. */
export type MinorUnits = number;

/** What a segment on a candidate costs, joined in one month and left in another (decision file §9). */
export interface SegmentCosts {
  /** @param to - the month in which it is left; the horizon's length for staying to the end */
  cost(from: number, to: number, moved: boolean): MinorUnits;
}

/** What is due in a month, all of it and the part that is quoted without tax. */
interface Due {
  all: MinorUnits;
  taxExcluded: MinorUnits;
}

/**
 * Prepares the costs of all segments on a candidate.
 *
 * @param candidate - with everything, for its charges and hours
 * @param paid - the candidate without the parts that run through, for its payments
 */
export function segmentCosts(pricing: Pricing, candidate: Candidate, paid: Candidate): SegmentCosts {
  const { file } = pricing;
  const units = unitsOf(file.currency);
  const chargesFrom = chargesByStart(pricing, candidate, units);
  const tax = taxOn(pricing, units);
  const worth = (hours: string | undefined) => decimal(hours ?? '0').times(file.hourValue ?? '0');
  const monthlyTime = units(roundMoney(worth(candidate.hours?.monthly), file.currency));
  const firstTime = units(roundMoney(worth(candidate.hours?.setup).plus(worth(candidate.hours?.monthly)), file.currency));
  const rows = new Map<string, readonly MinorUnits[]>();

  const rowFrom = (from: number, moved: boolean): readonly MinorUnits[] => {
    const payments = paymentSchedule(pricing, paid, { month: from, moved });
    const charges = chargesFrom(from);
    const dues = paymentDues(pricing, payments, from, units);
    const row: MinorUnits[] = [];
    let before = 0;
    for (let month = from; month < file.months; month++) {
      const due = dues[month - from] ?? { all: 0, taxExcluded: 0 };
      const charge = charges[month - from] ?? { all: 0, taxExcluded: 0 };
      const time = month === from && !moved ? firstTime : monthlyTime;
      const all = due.all + charge.all + time;
      const taxExcluded = due.taxExcluded + charge.taxExcluded;
      const leaving = month + 1 < file.months ? leavingDue(pricing, payments, month + 1, units) : { all: 0, taxExcluded: 0 };
      row.push(before + all + leaving.all + tax(taxExcluded + leaving.taxExcluded));
      before += all + tax(taxExcluded);
    }
    return row;
  };

  return {
    cost(from, to, moved) {
      const key = `${from} ${moved}`;
      const row = rows.get(key) ?? rowFrom(from, moved);
      rows.set(key, row);
      return row[to - from - 1] ?? 0;
    },
  };
}

/** The payments of common parts over the whole horizon, with tax lines of their own. */
export function runThroughCost(pricing: Pricing, common: Candidate): MinorUnits {
  const units = unitsOf(pricing.file.currency);
  const tax = taxOn(pricing, units);
  const dues = paymentDues(pricing, paymentSchedule(pricing, common), 0, units);
  return dues.reduce((sum, { all, taxExcluded }) => sum + all + tax(taxExcluded), 0);
}

/** Amounts of base currency in whole minor units. */
function unitsOf(currency: string): (amount: Decimal) => MinorUnits {
  const factor = 10 ** minorDigits(currency);
  return (amount) => amount.times(factor).toNumber();
}

function taxOn({ file }: Pricing, units: (amount: Decimal) => MinorUnits): (taxExcluded: MinorUnits) => MinorUnits {
  const rate = fraction(file.feeTax ?? '0');
  if (rate.isZero()) return () => 0;
  const factor = 10 ** minorDigits(file.currency);
  const known = new Map<MinorUnits, MinorUnits>();
  return (taxExcluded) => {
    const found = known.get(taxExcluded);
    if (found !== undefined) return found;
    const tax = units(roundMoney(decimal(taxExcluded).div(factor).times(rate), file.currency));
    known.set(taxExcluded, tax);
    return tax;
  };
}

/** What payments come to in each month from one on, in the basis of the file (decision file §1, §3). */
function paymentDues(pricing: Pricing, payments: readonly ScheduledPayment[], from: number, units: (amount: Decimal) => MinorUnits): Due[] {
  const { basis, months: horizon } = pricing.file;
  const dues = Array.from({ length: horizon - from }, () => ({ all: 0, taxExcluded: 0 }));
  const add = (payment: ScheduledPayment, month: number, charged: Decimal) => {
    const due = dues[month - from];
    if (!due) return;
    const amount = inBase(pricing, payment, charged, units);
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
function leavingDue(pricing: Pricing, payments: readonly ScheduledPayment[], to: number, units: (amount: Decimal) => MinorUnits): Due {
  const { basis, months: horizon } = pricing.file;
  const due = { all: 0, taxExcluded: 0 };
  for (const payment of payments) {
    const { month, covers, charged, prorated } = payment;
    if (month >= to) continue;
    const line =
      basis === 'spread'
        ? restOfSpread(payment, to, horizon)
        : prorated && covers > 0 && month + covers > to
          ? notUsed(charged, month + covers - to, payment)
          : ZERO;
    if (line.isZero()) continue;
    const amount = inBase(pricing, payment, line, units);
    due.all += amount;
    if (payment.taxExcluded) due.taxExcluded += amount;
  }
  return due;
}

/** What the unused months of a prorated payment bring back, as a negative line. */
function notUsed(charged: Decimal, unused: number, { covers, currency }: ScheduledPayment): Decimal {
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

function inBase(pricing: Pricing, { currency }: ScheduledPayment, charged: Decimal, units: (amount: Decimal) => MinorUnits): MinorUnits {
  return units(inBaseCurrency(charged, currency, pricing.rate(currency), pricing.file.currency));
}

/** Charges by month from a start on; only a `totalCap` makes them depend on the start. */
function chargesByStart(pricing: Pricing, candidate: Candidate, units: (amount: Decimal) => MinorUnits): (from: number) => Due[] {
  const processing = processingOf(candidate);
  const forecast = pricing.forecastAt(liftScale(candidate));
  const charges = candidateCharges(pricing, candidate, processing).map(({ charge, owner }) => {
    const rate = pricing.rate(owner.currency);
    const amounts = monthlyAmounts(chargeBasis(charge, owner, processing, forecast, rate));
    const line = (unrounded: Decimal) => {
      const charged = roundMoney(charge.credit ? unrounded.neg() : unrounded, owner.currency);
      return units(inBaseCurrency(charged, owner.currency, rate, pricing.file.currency));
    };
    const cap = charge.totalCap == null ? null : decimal(charge.totalCap);
    return { taxExcluded: owner.taxExcluded, amounts, line, cap, lines: cap ? [] : amounts.map(line) };
  });
  return (from) => {
    const dues = Array.from({ length: pricing.file.months - from }, () => ({ all: 0, taxExcluded: 0 }));
    for (const { taxExcluded, amounts, line, cap, lines } of charges) {
      const here = cap ? withinTotal(amounts.slice(from), cap).map(line) : lines.slice(from);
      here.forEach((amount, index) => {
        const due = dues[index];
        if (!due) return;
        due.all += amount;
        if (taxExcluded) due.taxExcluded += amount;
      });
    }
    return dues;
  };
}

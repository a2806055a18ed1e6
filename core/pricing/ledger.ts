import { type Decimal, decimal, fraction, ONE } from '../amount/decimal';
import { minorDigits, roundMoney } from '../amount/currencies';
import { MinorAmount, MinorSum } from '../amount/minor-amount';
import type { Candidate } from '../decision-file/candidate-schema';
import { type ChargeRule, isChargeNotKnown } from '../rules/charges/charge-rule';
import { type CandidateCharge, candidateCharges } from './candidate-charges';
import type { ExactReading } from './exact-reading';
import { bucketOf, LedgerLine } from './ledger-line';
import { creditPayments, isAgainstPlan, planCredits } from './plan-credit';
import { paymentLines } from './payment-lines';
import { findTerm, FROM_THE_START, isTermNotKnown, type Joining, paymentSchedule, type ScheduledPayment } from './payment-schedule';
import { conversionOf, type Pricing, readingWith } from './pricing';

/** Everything a candidate costs over the horizon, line by line (decision file §5, Ledger). */
export interface Ledger {
  readonly candidate: Candidate;
  readonly lines: readonly LedgerLine[];
  /** The payments behind the lines of terms, joining fees and extras. */
  readonly payments: readonly ScheduledPayment[];
  /** Ids of plans, add-ons and charges whose price is not known, sorted; the total is then a lower bound. */
  readonly unknown: readonly string[];
}

/**
 * The ledger of a candidate that joins in the first month and stays over the whole horizon.
 *
 * @param pricing - the prepared decision file
 * @param candidate - one of its candidates, or a proposed one
 * @param scale - multiplies expected orders and subscribers, default 1 (decision file §2)
 * @param joining - when and how it is joined, as far as payments go; charges stand in every month
 */
export function ledgerOf(pricing: Pricing, candidate: Candidate, scale: Decimal = ONE, joining: Joining = FROM_THE_START): Ledger {
  const payments = paymentSchedule(pricing, candidate, joining);
  const charges = candidateCharges(pricing, candidate);
  const known = charges.filter(({ charge }) => !isChargeNotKnown(charge));
  const reading = readingWith(pricing, candidate, scale);
  const credits = creditPayments(planCredits(pricing, candidate, known, joining), reading);
  const lines = [
    ...paymentLines(pricing, [...payments, ...credits]),
    ...known.filter((one) => !isAgainstPlan(one)).flatMap((one) => chargeLines(pricing, one, reading)),
    ...timeLines(pricing, candidate),
  ];
  return { candidate, lines: [...lines, ...taxLines(pricing, lines)], payments, unknown: unknownPrices(pricing, candidate, charges) };
}

const linesOf = new WeakMap<ExactReading, Map<string, readonly LedgerLine[]>>();
const numbers = new WeakMap<ChargeRule, number>();
let rulesSoFar = 0;

/** The lines of a charge; candidates that have it exactly alike share them. */
function chargeLines(pricing: Pricing, one: CandidateCharge, reading: ExactReading): readonly LedgerLine[] {
  const known = linesOf.get(reading) ?? new Map<string, readonly LedgerLine[]>();
  linesOf.set(reading, known);
  const number = numbers.get(one.rule) ?? rulesSoFar++;
  numbers.set(one.rule, number);
  const key = `${number} ${one.owner.taxExcluded}`;
  const lines = known.get(key) ?? newChargeLines(pricing, one, reading);
  known.set(key, lines);
  return lines;
}

function newChargeLines(pricing: Pricing, { charge, owner, rule }: CandidateCharge, reading: ExactReading): LedgerLine[] {
  const inBase = conversionOf(pricing, owner.currency);
  const source = { kind: 'charge', owner: owner.kind, id: owner.id, charge: charge.id } as const;
  const { currency, taxExcluded } = owner;
  const bucket = bucketOf(charge);
  return reading.rounded(rule.amount, currency).map((rounded, month) => {
    const charged = charge.credit ? rounded.negated() : rounded;
    return new LedgerLine(month, bucket, source, currency, taxExcluded, charged, inBase(charged));
  });
}

/** Each month's own time: hours × hourValue, the set-up hours in the first month (decision file §5). */
function timeLines({ file }: Pricing, candidate: Candidate): LedgerLine[] {
  const setup = decimal(candidate.hours?.setup ?? '0');
  const monthly = decimal(candidate.hours?.monthly ?? '0');
  if (setup.isZero() && monthly.isZero()) return [];
  const { currency } = file;
  const worth = (hours: Decimal) => MinorAmount.of(roundMoney(hours.times(file.hourValue ?? '0'), currency), minorDigits(currency));
  const usual = worth(monthly);
  return Array.from({ length: file.months }, (_, month) => {
    const amount = month === 0 ? worth(setup.plus(monthly)) : usual;
    return new LedgerLine(month, 'time', { kind: 'time' }, currency, false, amount, amount);
  });
}

/** One tax line a month on what was quoted without tax, credits included (decision file §5, Ledger). */
function taxLines({ file: { currency, feeTax = '0', months } }: Pricing, lines: readonly LedgerLine[]): LedgerLine[] {
  const rate = fraction(feeTax);
  if (rate.isZero()) return [];
  const digits = minorDigits(currency);
  const taxed = Array.from({ length: months }, () => new MinorSum(digits));
  for (const line of lines) if (line.taxExcluded) taxed[line.month]?.add(line.inBase);
  return taxed.flatMap((sum, month) => {
    const amount = MinorAmount.of(roundMoney(sum.decimal.times(rate), currency), digits);
    return amount.units === 0 ? [] : [new LedgerLine(month, 'tax', { kind: 'tax' }, currency, false, amount, amount)];
  });
}

/** Ids of the plans, add-ons and charges of a candidate whose price is not known, sorted (decision file §5, Ledger). */
export function unknownPrices(
  pricing: Pricing,
  candidate: Candidate,
  charges: readonly CandidateCharge[] = candidateCharges(pricing, candidate),
): string[] {
  const plans = candidate.plans
    .filter(({ plan, term }) => isTermNotKnown(findTerm(pricing.plan(plan).plan.terms, term)))
    .map(({ plan }) => plan);
  const addons = (candidate.addons ?? [])
    .filter(({ addon, term }) => term !== undefined && isTermNotKnown(findTerm(pricing.addon(addon).terms ?? [], term)))
    .map(({ addon }) => addon);
  const unpriced = charges.filter(({ charge }) => isChargeNotKnown(charge)).map(({ charge }) => charge.id);
  return [...new Set([...plans, ...addons, ...unpriced])].sort();
}

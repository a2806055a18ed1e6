import { decimal, type Decimal } from '../amount/decimal';
import { inBaseCurrency, minorDigits, roundLine } from '../amount/currencies';
import { type MinorUnits, roundedProduct, roundedWhole } from '../amount/minor-units';
import type { Candidate } from '../decision-file/candidate-schema';
import type { Charge } from '../decision-file/price-sheet-schema';
import { type CandidateCharge, candidateCharges } from '../pricing/candidate-charges';
import { bucketOf, type Bucket } from '../pricing/ledger-line';
import { paymentLines } from '../pricing/payment-lines';
import { FROM_THE_START } from '../pricing/payment-schedule';
import { creditPayments, isAgainstPlan, planCredits } from '../pricing/plan-credit';
import { type Pricing, readingWith } from '../pricing/pricing';
import { isChargeNotKnown } from '../rules/charges/charge-rule';
import type { CompiledCharge } from '../scales/compiled-candidate';
import { isNearEdge, valuesAt } from '../scales/form-values';
import { isConstant } from '../scales/level-form';
import { liftedAssumptions, statedAssumptions } from '../scales/pricing-assumptions';

/** The lines of a charge in every month, in base currency. */
interface ChargeLines {
  readonly bucket: Bucket;
  readonly taxExcluded: boolean;
  readonly lines: ArrayLike<MinorUnits>;
}

/** The charges of all candidates, at any scale. */
export interface LevelCharges {
  /** @returns the lines of a candidate's charges, by its place in the decision file */
  at(scale: number): (candidate: number) => ChargeLines[];
}

/** A charge as one candidate has it; those that are compiled alike have the same lines. */
interface LevelCharge {
  readonly charge: Charge;
  readonly compiled: CompiledCharge;
  readonly taxExcluded: boolean;
  readonly currency: string;
  /** Minor units of the base currency for one of the charge's own. */
  readonly factor: { readonly exact: Decimal; readonly number: number };
  /** The lines as exact arithmetic gives them. */
  exactly(scale: Decimal): MinorUnits[];
  /** The lines where nothing of it grows with the scale; null where something does. */
  readonly constant: readonly MinorUnits[] | null;
}

/** Prepares the charges of all candidates for being worked out at one level after the other. */
export function levelCharges(pricing: Pricing): LevelCharges {
  const withLift = liftedAssumptions(statedAssumptions(pricing.file));
  const known = new Map<CompiledCharge, LevelCharge>();
  const candidates = pricing.file.candidates.map((candidate) => {
    const charges = candidateCharges(pricing, candidate).filter(({ charge }) => !isChargeNotKnown(charge));
    const monthly = charges
      .filter((one) => !isAgainstPlan(one))
      .map((one) => {
        const { currency, taxExcluded } = one.owner;
        const isCredit = one.charge.credit === true;
        const compiled = withLift(candidate.lift).charge({ amount: one.rule.amount, currency, taxExcluded, isCredit, counting: null });
        const found = known.get(compiled) ?? levelCharge(pricing, candidate, one, compiled);
        known.set(compiled, found);
        return found;
      });
    return { monthly, credits: planCredits(pricing, candidate, charges, FROM_THE_START), candidate };
  });
  return {
    at(scale) {
      const lines = new Map<LevelCharge, ArrayLike<MinorUnits>>();
      const linesOf = (one: LevelCharge) => {
        const found = lines.get(one) ?? linesAt(pricing, one, scale);
        lines.set(one, found);
        return found;
      };
      return (place) => {
        const found = candidates[place];
        if (!found) return [];
        const { monthly, credits, candidate } = found;
        return [
          ...monthly.map((one) => ({ bucket: bucketOf(one.charge), taxExcluded: one.taxExcluded, lines: linesOf(one) })),
          ...(credits.length === 0 ? [] : creditLines(pricing, candidate, credits, scale)),
        ];
      };
    },
  };
}

/** Credits that pay for plans are few, and depend on one another from month to month: they are worked out exactly. */
function creditLines(pricing: Pricing, candidate: Candidate, credits: ReturnType<typeof planCredits>, scale: number): ChargeLines[] {
  const units = 10 ** minorDigits(pricing.file.currency);
  const payments = creditPayments(credits, readingWith(pricing, candidate, decimal(scale)));
  return [true, false].flatMap((taxExcluded) => {
    const lines = new Float64Array(pricing.file.months);
    const own = payments.filter((payment) => payment.taxExcluded === taxExcluded);
    for (const { month, amount } of paymentLines(pricing, own)) lines[month] = (lines[month] ?? 0) + amount.times(units).toNumber();
    return own.length === 0 ? [] : [{ bucket: 'credit' as const, taxExcluded, lines }];
  });
}

function levelCharge(
  pricing: Pricing,
  candidate: Candidate,
  { charge, owner, rule }: CandidateCharge,
  compiled: CompiledCharge,
): LevelCharge {
  const { currency: base } = pricing.file;
  const rate = pricing.rate(owner.currency);
  const units = 10 ** minorDigits(base);
  const exact = rate.times(units).div(10 ** minorDigits(owner.currency));
  const exactly = (scale: Decimal) =>
    readingWith(pricing, candidate, scale)
      .of(rule.amount)
      .map((unrounded) => {
        const charged = roundLine(charge.credit ? unrounded.neg() : unrounded, owner.currency);
        return inBaseCurrency(charged, owner.currency, rate, base).times(units).toNumber();
      });
  return {
    charge,
    compiled,
    taxExcluded: owner.taxExcluded,
    currency: owner.currency,
    factor: { exact, number: exact.toNumber() },
    exactly,
    constant: isConstant(compiled.form) ? exactly(decimal(1)) : null,
  };
}

function linesAt({ file }: Pricing, one: LevelCharge, scale: number): ArrayLike<MinorUnits> {
  const { constant, compiled, charge, currency, factor, exactly } = one;
  if (constant) return constant;
  const sign = charge.credit ? -1 : 1;
  const digits = 10 ** minorDigits(currency);
  if (isNearEdge(compiled.form, file.months, scale)) return exactly(decimal(scale));
  const lines = valuesAt(compiled.form, file.months, scale);
  for (let month = 0; month < lines.length; month++) {
    const charged = roundedWhole((lines[month] ?? 0) * digits * sign);
    // One month in doubt: exact arithmetic for all of them, which is rare and quick enough.
    if (charged === null) return exactly(decimal(scale));
    lines[month] = currency === file.currency ? charged : roundedProduct(charged, factor);
  }
  return lines;
}

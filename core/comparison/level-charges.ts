import { decimal, type Decimal } from '../amount/decimal';
import { inBaseCurrency, minorDigits, roundMoney } from '../amount/currencies';
import { type MinorUnits, roundedProduct, roundedWhole } from '../amount/minor-units';
import type { Candidate } from '../decision-file/candidate-schema';
import type { Charge } from '../decision-file/price-sheet-schema';
import { type CandidateCharge, candidateCharges } from '../pricing/candidate-charges';
import { chargeAmounts, isChargeNotKnown } from '../pricing/charge-amount';
import { chargeBasis } from '../pricing/charge-quantity';
import type { Bucket } from '../pricing/ledger-line';
import { liftScale, type Pricing } from '../pricing/pricing';
import { processingOf } from '../pricing/processing';
import { statedLevel } from '../scales/charge-months';
import { compileAt } from '../scales/compile';
import { amountsAt, type CompiledCharge, isNearEdge } from '../scales/compiled-candidate';
import { prepareCandidates } from '../scales/prepare';

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
  const compiled = compileAt(pricing, prepareCandidates(pricing), statedLevel(pricing));
  const known = new Map<CompiledCharge, LevelCharge>();
  const candidates = pricing.file.candidates.map((candidate, index) => {
    const charges = candidateCharges(pricing, candidate).filter(({ charge }) => !isChargeNotKnown(charge));
    return charges.flatMap((one, at) => {
      const form = compiled[index]?.charges[at];
      if (!form) return [];
      const found = known.get(form) ?? levelCharge(pricing, candidate, one, form);
      known.set(form, found);
      return [found];
    });
  });
  return {
    at(scale) {
      const lines = new Map<LevelCharge, ArrayLike<MinorUnits>>();
      const linesOf = (one: LevelCharge) => {
        const found = lines.get(one) ?? linesAt(pricing, one, scale);
        lines.set(one, found);
        return found;
      };
      return (candidate) =>
        (candidates[candidate] ?? []).map((one) => ({ bucket: bucketOf(one.charge), taxExcluded: one.taxExcluded, lines: linesOf(one) }));
    },
  };
}

function bucketOf(charge: Charge): Bucket {
  return charge.credit ? 'credit' : (charge.bucket ?? 'transaction');
}

function levelCharge(pricing: Pricing, candidate: Candidate, { charge, owner }: CandidateCharge, compiled: CompiledCharge): LevelCharge {
  const { currency: base } = pricing.file;
  const rate = pricing.rate(owner.currency);
  const units = 10 ** minorDigits(base);
  const exact = rate.times(units).div(10 ** minorDigits(owner.currency));
  const exactly = (scale: Decimal) => {
    const basis = chargeBasis(charge, owner, processingOf(candidate), pricing.forecastAt(liftScale(candidate).times(scale)), rate);
    return chargeAmounts(basis).map((unrounded) => {
      const charged = roundMoney(charge.credit ? unrounded.neg() : unrounded, owner.currency);
      return inBaseCurrency(charged, owner.currency, rate, base).times(units).toNumber();
    });
  };
  return {
    charge,
    compiled,
    taxExcluded: owner.taxExcluded,
    currency: owner.currency,
    factor: { exact, number: exact.toNumber() },
    exactly,
    constant: compiled.growing.every((growing) => growing === 0) ? exactly(decimal(1)) : null,
  };
}

function linesAt({ file }: Pricing, one: LevelCharge, scale: number): ArrayLike<MinorUnits> {
  const { constant, compiled, charge, currency, factor, exactly } = one;
  if (constant) return constant;
  const sign = charge.credit ? -1 : 1;
  const digits = 10 ** minorDigits(currency);
  const lines = new Float64Array(file.months);
  const amounts = amountsAt(compiled, file.months, scale);
  for (let month = 0; month < lines.length; month++) {
    const charged = isNearEdge(compiled, month, scale) ? null : roundedWhole((amounts[month] ?? 0) * digits * sign);
    // One month in doubt: exact arithmetic for all of them, which is rare and quick enough.
    if (charged === null) return exactly(decimal(scale));
    lines[month] = currency === file.currency ? charged : roundedProduct(charged, factor);
  }
  return lines;
}

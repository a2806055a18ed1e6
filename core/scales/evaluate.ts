import type { Pricing } from '../pricing/pricing';
import { type ChargeMonths, chargeMonths, fillMonths, type Level } from './charge-months';
import { chargeTotalAt } from './compiled-candidate';
import { largestUsableScale } from './compile';
import type { PreparedCandidate, PreparedCharge } from './prepare';

/** What all candidates come to at one point; the arrays are used again for the next one. */
export interface PointTotals {
  /** Unrounded, base currency, in the order of the candidates. */
  readonly totals: Float64Array;
  /** 1 where a candidate can be chosen: every must met, every price known, no limit exceeded. */
  readonly usable: Uint8Array;
}

/** Works out totals at thousands of points, without making anything new for each. */
export interface Evaluator {
  /** Takes up a level of expected sales, rates and hour value. */
  setLevel(level: Level): void;
  /** What everything comes to there, at a multiple of its orders and subscribers. */
  at(scale: number): PointTotals;
}

/** A hair past a limit stands on it. */
const DUST = 1e-11;

interface Held {
  readonly prepared: PreparedCharge;
  readonly months: ChargeMonths;
  /** At this level, per unit of the scale, where it grows evenly with it from nothing; null where it does not. */
  slope: number | null;
  total: number;
}

/** Prepares candidates for being looked at at many points. */
export function evaluator(pricing: Pick<Pricing, 'file'>, candidates: readonly PreparedCandidate[]): Evaluator {
  const horizon = pricing.file.months;
  const held = new Map<PreparedCharge, Held>();
  for (const { charges } of candidates)
    for (const prepared of charges)
      if (!held.has(prepared)) held.set(prepared, { prepared, months: chargeMonths(prepared, horizon), slope: null, total: 0 });
  const all = [...held.values()];
  const chargesOf = candidates.map(({ charges }) => charges.flatMap((charge) => held.get(charge) ?? []));
  const monthsOf = (charge: PreparedCharge): ChargeMonths => held.get(charge)?.months ?? chargeMonths(charge, horizon);
  const fixedParts = candidates.map((candidate) => fixedPartsOf(pricing, candidate));
  const fixed = new Float64Array(candidates.length);
  const usableUpTo = new Float64Array(candidates.length);
  const totals = new Float64Array(candidates.length);
  const usable = new Uint8Array(candidates.length);
  return {
    setLevel(level) {
      for (const one of all) {
        fillMonths(one.months, one.prepared, level);
        one.slope = isEven(one.prepared, level) ? chargeTotalAt(one.months, horizon, 1) : null;
      }
      candidates.forEach((candidate, index) => {
        fixed[index] = fixedTotal(fixedParts[index] ?? [], candidate, horizon, level);
        usableUpTo[index] = candidate.canBeChosen ? largestUsableScale(candidate, level, monthsOf) : -1;
      });
    },
    at(scale) {
      for (const one of all) one.total = one.slope === null ? chargeTotalAt(one.months, horizon, scale) : one.slope * scale;
      candidates.forEach((candidate, index) => {
        const reached = scale * candidate.lift;
        let total = fixed[index] ?? 0;
        for (const one of chargesOf[index] ?? [])
          total +=
            candidate.lift === 1 ? one.total : one.slope === null ? chargeTotalAt(one.months, horizon, reached) : one.slope * reached;
        totals[index] = total;
        // The largest usable scale has the lift in it already.
        usable[index] = (usableUpTo[index] ?? -1) > 0 && scale <= (usableUpTo[index] ?? -1) ? 1 : 0;
      });
      return { totals, usable };
    },
  };
}

/** Whether a charge is so much for every unit from the first on, of something that grows with the scale, as most are. */
function isEven({ charge, free, monthlyMin, monthlyCap, totalCap }: PreparedCharge, { forecast }: Level): boolean {
  if (charge.how !== 'per-order' && charge.how !== 'per-unit') return false;
  const isUnbounded = free === null && monthlyMin === null && monthlyCap === null && totalCap === null;
  return isUnbounded && forecast.scaled.has(charge.how === 'per-order' ? 'orders' : (charge.on ?? 'orders'));
}

/** Payments of a candidate within the horizon by currency, in that currency. */
interface FixedPart {
  readonly currency: string;
  readonly plain: number;
  readonly taxExcluded: number;
}

function fixedPartsOf({ file }: Pick<Pricing, 'file'>, { payments }: PreparedCandidate): FixedPart[] {
  const parts = new Map<string, { currency: string; plain: number; taxExcluded: number }>();
  for (const { month, covers, charged, currency, taxExcluded } of payments) {
    const length = covers === 0 ? file.months - month : covers;
    const counted = file.basis === 'spread' ? (charged * Math.min(length, file.months - month)) / length : charged;
    const part = parts.get(currency) ?? { currency, plain: 0, taxExcluded: 0 };
    parts.set(currency, part);
    part[taxExcluded ? 'taxExcluded' : 'plain'] += counted;
  }
  return [...parts.values()];
}

/** What does not depend on sales over the whole horizon; the sum of `fixedMonths`. */
function fixedTotal(parts: readonly FixedPart[], { hours }: PreparedCandidate, months: number, { rate, tax, hourValue }: Level): number {
  let total = (hours.setup + hours.monthly * months) * hourValue;
  for (const { currency, plain, taxExcluded } of parts) total += (plain + taxExcluded * tax) * rate(currency);
  return total;
}

/** The cheapest candidate that can be chosen, by its place; -1 where nobody can. The first of equals. */
export function cheapestOf({ totals, usable }: PointTotals): number {
  let lead = -1;
  let least = Infinity;
  for (let index = 0; index < totals.length; index++) {
    const total = totals[index] ?? Infinity;
    if (usable[index] === 1 && total < least - DUST * (Math.abs(least) + 1)) [lead, least] = [index, total];
    else if (usable[index] === 1 && lead < 0) [lead, least] = [index, total];
  }
  return lead;
}

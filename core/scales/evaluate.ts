import { comparedBy } from '../decision-file/compared-by';
import type { Pricing } from '../pricing/pricing';
import { type CompiledCharge, chargeTotalAt } from './compiled-candidate';
import { largestUsableScale, type PaidWithin, paidWithin } from './compile';
import { type PricingAssumptions, liftedAssumptions } from './pricing-assumptions';
import type { PreparedCandidate } from './prepare';

/** What all candidates come to at one point; the arrays are used again for the next one. */
export interface PointTotals {
  /** Unrounded, base currency, in the order of the candidates; by what is kept, the cost less what is left of sales. */
  readonly totals: Float64Array;
  /** 1 where a candidate can be chosen: every must met, every price known, no limit exceeded. */
  readonly usable: Uint8Array;
}

/** Works out totals at thousands of points, without making anything new for each. */
export interface Evaluator {
  /** Takes up a level of expected sales, rates and hour value. */
  assume(assumed: PricingAssumptions): void;
  /** What everything comes to there, at a multiple of its orders and subscribers. */
  at(scale: number): PointTotals;
}

/** Totals closer together than this, in parts of them, are equal. */
const SAME = 1e-11;

/** A candidate at the level taken up: fixed + slope × scale, and the charges that do not grow evenly. */
interface AtLevel {
  readonly fixed: number;
  readonly slope: number;
  readonly uneven: readonly CompiledCharge[];
  readonly usableUpTo: number;
}

/** Prepares candidates for being looked at at many points. */
export function evaluator(pricing: Pick<Pricing, 'file'>, candidates: readonly PreparedCandidate[]): Evaluator {
  const horizon = pricing.file.months;
  const isByKept = comparedBy(pricing.file) === 'keep';
  const paid = candidates.map((candidate) => paidWithin(pricing, candidate));
  const totals = new Float64Array(candidates.length);
  const usable = new Uint8Array(candidates.length);
  let here: readonly AtLevel[] = [];
  return {
    assume(assumed) {
      const withLift = liftedAssumptions(assumed);
      const lines = new Map<CompiledCharge, readonly [fixed: number, slope: number]>();
      here = candidates.map((prepared, index) => {
        const lifted = withLift(prepared.candidate.lift);
        let fixed = fixedTotal(paid[index] ?? [], prepared, horizon, assumed);
        let slope = 0;
        const uneven: CompiledCharge[] = [];
        const charges = prepared.charges.map((one) => lifted.charge(one));
        if (isByKept) charges.push({ form: lifted.kept(), weight: -1 });
        for (const charge of charges) {
          if (charge.form.is !== 'line') {
            uneven.push(charge);
            continue;
          }
          const line = lines.get(charge) ?? lineOf(charge, horizon);
          lines.set(charge, line);
          fixed += line[0];
          slope += line[1];
        }
        return { fixed, slope, uneven, usableUpTo: prepared.canBeChosen ? largestUsableScale(prepared, lifted) : -1 };
      });
    },
    at(scale) {
      const known = new Map<CompiledCharge, number>();
      here.forEach(({ fixed, slope, uneven, usableUpTo }, index) => {
        let total = fixed + slope * scale;
        for (const charge of uneven) {
          const amount = known.get(charge) ?? chargeTotalAt(charge, horizon, scale);
          known.set(charge, amount);
          total += amount;
        }
        totals[index] = total;
        usable[index] = usableUpTo > 0 && scale <= usableUpTo ? 1 : 0;
      });
      return { totals, usable };
    },
  };
}

/** What a charge that grows evenly comes to in all: fixed + slope × scale, in base currency. */
function lineOf(charge: CompiledCharge, months: number): readonly [fixed: number, slope: number] {
  const fixed = chargeTotalAt(charge, months, 0);
  return [fixed, chargeTotalAt(charge, months, 1) - fixed];
}

/** What does not depend on sales over the whole horizon, in base currency. */
function fixedTotal(
  paid: readonly PaidWithin[],
  { hours }: PreparedCandidate,
  months: number,
  { rate, tax, hourValue }: PricingAssumptions,
): number {
  let total = (hours.setup + hours.monthly * months) * hourValue;
  for (const { currency, taxExcluded, amount } of paid) total += amount * (taxExcluded ? tax : 1) * rate(currency);
  return total;
}

/** The cheapest candidate that can be chosen, by its place; -1 where nobody can. The first of equals. */
export function cheapestOf({ totals, usable }: PointTotals): number {
  let lead = -1;
  let least = Infinity;
  for (let index = 0; index < totals.length; index++) {
    const total = totals[index] ?? Infinity;
    if (usable[index] === 1 && total < least - SAME * (Math.abs(least) + 1)) [lead, least] = [index, total];
    else if (usable[index] === 1 && lead < 0) [lead, least] = [index, total];
  }
  return lead;
}

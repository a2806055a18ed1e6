import { sumAt, valuesAt } from './form-values';
import type { Form } from './level-form';

/** A charge in compiled form: what it comes to in every month as a function of the scale, times a weight. */
export interface CompiledCharge {
  readonly form: Form;
  /** From the charge's currency to base currency with tax; negative for a credit. */
  readonly weight: number;
}

/** A candidate in compiled form: what it costs at any scale, unrounded, in base currency. */
export interface CompiledCandidate {
  readonly id: string;
  /** What does not depend on sales, by month. */
  readonly fixed: Float64Array;
  readonly charges: readonly CompiledCharge[];
  /** The largest scale at which it is usable; 0 if it is at none (outgrown, a must not met, a price not known). */
  readonly usableUpTo: number;
}

/** A candidate's cost by month at a scale, unrounded, in base currency. */
export function monthsAt(candidate: CompiledCandidate, scale: number): Float64Array {
  const months = Float64Array.from(candidate.fixed);
  for (const { form, weight } of candidate.charges)
    valuesAt(form, months.length, scale).forEach((amount, month) => {
      months[month] = (months[month] ?? 0) + amount * weight;
    });
  return months;
}

/** What a charge comes to over all months at a scale, in base currency, signed. */
export function chargeTotalAt({ form, weight }: CompiledCharge, months: number, scale: number): number {
  return sumAt(form, months, scale) * weight;
}

/** A candidate's total at a scale, unrounded, in base currency (decision file §8). */
export function totalAt(candidate: CompiledCandidate, scale: number): number {
  let total = 0;
  for (const amount of candidate.fixed) total += amount;
  for (const charge of candidate.charges) total += chargeTotalAt(charge, candidate.fixed.length, scale);
  return total;
}

/** Something by month that is worked out anew for every future, and what it comes to over all months. */
export interface Base {
  readonly values: Float64Array;
  /** Filled after all steps, for bases whose sum is wanted. */
  sum: number;
}

/**
 * A fixed part by month, and so many times each of some bases: what most charges are. It is worked out without going
 * through the months, from the sums of the bases alone.
 */
export interface Linear {
  /** null for nothing. */
  readonly fixed: Float64Array | null;
  readonly terms: ReadonlyMap<Base, number>;
}

export const NOTHING: Linear = { fixed: null, terms: new Map() };

export function ofBase(base: Base): Linear {
  return { fixed: null, terms: new Map([[base, 1]]) };
}

export function ofFixed(fixed: Float64Array): Linear {
  return { fixed: fixed.some((value) => value !== 0) ? fixed : null, terms: new Map() };
}

/** `a` and so many times `b`. */
export function added(a: Linear, b: Linear, times = 1): Linear {
  const terms = new Map(a.terms);
  for (const [base, factor] of b.terms) terms.set(base, (terms.get(base) ?? 0) + factor * times);
  const scaled = b.fixed && (times === 1 ? b.fixed : b.fixed.map((value) => value * times));
  const fixed = a.fixed && scaled ? a.fixed.map((value, month) => value + (scaled[month] ?? 0)) : (a.fixed ?? scaled);
  return { fixed, terms };
}

/** The figure that a linear is in every month, in every future; null where there is none. */
export function figureOf({ fixed, terms }: Linear): number | null {
  if (terms.size > 0) return null;
  const [first = 0] = fixed ?? [];
  return fixed?.some((value) => value !== first) ? null : first;
}

/** What a linear comes to over all months, from the sums of its bases. */
export function sumOf({ fixed, terms }: Linear): number {
  let sum = 0;
  if (fixed) for (let month = 0; month < fixed.length; month++) sum += fixed[month] ?? 0;
  for (const [base, factor] of terms) sum += base.sum * factor;
  return sum;
}

/** Writes a linear's months. */
export function fillFrom({ fixed, terms }: Linear, into: Float64Array): void {
  if (fixed) into.set(fixed);
  else into.fill(0);
  for (const [{ values }, factor] of terms)
    for (let month = 0; month < into.length; month++) into[month] = (into[month] ?? 0) + (values[month] ?? 0) * factor;
}

import type { FitTable } from './criteria';

/** How well a candidate fits, 0 to 100, with its make-up. */
export interface Fit {
  readonly candidate: string;
  readonly label: string;
  /** What is not known counts as nothing here: the fit is at least this. */
  readonly fit: number;
  /** What it would be if all that is not known turned out well. */
  readonly most: number;
  /** By criterion, in the table's order: points, and what they add to the fit; null where not known. */
  readonly parts: ReadonlyArray<{ readonly points: number | null; readonly adds: number }>;
}

/** The weighted mean of a candidate's points: Σ weight × points ÷ Σ weight. Empty without criteria. */
export function fits({ criteria, rows }: FitTable): Fit[] {
  const all = criteria.reduce((sum, { weight }) => sum + weight, 0);
  if (all === 0) return [];
  return rows.map(({ candidate, label, points }) => {
    const parts = criteria.map(({ weight }, index) => ({ points: points[index] ?? null, adds: ((points[index] ?? 0) * weight) / all }));
    const open = criteria.reduce((sum, { weight }, index) => sum + (points[index] === null ? weight : 0), 0);
    const fit = parts.reduce((sum, { adds }) => sum + adds, 0);
    return { candidate, label, fit, most: fit + (open / all) * 100, parts };
  });
}

/** A candidate as cost and fit see it. */
export interface CostAndFit {
  readonly candidate: string;
  /** Base currency. */
  readonly cost: number;
  readonly fit: number;
}

/** The candidates that nobody beats on both: none is as cheap and fits as well, and better in one of the two. */
export function unbeaten(candidates: readonly CostAndFit[]): string[] {
  const beats = (one: CostAndFit, other: CostAndFit) =>
    one.cost <= other.cost && one.fit >= other.fit && (one.cost < other.cost || one.fit > other.fit);
  return candidates.filter((one) => !candidates.some((other) => beats(other, one))).map(({ candidate }) => candidate);
}

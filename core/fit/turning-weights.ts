import type { FitTable } from './criteria';
import { fits } from './fit';

/** A weight that would turn which candidate fits best, all other weights as they are. */
export interface TurningWeight {
  readonly key: string;
  readonly label: string;
  readonly from: number;
  /** Where both fit equally well; beyond it the other one leads. */
  readonly to: number;
  readonly winner: string;
  readonly winnerLabel: string;
}

/**
 * For every criterion the nearest weight at which another candidate takes the first place; criteria that cannot turn
 * it are left out. Nearest first, by how much of the present weight has to change.
 *
 * The lead of the first over another is Σ weight × difference in points, so that it is gone at
 * weight − lead ÷ difference.
 */
export function turningWeights(table: FitTable): TurningWeight[] {
  const { criteria, rows } = table;
  const ranked = fits(table);
  const [leader] = [...ranked].sort((a, b) => b.fit - a.fit);
  const first = rows.find(({ candidate }) => candidate === leader?.candidate);
  if (!first) return [];
  const others = rows
    .filter((row) => row !== first)
    .map((row) => {
      const differences = criteria.map((_, at) => (first.points[at] ?? 0) - (row.points[at] ?? 0));
      return { row, differences, lead: criteria.reduce((sum, { weight }, at) => sum + weight * (differences[at] ?? 0), 0) };
    });
  const turning = criteria.flatMap(({ key, label, weight }, at): TurningWeight[] => {
    const points = others.flatMap(({ row, differences, lead }) => {
      const difference = differences[at] ?? 0;
      const to = weight - lead / difference;
      return difference === 0 || to < 0 ? [] : [{ key, label, from: weight, to, winner: row.candidate, winnerLabel: row.label }];
    });
    const nearest = points.sort((a, b) => Math.abs(a.to - weight) - Math.abs(b.to - weight))[0];
    return nearest ? [nearest] : [];
  });
  return turning.sort((a, b) => change(a) - change(b));
}

const change = ({ from, to }: TurningWeight) => Math.abs(to - from) / from;

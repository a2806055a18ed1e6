import type { FitTable } from './criteria';

/** How many ways of weighing are tried, and the seed with which they are drawn: always the same ones. */
export const WEIGHTINGS = 10_000;
const SEED = 20_270_101;

/** In how many of all ways of weighing a candidate fits best; those that share the first place share the count. */
export interface FirstPlaces {
  readonly candidate: string;
  readonly label: string;
  /** A fraction of all weightings. */
  readonly share: number;
}

/**
 * Over all possible weights, drawn evenly (each set of weights that adds up to one is as likely as any other), how
 * often each candidate comes first. The same table gives the same answer.
 *
 * @returns most often first; empty without criteria or candidates
 */
export function firstPlaces({ criteria, rows }: FitTable, weightings = WEIGHTINGS): FirstPlaces[] {
  const [width, height] = [criteria.length, rows.length];
  if (width === 0 || height === 0) return [];
  const points = Float64Array.from(rows.flatMap((row) => row.points.map((value) => value ?? 0)));
  const counts = new Float64Array(height);
  const scores = new Float64Array(height);
  const weights = new Float64Array(width);
  const random = randomNumbers(SEED);
  for (let round = 0; round < weightings; round += 1) {
    for (let at = 0; at < width; at += 1) weights[at] = -Math.log(1 - random());
    let best = -1;
    for (let row = 0; row < height; row += 1) {
      let score = 0;
      for (let at = 0; at < width; at += 1) score += (weights[at] ?? 0) * (points[row * width + at] ?? 0);
      scores[row] = score;
      if (score > best) best = score;
    }
    const least = best - 1e-9 * Math.max(1, best);
    const shared = scores.reduce((sum, score) => sum + (score >= least ? 1 : 0), 0);
    for (let row = 0; row < height; row += 1) if ((scores[row] ?? 0) >= least) counts[row] = (counts[row] ?? 0) + 1 / shared;
  }
  return rows
    .map(({ candidate, label }, row) => ({ candidate, label, share: (counts[row] ?? 0) / weightings }))
    .sort((a, b) => b.share - a.share);
}

/** Evenly distributed numbers in [0, 1) from a seed (a 32-bit mixing generator). */
export function randomNumbers(seed: number): () => number {
  let state = seed >>> 0;
  return () => {
    state = (state + 0x6d2b79f5) >>> 0;
    let mixed = Math.imul(state ^ (state >>> 15), state | 1);
    mixed ^= mixed + Math.imul(mixed ^ (mixed >>> 7), mixed | 61);
    return ((mixed ^ (mixed >>> 14)) >>> 0) / 4_294_967_296;
  };
}

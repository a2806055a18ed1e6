import type { CompiledCandidate } from './compiled-candidate';
import { boundsBetween } from './bounds';
import { type Piecewise, piecesBetween, totalCurve } from './piecewise';

/** A scale at which the cheaper of two candidates changes (decision file §8). */
export interface Crossing {
  readonly scale: number;
  /** Which of the two is cheaper below: the first (-1) or the second (1). */
  readonly cheaperBelow: -1 | 1;
}

/** Curves with more pieces than this are looked at part by part, and only where the two come close. */
const MOST_PIECES = 20_000;

/** Differences below this share of the totals are nought: they are the dust of floating point. */
const DUST = 1e-11;

/** Where the difference stood last, while walking up the scales. */
interface Walk {
  sign: -1 | 0 | 1;
  /** Where a stretch began in which both are equal. */
  equalSince: number | null;
  crossings: Crossing[];
}

/**
 * Every scale between two at which the cheaper one of two candidates changes: the sign of their difference goes
 * from one side to the other, at a point, at a jump, or across a stretch where both are equal, whose start counts
 * (decision file §8). All are found, however close together.
 *
 * @param from - lower end, above 0; crossings at the ends themselves do not count
 */
export function crossingsOf(a: CompiledCandidate, b: CompiledCandidate, from: number, to: number): Crossing[] {
  const isLarge = piecesBetween(a, from, to) + piecesBetween(b, from, to) > MOST_PIECES;
  const [first, second] = isLarge ? withoutShared(a, b) : [a, b];
  const walk: Walk = { sign: 0, equalSince: null, crossings: [] };
  look(first, second, from, to, walk);
  return walk.crossings;
}

/** Charges that both have exactly alike cancel out. */
function withoutShared(a: CompiledCandidate, b: CompiledCandidate): [CompiledCandidate, CompiledCandidate] {
  const shared = new Set(a.charges.filter((charge) => b.charges.includes(charge)));
  if (shared.size === 0) return [a, b];
  const rest = (candidate: CompiledCandidate) => ({ ...candidate, charges: candidate.charges.filter((charge) => !shared.has(charge)) });
  return [rest(a), rest(b)];
}

function look(a: CompiledCandidate, b: CompiledCandidate, from: number, to: number, walk: Walk): void {
  const isSmall = piecesBetween(a, from, to) + piecesBetween(b, from, to) <= MOST_PIECES;
  if (isSmall || to - from < 1e-12 * to) return follow(totalCurve(a, from, to), totalCurve(b, from, to), walk);
  const [lowA, highA] = boundsBetween(a, from, to);
  const [lowB, highB] = boundsBetween(b, from, to);
  if (lowA > highB) return step(walk, 1, from);
  if (highA < lowB) return step(walk, -1, from);
  const middle = (from + to) / 2;
  look(a, b, from, middle, walk);
  look(a, b, middle, to, walk);
}

/** Walks along two curves piece by piece. */
function follow(a: Piecewise, b: Piecewise, walk: Walk): void {
  let i = 0;
  let j = 0;
  let start = a.starts[0] ?? a.to;
  while (start < a.to) {
    const nextA = a.starts[i + 1] ?? a.to;
    const nextB = b.starts[j + 1] ?? b.to;
    const end = Math.min(nextA, nextB);
    const valueA = valueAt(a, i, start);
    const valueB = valueAt(b, j, start);
    const slope = (a.slopes[i] ?? 0) - (b.slopes[j] ?? 0);
    if (end - start > 1e-13 * end) linear(walk, start, end, valueA - valueB, slope, DUST * (Math.abs(valueA) + Math.abs(valueB) + 1));
    if (nextA <= end) i++;
    if (nextB <= end) j++;
    start = end;
  }
}

function valueAt(curve: Piecewise, piece: number, scale: number): number {
  return (curve.values[piece] ?? 0) + (curve.slopes[piece] ?? 0) * (scale - (curve.starts[piece] ?? 0));
}

/** One stretch in which the difference is linear. */
function linear(walk: Walk, start: number, end: number, difference: number, slope: number, dust: number): void {
  const atEnd = difference + slope * (end - start);
  const left = signOf(difference, dust);
  const right = signOf(atEnd, dust);
  if (left !== 0 && right !== 0 && left !== right) {
    step(walk, left, start);
    const place = start - difference / slope;
    return step(walk, right, Math.min(Math.max(place, start), end));
  }
  step(walk, left === 0 ? right : left, start);
}

/** The difference has a sign from a place on. */
function step(walk: Walk, sign: -1 | 0 | 1, place: number): void {
  if (sign === 0) {
    walk.equalSince ??= place;
    return;
  }
  if (walk.sign !== 0 && walk.sign !== sign) walk.crossings.push({ scale: walk.equalSince ?? place, cheaperBelow: walk.sign });
  walk.sign = sign;
  walk.equalSince = null;
}

function signOf(value: number, dust: number): -1 | 0 | 1 {
  if (Math.abs(value) <= dust) return 0;
  return value < 0 ? -1 : 1;
}

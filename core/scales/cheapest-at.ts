import { boundsBetween } from './bounds';
import type { CompiledCandidate } from './compiled-candidate';
import { type Piecewise, piecesBetween, totalCurve } from './piecewise';

/** A stretch of scales with the cheapest usable candidate, or null where none is usable (decision file §8). */
export interface CheapestStretch {
  readonly from: number;
  readonly to: number;
  readonly candidate: string | null;
}

const MOST_PIECES = 40_000;
const DUST = 1e-11;

/**
 * Who is cheapest at which scale: consecutive stretches with the usable candidate without unknowns that has the
 * lowest unrounded total there. Where several are equal, the first in the given order is taken.
 */
export function cheapestStretches(candidates: readonly CompiledCandidate[], from: number, to: number): CheapestStretch[] {
  const joined: Array<{ from: number; to: number; candidate: string | null }> = [];
  const add = (start: number, end: number, candidate: string | null) => {
    const last = joined.at(-1);
    if (last?.candidate === candidate) last.to = end;
    else if (end > start) joined.push({ from: start, to: end, candidate });
  };
  const ends = candidates.map(({ usableUpTo }) => usableUpTo).filter((end) => end > from && end < to);
  const cuts = [from, ...new Set([...ends].sort((a, b) => a - b)), to];
  cuts.slice(1).forEach((end, index) => {
    const start = cuts[index] ?? from;
    look(candidates.filter(({ usableUpTo }) => usableUpTo >= end), start, end, add);
  });
  return joined;
}

type Add = (from: number, to: number, candidate: string | null) => void;

function look(usable: readonly CompiledCandidate[], from: number, to: number, add: Add): void {
  if (usable.length <= 1) return add(from, to, usable[0]?.id ?? null);
  const count = usable.reduce((sum, candidate) => sum + piecesBetween(candidate, from, to), 0);
  if (count <= MOST_PIECES || to - from < 1e-12 * to) return envelope(usable, from, to, add);
  const bounds = usable.map((candidate) => boundsBetween(candidate, from, to));
  const lowest = Math.min(...bounds.map(([, most]) => most));
  const inRun = usable.filter((_, index) => (bounds[index]?.[0] ?? 0) <= lowest + DUST * Math.abs(lowest));
  if (inRun.length === 1) return add(from, to, inRun[0]?.id ?? null);
  const middle = (from + to) / 2;
  look(inRun, from, middle, add);
  look(inRun, middle, to, add);
}

/** The lower envelope of the candidates' curves. */
function envelope(usable: readonly CompiledCandidate[], from: number, to: number, add: Add): void {
  const curves = usable.map((candidate) => totalCurve(candidate, from, to));
  const pieces = curves.map(() => 0);
  const starts = [...new Set(curves.flatMap(({ starts }) => starts))].sort((a, b) => a - b);
  starts.forEach((start, index) => {
    const end = starts[index + 1] ?? to;
    curves.forEach((curve, which) => {
      while ((curve.starts[(pieces[which] ?? 0) + 1] ?? Infinity) <= start) pieces[which] = (pieces[which] ?? 0) + 1;
    });
    if (end - start > 1e-13 * end) lowest(usable, curves, pieces, start, end, add);
  });
}

/** Who is lowest along a stretch in which all curves are lines. */
function lowest(usable: readonly CompiledCandidate[], curves: readonly Piecewise[], pieces: readonly number[], from: number, to: number, add: Add): void {
  const lines = curves.map((curve, which) => {
    const piece = pieces[which] ?? 0;
    const slope = curve.slopes[piece] ?? 0;
    return { id: usable[which]?.id ?? null, slope, value: (curve.values[piece] ?? 0) + slope * (from - (curve.starts[piece] ?? 0)) };
  });
  let start = from;
  // Each turn ends at the next crossing; there are at most as many as there are lines.
  for (let turn = 0; turn <= lines.length && start < to; turn++) {
    const here = lines.map((line) => ({ ...line, at: line.value + line.slope * (start - from) }));
    const least = Math.min(...here.map(({ at }) => at));
    const dust = DUST * (Math.abs(least) + 1);
    const lead = here.filter(({ at }) => at <= least + dust).reduce((best, one) => (one.slope < best.slope - dust / (to - from) ? one : best));
    let end = to;
    for (const other of here) {
      if (other.slope >= lead.slope - dust / (to - from)) continue;
      const place = start + (other.at - lead.at) / (lead.slope - other.slope);
      if (place > start && place < end) end = place;
    }
    add(start, end, lead.id);
    start = end;
  }
}

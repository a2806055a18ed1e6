import { boundsBetween } from './bounds';
import { type CompiledCandidate, totalAt } from './compiled-candidate';
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
export function cheapestStretches(given: readonly CompiledCandidate[], from: number, to: number): CheapestStretch[] {
  const candidates = withoutRepeated(given);
  const joined: Array<{ from: number; to: number; candidate: string | null }> = [];
  const add = (start: number, end: number, candidate: string | null) => {
    const last = joined.at(-1);
    if (last?.candidate === candidate) last.to = end;
    // Stretches too short to be looked at belong to the next.
    else if (end > start) joined.push({ from: last?.to ?? from, to: end, candidate });
  };
  const ends = candidates.map(({ usableUpTo }) => usableUpTo).filter((end) => end > from && end < to);
  const cuts = [from, ...new Set([...ends].sort((a, b) => a - b)), to];
  cuts.slice(1).forEach((end, index) => {
    const start = cuts[index] ?? from;
    look(
      candidates.filter(({ usableUpTo }) => usableUpTo >= end),
      start,
      end,
      add,
    );
  });
  const last = joined.at(-1);
  if (last) last.to = to;
  return joined;
}

/** Of candidates that cost the same at every level the first alone: however many there are, they are looked at once. */
function withoutRepeated(candidates: readonly CompiledCandidate[]): CompiledCandidate[] {
  const known = new Map<string, CompiledCandidate[]>();
  return candidates.filter((one) => {
    const costs = [one.usableUpTo, ...LOOKED_AT.map((scale) => totalAt(one, scale))].join(' ');
    const alike = known.get(costs) ?? [];
    // Writing a form out takes long, and only those that cost the same at some levels can do so at all.
    if (alike.some((other) => writtenOut(other) === writtenOut(one))) return false;
    known.set(costs, [...alike, one]);
    return true;
  });
}

/** Levels at which candidates that are alike cost the same. */
const LOOKED_AT = [0.37, 1, 7.3];

function writtenOut({ id: _id, ...form }: CompiledCandidate): string {
  return JSON.stringify(form, (_name, value: unknown) => {
    if (value === Infinity) return 'always';
    return value instanceof Float64Array ? [...value] : value;
  });
}

type Add = (from: number, to: number, candidate: string | null) => void;

/** First the range is looked at in this many parts, equal by their ratio, so that most candidates drop out at once. */
const PARTS = 96;

function look(usable: readonly CompiledCandidate[], from: number, to: number, add: Add): void {
  if (usable.length <= 1) return add(from, to, usable[0]?.id ?? null);
  const parts = Math.max(1, Math.ceil((PARTS * Math.log(to / from)) / Math.log(400)));
  const end = (part: number) => (part === parts ? to : from * (to / from) ** (part / parts));
  for (let part = 0; part < parts; part++) narrow(usable, end(part), end(part + 1), { from, to }, add);
}

interface Range {
  readonly from: number;
  readonly to: number;
}

/** Looks at an interval with those that can be the cheapest in it; `whole` is what curves are kept for. */
function narrow(usable: readonly CompiledCandidate[], from: number, to: number, whole: Range, add: Add): void {
  const bounds = usable.map((candidate) => boundsBetween(candidate, from, to));
  const lowest = Math.min(...bounds.map(([, most]) => most));
  const inRun = usable.filter((_, index) => (bounds[index]?.[0] ?? 0) <= lowest + DUST * (Math.abs(lowest) + 1));
  if (inRun.length === 1) return add(from, to, inRun[0]?.id ?? null);
  const count = (range: Range) => inRun.reduce((sum, candidate) => sum + piecesBetween(candidate, range.from, range.to), 0);
  if (count(whole) <= MOST_PIECES)
    return envelope(
      inRun,
      inRun.map((one) => totalCurve(one, whole.from, whole.to)),
      from,
      to,
      add,
    );
  if (count({ from, to }) <= MOST_PIECES || to - from < 1e-12 * to)
    return envelope(
      inRun,
      inRun.map((one) => totalCurve(one, from, to)),
      from,
      to,
      add,
    );
  const middle = (from + to) / 2;
  narrow(inRun, from, middle, whole, add);
  narrow(inRun, middle, to, whole, add);
}

/** The lower envelope of the candidates' curves between two scales. */
function envelope(usable: readonly CompiledCandidate[], curves: readonly Piecewise[], from: number, to: number, add: Add): void {
  const pieces = curves.map(({ starts }) => pieceAt(starts, from));
  const values = new Float64Array(curves.length);
  const slopes = new Float64Array(curves.length);
  let start = from;
  while (start < to) {
    let end = to;
    for (let which = 0; which < curves.length; which++) {
      const curve = curves[which];
      const piece = pieces[which] ?? 0;
      if (!curve) continue;
      const slope = curve.slopes[piece] ?? 0;
      slopes[which] = slope;
      values[which] = (curve.values[piece] ?? 0) + slope * (start - (curve.starts[piece] ?? 0));
      const next = curve.starts[piece + 1];
      if (next !== undefined && next < end) end = next;
    }
    if (end - start > 1e-13 * end) lowest(usable, values, slopes, start, end, add);
    for (let which = 0; which < curves.length; which++)
      if ((curves[which]?.starts[(pieces[which] ?? 0) + 1] ?? Infinity) <= end) pieces[which] = (pieces[which] ?? 0) + 1;
    start = end;
  }
}

/** The piece in which a scale lies. */
function pieceAt(starts: Float64Array, scale: number): number {
  let low = 0;
  let high = starts.length - 1;
  while (low < high) {
    const middle = Math.ceil((low + high) / 2);
    if ((starts[middle] ?? 0) <= scale) low = middle;
    else high = middle - 1;
  }
  return low;
}

/** Who is lowest along a stretch in which all curves are lines with these values at its start. */
function lowest(
  usable: readonly CompiledCandidate[],
  values: Float64Array,
  slopes: Float64Array,
  from: number,
  to: number,
  add: Add,
): void {
  let start = from;
  // Each turn ends at the next crossing; there are at most as many as there are lines.
  for (let turn = 0; turn <= values.length && start < to; turn++) {
    const at = (which: number) => (values[which] ?? 0) + (slopes[which] ?? 0) * (start - from);
    let least = Infinity;
    for (let which = 0; which < values.length; which++) least = Math.min(least, at(which));
    const dust = DUST * (Math.abs(least) + 1);
    const slopeDust = dust / (to - from);
    let lead = -1;
    for (let which = 0; which < values.length; which++)
      if (at(which) <= least + dust && (lead < 0 || (slopes[which] ?? 0) < (slopes[lead] ?? 0) - slopeDust)) lead = which;
    let end = to;
    for (let which = 0; which < values.length; which++) {
      const faster = (slopes[lead] ?? 0) - (slopes[which] ?? 0);
      if (faster <= slopeDust) continue;
      const place = start + (at(which) - at(lead)) / faster;
      if (place > start && place < end) end = place;
    }
    add(start, end, usable[lead]?.id ?? null);
    start = end;
  }
}

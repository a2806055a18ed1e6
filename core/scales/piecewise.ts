import type { CompiledCandidate, CompiledCharge } from './compiled-candidate';

/**
 * A piecewise linear function of the scale on an interval, with jumps. Piece i runs from starts[i] to the next
 * start (the last one to the interval's end); just right of its start it has values[i] and then rises by slopes[i].
 */
export interface Piecewise {
  readonly starts: readonly number[];
  readonly values: readonly number[];
  readonly slopes: readonly number[];
  readonly to: number;
}

/** Starts that lie closer together than this, relative to their size, are one: floating point cannot tell them apart. */
const SAME_PLACE = 1e-13;

interface Piece {
  start: number;
  value: number;
  slope: number;
}

/**
 * The unrounded total of a candidate as a function of the scale.
 *
 * @param from - lower end of the interval, above 0
 * @param to - upper end
 */
export function totalCurve(candidate: CompiledCandidate, from: number, to: number): Piecewise {
  const parts: Array<{ pieces: readonly Piece[]; weight: number }> = [];
  for (const charge of candidate.charges) parts.push({ pieces: chargeTotal(charge, candidate.fixed.length, from, to), weight: charge.weight });
  let fixed = 0;
  for (const amount of candidate.fixed) fixed += amount;
  const pieces = addUp([...parts, { pieces: [{ start: from, value: fixed, slope: 0 }], weight: 1 }], from);
  return {
    starts: pieces.map(({ start }) => start),
    values: pieces.map(({ value }) => value),
    slopes: pieces.map(({ slope }) => slope),
    to,
  };
}

/** A charge over all months, within its `totalCap`. */
function chargeTotal(charge: CompiledCharge, months: number, from: number, to: number): Piece[] {
  const parts = Array.from({ length: months }, (_, month) => ({ pieces: chargeMonth(charge, month, from, to), weight: 1 }));
  const total = addUp(parts, from);
  return charge.totalCap === null ? total : clamped(total, to, -Infinity, charge.totalCap);
}

/** A charge in one month, within `monthlyMin` and `monthlyCap`. */
function chargeMonth(charge: CompiledCharge, month: number, from: number, to: number): Piece[] {
  const pieces = unclamped(charge, month, from, to);
  if (charge.monthlyMin === null && charge.monthlyCap === null) return pieces;
  return clamped(pieces, to, charge.monthlyMin ?? -Infinity, charge.monthlyCap ?? Infinity);
}

function unclamped(charge: CompiledCharge, month: number, from: number, to: number): Piece[] {
  const fixed = charge.quantity[month] ?? 0;
  const growing = charge.growing[month] ?? 0;
  const rate = charge.rates?.[month] ?? 0;
  const at = (level: number) => (level - fixed) / growing;
  const quantity = (scale: number) => fixed + growing * scale;
  switch (charge.how) {
    case 'beyond': {
      const piece = (start: number, isBeyond: boolean) =>
        isBeyond ? { start, value: quantity(start) * rate, slope: growing * rate } : { start, value: 0, slope: 0 };
      const begins = piece(from, quantity(from) > 0 || (quantity(from) === 0 && growing > 0));
      const crossing = growing === 0 ? NaN : at(0);
      return crossing > from && crossing < to ? [begins, { ...piece(crossing, growing > 0), value: 0 }] : [begins];
    }
    case 'steps':
      return stepPieces(charge, rate, { at, quantity, growing }, from, to);
    case 'graduated':
    case 'volume':
      return bandPieces(charge, { at, quantity, growing }, from, to);
  }
}

interface Line {
  at(level: number): number;
  quantity(scale: number): number;
  growing: number;
}

function stepPieces({ size }: CompiledCharge, rate: number, line: Line, from: number, to: number): Piece[] {
  const steps = (scale: number) => Math.max(0, Math.ceil(line.quantity(scale) / size - SAME_PLACE));
  if (line.growing === 0) return [{ start: from, value: steps(from) * rate, slope: 0 }];
  const pieces: Piece[] = [];
  const rising = line.growing > 0;
  // Just right of the edge at j packages there is one more if the quantity rises, and j if it falls.
  const edges = edgesBetween(line, size, from, to);
  const first = edges[0] === undefined ? steps((from + to) / 2) : rising ? edges[0] : edges[0] + 1;
  pieces.push({ start: from, value: Math.max(0, first) * rate, slope: 0 });
  for (const edge of edges) pieces.push({ start: line.at(edge * size), value: (rising ? edge + 1 : edge) * rate, slope: 0 });
  return pieces;
}

/** Whole numbers of packages that are reached between two scales, in the order in which they are. */
function edgesBetween(line: Line, size: number, from: number, to: number): number[] {
  const [low, high] = [line.quantity(from) / size, line.quantity(to) / size].sort((a, b) => a - b) as [number, number];
  const edges: number[] = [];
  for (let edge = Math.max(0, Math.ceil(low)); edge <= high; edge++) {
    const place = line.at(edge * size);
    if (place > from && place < to) edges.push(edge);
  }
  return line.growing > 0 ? edges : edges.reverse();
}

function bandPieces({ how, bands }: CompiledCharge, line: Line, from: number, to: number): Piece[] {
  // The flat and the rates of all bands below one, for graduated bands.
  let below = 0;
  let edge = 0;
  const lines = bands.map((band) => {
    const offset = how === 'volume' ? band.flat : below + band.flat - edge * band.rate;
    const lower = edge;
    if (band.upTo !== Infinity) below += (band.upTo - edge) * band.rate + band.flat;
    edge = band.upTo;
    return { lower, upTo: band.upTo, rate: band.rate, offset };
  });
  const piece = (start: number, index: number): Piece => {
    const band = lines[index];
    return band ? { start, value: line.quantity(start) * band.rate + band.offset, slope: line.growing * band.rate } : { start, value: 0, slope: 0 };
  };
  const bandAt = (quantity: number) => {
    if (quantity <= 0 && how === 'graduated') return -1;
    return lines.findIndex(({ upTo }) => quantity <= upTo * (1 + SAME_PLACE));
  };
  const pieces = [piece(from, bandAt(line.growing === 0 ? line.quantity(from) : line.quantity(from * (1 + SAME_PLACE))))];
  if (line.growing === 0) return pieces;
  // Orders and the like never fall as the scale rises; only their sign could say otherwise.
  lines.forEach(({ lower }, index) => {
    const place = line.at(lower);
    if (place > from && place < to) pieces.push(piece(place, index));
  });
  return pieces;
}

/** The sum of weighted functions that all begin at the same place. */
function addUp(parts: ReadonlyArray<{ pieces: readonly Piece[]; weight: number }>, from: number): Piece[] {
  let value = 0;
  let slope = 0;
  const changes: Piece[] = [];
  for (const { pieces, weight } of parts) {
    let before: Piece | undefined;
    for (const piece of pieces) {
      if (!before) {
        value += piece.value * weight;
        slope += piece.slope * weight;
      } else {
        const arrived = before.value + before.slope * (piece.start - before.start);
        changes.push({ start: piece.start, value: (piece.value - arrived) * weight, slope: (piece.slope - before.slope) * weight });
      }
      before = piece;
    }
  }
  changes.sort((a, b) => a.start - b.start);
  const sum: Piece[] = [{ start: from, value, slope }];
  let last = { start: from, value, slope };
  for (const change of changes) {
    const isSame = change.start - last.start <= SAME_PLACE * change.start && sum.length > 1;
    const start = isSame ? last.start : change.start;
    last = { start, value: last.value + last.slope * (start - last.start) + change.value, slope: last.slope + change.slope };
    if (isSame) sum[sum.length - 1] = last;
    else sum.push(last);
  }
  return sum;
}

/** A function kept between two levels. */
function clamped(pieces: readonly Piece[], to: number, least: number, most: number): Piece[] {
  const result: Piece[] = [];
  const push = (start: number, value: number, slope: number) => {
    if (value < least || (value === least && slope < 0)) result.push({ start, value: least, slope: 0 });
    else if (value > most || (value === most && slope > 0)) result.push({ start, value: most, slope: 0 });
    else result.push({ start, value, slope });
  };
  pieces.forEach(({ start, value, slope }, index) => {
    const end = pieces[index + 1]?.start ?? to;
    push(start, value, slope);
    const crossings = [least, most]
      .map((level) => ({ level, place: start + (level - value) / slope }))
      .filter(({ place }) => place > start && place < end)
      .sort((a, b) => a.place - b.place);
    for (const { level, place } of crossings) push(place, level, slope);
  });
  return result;
}

/** How many pieces the curve of a candidate has between two scales, at most. */
export function piecesBetween({ charges, fixed }: CompiledCandidate, from: number, to: number): number {
  let count = 1;
  for (const charge of charges) {
    const { how, growing, size, bands } = charge;
    for (let month = 0; month < fixed.length; month++)
      count += how === 'steps' ? 1 + (Math.abs(growing[month] ?? 0) * (to - from)) / size : how === 'beyond' ? 1 : bands.length;
  }
  return count;
}

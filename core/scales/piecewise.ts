import type { CompiledCandidate, CompiledCharge } from './compiled-candidate';

/**
 * A piecewise linear function of the scale on an interval, with jumps. Piece i runs from starts[i] to the next
 * start (the last one to the interval's end); just right of its start it has values[i] and then rises by slopes[i].
 */
export interface Piecewise {
  readonly starts: Float64Array;
  readonly values: Float64Array;
  readonly slopes: Float64Array;
  readonly to: number;
}

/** Starts that lie closer together than this, relative to their size, are one: floating point cannot tell them apart. */
const SAME_PLACE = 1e-13;

interface Piece {
  start: number;
  value: number;
  slope: number;
}

/** A function being added up: what it is at the lower end, and where it changes by how much. */
interface Changes {
  value: number;
  slope: number;
  readonly at: number[];
  readonly values: number[];
  readonly slopes: number[];
}

const curves = new WeakMap<CompiledCandidate, Map<string, Piecewise>>();

/**
 * The unrounded total of a candidate as a function of the scale; worked out once for a candidate and interval.
 *
 * @param from - lower end of the interval, above 0
 * @param to - upper end
 */
export function totalCurve(candidate: CompiledCandidate, from: number, to: number): Piecewise {
  const known = curves.get(candidate) ?? new Map<string, Piecewise>();
  curves.set(candidate, known);
  const key = `${from} ${to}`;
  const curve = known.get(key) ?? newCurve(candidate, from, to);
  known.set(key, curve);
  return curve;
}

function newCurve({ fixed, charges }: CompiledCandidate, from: number, to: number): Piecewise {
  const changes: Changes = { value: 0, slope: 0, at: [], values: [], slopes: [] };
  for (const amount of fixed) changes.value += amount;
  for (const charge of charges) {
    const { totalCap, weight } = charge;
    if (totalCap === null) addMonths(changes, charge, fixed.length, from, to, weight);
    else {
      const own: Changes = { value: 0, slope: 0, at: [], values: [], slopes: [] };
      addMonths(own, charge, fixed.length, from, to, 1);
      addPieces(changes, clamped(piecesOf(added(own, from, to)), to, -Infinity, totalCap), weight);
    }
  }
  return added(changes, from, to);
}

/** A charge in every month, within `monthlyMin` and `monthlyCap`. */
function addMonths(changes: Changes, charge: CompiledCharge, months: number, from: number, to: number, weight: number): void {
  const isBounded = charge.monthlyMin !== null || charge.monthlyCap !== null;
  for (let month = 0; month < months; month++) {
    if (charge.how === 'steps' && !isBounded) addSteps(changes, charge, month, from, to, weight);
    else {
      const pieces = unclamped(charge, month, from, to);
      addPieces(changes, isBounded ? clamped(pieces, to, charge.monthlyMin ?? -Infinity, charge.monthlyCap ?? Infinity) : pieces, weight);
    }
  }
}

/** Packages, of which there can be many, without a piece for each. */
function addSteps(changes: Changes, charge: CompiledCharge, month: number, from: number, to: number, weight: number): void {
  const { growing, size, rates } = charge;
  const rise = growing[month] ?? 0;
  const rate = rates?.[month] ?? 0;
  const [first] = stepStart(charge, month, from, to);
  changes.value += first * rate * weight;
  if (rise === 0) return;
  const step = Math.sign(rise) * rate * weight;
  const line = lineOf(charge, month);
  forEachEdge(line, size, from, to, (place) => {
    changes.at.push(place);
    changes.values.push(step);
    changes.slopes.push(0);
  });
}

function addPieces(changes: Changes, pieces: readonly Piece[], weight: number): void {
  let before: Piece | undefined;
  for (const piece of pieces) {
    if (!before) {
      changes.value += piece.value * weight;
      changes.slope += piece.slope * weight;
    } else {
      changes.at.push(piece.start);
      changes.values.push((piece.value - before.value - before.slope * (piece.start - before.start)) * weight);
      changes.slopes.push((piece.slope - before.slope) * weight);
    }
    before = piece;
  }
}

/** Adds the changes up from the lower end; those at the same place are one. */
function added({ value, slope, at, values, slopes }: Changes, from: number, to: number): Piecewise {
  const order = at.map((_, index) => index).sort((a, b) => (at[a] ?? 0) - (at[b] ?? 0));
  const curve = {
    starts: new Float64Array(order.length + 1),
    values: new Float64Array(order.length + 1),
    slopes: new Float64Array(order.length + 1),
  };
  curve.starts[0] = from;
  curve.values[0] = value;
  curve.slopes[0] = slope;
  let last = 0;
  let start = from;
  let here = value;
  let rise = slope;
  for (const index of order) {
    const place = at[index] ?? 0;
    const isSame = last > 0 && place - start <= SAME_PLACE * place;
    if (!isSame) {
      here += rise * (place - start);
      start = place;
      last++;
    }
    here += values[index] ?? 0;
    rise += slopes[index] ?? 0;
    curve.starts[last] = start;
    curve.values[last] = here;
    curve.slopes[last] = rise;
  }
  const count = last + 1;
  return { starts: curve.starts.subarray(0, count), values: curve.values.subarray(0, count), slopes: curve.slopes.subarray(0, count), to };
}

function piecesOf({ starts, values, slopes }: Piecewise): Piece[] {
  return Array.from(starts, (start, index) => ({ start, value: values[index] ?? 0, slope: slopes[index] ?? 0 }));
}

function lineOf(charge: CompiledCharge, month: number): Line {
  const fixed = charge.quantity[month] ?? 0;
  const growing = charge.growing[month] ?? 0;
  return { growing, at: (level) => (level - fixed) / growing, quantity: (scale) => fixed + growing * scale };
}

function unclamped(charge: CompiledCharge, month: number, from: number, to: number): Piece[] {
  const line = lineOf(charge, month);
  const { growing, at, quantity } = line;
  const rate = charge.rates?.[month] ?? 0;
  switch (charge.how) {
    case 'beyond': {
      const piece = (start: number, isBeyond: boolean) =>
        isBeyond ? { start, value: quantity(start) * rate, slope: growing * rate } : { start, value: 0, slope: 0 };
      const begins = piece(from, quantity(from) > 0 || (quantity(from) === 0 && growing > 0));
      const crossing = growing === 0 ? NaN : at(0);
      return crossing > from && crossing < to ? [begins, { ...piece(crossing, growing > 0), value: 0 }] : [begins];
    }
    case 'steps': {
      const [first, rising] = stepStart(charge, month, from, to);
      const pieces: Piece[] = [{ start: from, value: first * rate, slope: 0 }];
      // Just right of the edge at j packages there is one more if the quantity rises, and j if it falls.
      forEachEdge(line, charge.size, from, to, (start, edge) => pieces.push({ start, value: (rising ? edge + 1 : edge) * rate, slope: 0 }));
      return pieces;
    }
    case 'graduated':
    case 'volume':
      return bandPieces(charge, line, from, to);
  }
}

interface Line {
  at(level: number): number;
  quantity(scale: number): number;
  growing: number;
}

/** How many packages there are just right of the lower end, and whether the quantity rises. */
function stepStart(charge: CompiledCharge, month: number, from: number, to: number): [count: number, rising: boolean] {
  const line = lineOf(charge, month);
  const { size } = charge;
  if (line.growing === 0) return [Math.max(0, Math.ceil(line.quantity(from) / size - SAME_PLACE)), false];
  const rising = line.growing > 0;
  let first: number | undefined;
  forEachEdge(line, size, from, to, (_place, edge) => {
    first ??= rising ? edge : edge + 1;
    return false;
  });
  first ??= Math.ceil(line.quantity((from + to) / 2) / size - SAME_PLACE);
  return [Math.max(0, first), rising];
}

/** Visits the whole numbers of packages that are reached between two scales, in order, until told not to go on. */
function forEachEdge(line: Line, size: number, from: number, to: number, visit: (place: number, edge: number) => unknown): void {
  const ends = [line.quantity(from) / size, line.quantity(to) / size];
  const low = Math.max(0, Math.ceil(Math.min(...ends)));
  const high = Math.floor(Math.max(...ends));
  // Past that, floating point knows no next whole number; one package more or less is nothing there.
  if (!Number.isSafeInteger(high)) return;
  const rising = line.growing > 0;
  for (let edge = rising ? low : high; rising ? edge <= high : edge >= low; edge += rising ? 1 : -1) {
    const place = line.at(edge * size);
    if (place > from && place < to && visit(place, edge) === false) return;
  }
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
    return band
      ? { start, value: line.quantity(start) * band.rate + band.offset, slope: line.growing * band.rate }
      : { start, value: 0, slope: 0 };
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

import type { BandForm } from './level-form';

/** A linear piece of a function of the scale: just right of its start it has a value, from where it rises by its slope. */
export interface Piece {
  readonly start: number;
  readonly value: number;
  readonly slope: number;
}

/** Starts that lie closer together than this, relative to their size, are one: floating point cannot tell them apart. */
export const SAME_PLACE = 1e-13;

/** A function made of other pieces times factors; pieces begin wherever one of the parts does. */
export function combined(parts: ReadonlyArray<{ readonly pieces: readonly Piece[]; readonly factor: number }>): Piece[] {
  const [only, second] = parts;
  if (only && !second) return only.factor === 1 ? [...only.pieces] : only.pieces.map((piece) => times(piece, only.factor));
  const starts = [...new Set(parts.flatMap(({ pieces }) => pieces.map(({ start }) => start)))].sort((a, b) => a - b);
  const at = parts.map(() => 0);
  return starts.map((start) => {
    let [value, slope] = [0, 0];
    parts.forEach(({ pieces, factor }, which) => {
      let index = at[which] ?? 0;
      while ((pieces[index + 1]?.start ?? Infinity) <= start) index++;
      at[which] = index;
      const piece = pieces[index];
      if (!piece) return;
      value += (piece.value + piece.slope * (start - piece.start)) * factor;
      slope += piece.slope * factor;
    });
    return { start, value, slope };
  });
}

function times({ start, value, slope }: Piece, factor: number): Piece {
  return { start, value: value * factor, slope: slope * factor };
}

/** A function kept between two levels. */
export function clamped(pieces: readonly Piece[], to: number, least: number, most: number): Piece[] {
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

/** Takes each linear piece of a quantity and turns it into pieces of what is made of the quantity. */
function refined(pieces: readonly Piece[], to: number, refine: (piece: Piece, end: number, add: (piece: Piece) => void) => void): Piece[] {
  const result: Piece[] = [];
  pieces.forEach((piece, index) => refine(piece, pieces[index + 1]?.start ?? to, (one) => result.push(one)));
  return result;
}

/** How many packages cover a quantity, as a function of the scale. */
export function packagePieces(pieces: readonly Piece[], to: number, size: number): Piece[] {
  return refined(pieces, to, (piece, end, add) => {
    add({ start: piece.start, value: packagesRightOf(piece, end, size), slope: 0 });
    forEachStep(piece, end, size, (start, after) => add({ start, value: after, slope: 0 }));
  });
}

/** How many packages there are just right of a piece's start. */
export function packagesRightOf(piece: Piece, end: number, size: number): number {
  let first: number | undefined;
  forEachStep(piece, end, size, (_place, after) => {
    first = piece.slope > 0 ? after - 1 : after + 1;
    return false;
  });
  const middle = piece.slope === 0 ? piece.value : piece.value + (piece.slope * (end - piece.start)) / 2;
  return first ?? Math.max(0, Math.ceil(middle / size - SAME_PLACE * Math.max(1, middle / size)));
}

/**
 * Visits, in order, the places inside a piece at which the number of packages changes, with the number right of it,
 * until told not to go on.
 */
export function forEachStep(
  { start, value, slope }: Piece,
  end: number,
  size: number,
  visit: (place: number, after: number) => unknown,
): void {
  if (slope === 0) return;
  const ends = [value / size, (value + slope * (end - start)) / size];
  const low = Math.max(0, Math.ceil(Math.min(...ends)));
  const high = Math.floor(Math.max(...ends));
  // Past that, floating point knows no next whole number; one package more or less is nothing there.
  if (!Number.isSafeInteger(high)) return;
  const isRising = slope > 0;
  for (let edge = isRising ? low : high; isRising ? edge <= high : edge >= low; edge += isRising ? 1 : -1) {
    const place = start + (edge * size - value) / slope;
    if (place > start && place < end && visit(place, isRising ? edge + 1 : edge) === false) return;
  }
}

/** What bands make of a quantity, as a function of the scale. */
export function bandPieces(pieces: readonly Piece[], to: number, form: Pick<BandForm, 'how' | 'bands'>): Piece[] {
  const lines = bandLines(form);
  // Right of an edge on which it stands, a rising quantity is in the next band.
  const bandRightOf = ({ value, slope }: Piece) => {
    const isRising = slope > 0;
    if (form.how === 'graduated' && (isRising ? value < 0 : value <= 0)) return -1;
    return lines.findIndex(({ upTo }) => (isRising ? upTo > value * (1 + SAME_PLACE) : value <= upTo * (1 + SAME_PLACE)));
  };
  return refined(pieces, to, (piece, end, add) => {
    const inBand = (start: number, index: number): Piece => {
      const band = lines[index];
      if (!band) return { start, value: 0, slope: 0 };
      return {
        start,
        value: (piece.value + piece.slope * (start - piece.start)) * band.rate + band.offset,
        slope: piece.slope * band.rate,
      };
    };
    add(inBand(piece.start, bandRightOf(piece)));
    const edges = lines.map(({ lower }, index) => ({ place: piece.start + (lower - piece.value) / piece.slope, index }));
    const inside = edges.filter(({ place }) => place > piece.start && place < end).sort((a, b) => a.place - b.place);
    // Right of its lower edge a rising quantity is in the band, a falling one in the band below.
    for (const { place, index } of inside) add(inBand(place, piece.slope > 0 ? index : index - 1));
  });
}

interface BandLine {
  readonly lower: number;
  readonly upTo: number;
  readonly rate: number;
  readonly offset: number;
}

/** Each band as rate × quantity + offset; of graduated bands the offset has all bands below in it. */
function bandLines({ how, bands }: Pick<BandForm, 'how' | 'bands'>): BandLine[] {
  let below = 0;
  let edge = 0;
  return bands.map(({ upTo, rate, flat }) => {
    const offset = how === 'volume' ? flat : below + flat - edge * rate;
    const lower = edge;
    if (upTo !== Infinity) below += (upTo - edge) * rate + flat;
    edge = upTo;
    return { lower, upTo, rate, offset };
  });
}

import type { Decimal } from '../amount/decimal';

/**
 * Values of all months in floating point, with how far each may be off from the exact one at most; Infinity where that
 * cannot be said.
 */
export interface Bounded {
  readonly values: Float64Array;
  readonly off: Float64Array;
}

/** More than what one operation in double precision loses, as a part of its result. */
const LOST = 2 ** -52;

/** Exact arithmetic removes what a division left behind before it takes a step; that is less than this. */
const REMOVED = 1e-19;

/** A value with how far it may be off, as they are combined: kept in one object that is used again and again. */
interface Pair {
  value: number;
  off: number;
}

export function nothing(months: number): Bounded {
  return { values: new Float64Array(months), off: new Float64Array(months) };
}

/** Exact amounts as the nearest numbers. */
export function bounded(months: readonly Decimal[], count: number): Bounded {
  const { values, off } = nothing(count);
  for (let month = 0; month < count; month++) {
    const value = months[month]?.toNumber() ?? 0;
    values[month] = value;
    off[month] = Math.abs(value) * LOST;
  }
  return { values, off };
}

/** The same amount in every month. */
export function boundedConstant(amount: Decimal, months: number): Bounded {
  const value = amount.toNumber();
  return { values: new Float64Array(months).fill(value), off: new Float64Array(months).fill(Math.abs(value) * LOST) };
}

type Combine = (a: number, offA: number, b: number, offB: number, into: Pair) => void;

/** Combines two, month by month. */
export function combinedBounds(a: Bounded, b: Bounded, combine: Combine): Bounded {
  const months = a.values.length;
  const { values, off } = nothing(months);
  const into: Pair = { value: 0, off: 0 };
  for (let month = 0; month < months; month++) {
    combine(a.values[month] ?? 0, a.off[month] ?? 0, b.values[month] ?? 0, b.off[month] ?? 0, into);
    values[month] = into.value;
    off[month] = into.off;
  }
  return { values, off };
}

export const plusBounds: Combine = (a, offA, b, offB, into) => {
  into.value = a + b;
  into.off = offA + offB + Math.abs(into.value) * LOST;
};

export const minusBounds: Combine = (a, offA, b, offB, into) => {
  into.value = a - b;
  into.off = offA + offB + Math.abs(into.value) * LOST;
};

export const timesBounds: Combine = (a, offA, b, offB, into) => {
  into.value = a * b;
  into.off = Math.abs(a) * offB + Math.abs(b) * offA + offA * offB + Math.abs(into.value) * LOST;
};

export const dividedBounds: Combine = (a, offA, b, offB, into) => {
  const least = Math.abs(b) - offB;
  into.value = a / b;
  into.off = least > 0 ? (offA + Math.abs(into.value) * offB) / least + Math.abs(into.value) * LOST : Infinity;
};

export const greaterBounds: Combine = (a, offA, b, offB, into) => {
  into.value = Math.max(a, b);
  into.off = Math.max(offA, offB);
};

export const lesserBounds: Combine = (a, offA, b, offB, into) => {
  into.value = Math.min(a, b);
  into.off = Math.max(offA, offB);
};

/** The whole number at or above a quotient; not to be said where the quotient may be a whole number or just past one. */
export const packageBounds: Combine = (a, offA, b, offB, into) => {
  dividedBounds(a, offA, b, offB, into);
  const isNothing = a === 0 && offA === 0;
  const isSure = isNothing || Math.abs(into.value - Math.round(into.value)) > into.off + REMOVED;
  into.value = Math.ceil(into.value);
  into.off = isSure ? 0 : Infinity;
};

/** A band with its edge and rates in numbers. */
export interface BoundedBand {
  /** Infinity for the last. */
  readonly upTo: number;
  readonly rate: number;
  readonly flat: number;
}

/** What bands come to; not to be said where a quantity may stand on either side of an edge at which the amount jumps. */
export function bandBounds({ values, off }: Bounded, bands: readonly BoundedBand[], how: 'graduated' | 'volume'): Bounded {
  const amounts = nothing(values.length);
  const edges = how === 'volume' ? bands.map(({ upTo }) => upTo) : edgesOfFlats(bands);
  const steepest = Math.max(...bands.map(({ rate }) => Math.abs(rate)));
  for (let month = 0; month < values.length; month++) {
    const quantity = values[month] ?? 0;
    const quantityOff = off[month] ?? 0;
    const isExactlyNothing = quantity === 0 && quantityOff === 0;
    const isSure = isExactlyNothing || edges.every((edge) => Math.abs(quantity - edge) > quantityOff + edge * LOST + REMOVED);
    const { amount, size } = how === 'volume' ? volume(bands, quantity) : graduated(bands, quantity);
    amounts.values[month] = amount;
    // As many operations as a band has, each of no more than the size of what was added up.
    amounts.off[month] = isSure ? steepest * quantityOff + size * (4 * bands.length + 4) * LOST : Infinity;
  }
  return amounts;
}

/** Where graduated bands with a flat amount begin: at any other edge the amount goes on without a jump. */
function edgesOfFlats(bands: readonly BoundedBand[]): number[] {
  return bands.flatMap(({ flat }, index) => (flat === 0 ? [] : [bands[index - 1]?.upTo ?? 0]));
}

function graduated(bands: readonly BoundedBand[], quantity: number): { amount: number; size: number } {
  let [amount, size, edge] = [0, 0, 0];
  for (const [index, { upTo, rate, flat }] of bands.entries()) {
    if (quantity <= edge) break;
    const top = index === bands.length - 1 ? quantity : Math.min(quantity, upTo);
    const added = (top - edge) * rate;
    amount += added + flat;
    size += (top + edge) * Math.abs(rate) + Math.abs(flat);
    edge = upTo;
  }
  return { amount, size };
}

function volume(bands: readonly BoundedBand[], quantity: number): { amount: number; size: number } {
  const band = bands.find(({ upTo }) => quantity <= upTo) ?? bands.at(-1);
  const amount = band ? quantity * band.rate + band.flat : 0;
  return { amount, size: band ? Math.abs(quantity * band.rate) + Math.abs(band.flat) : 0 };
}

/**
 * What each month rounds to in whole minor units, halves away from zero; NaN where that cannot be said.
 *
 * @param digits - of the minor unit
 */
export function roundedBounds({ values, off }: Bounded, digits: number): Float64Array {
  const units = 10 ** digits;
  return values.map((value, month) => {
    const size = Math.abs(value) * units;
    // What exact arithmetic removes before it rounds is less than the last part.
    const within = (off[month] ?? 0) * units + size * LOST + 1e-15;
    const below = Math.floor(size);
    const part = size - below;
    if (size === 0 && (off[month] ?? 0) === 0) return 0;
    if (!(size < 2 ** 50 && Math.abs(part - 0.5) > within)) return NaN;
    const whole = part < 0.5 ? below : below + 1;
    return value < 0 ? 0 - whole : whole;
  });
}

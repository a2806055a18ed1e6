/** Exact fractions, made of nothing but whole numbers: what the oracle counts with instead of the code's decimals. */
export interface Rational {
  readonly top: bigint;
  readonly bottom: bigint;
}

function divisor(a: bigint, b: bigint): bigint {
  let [x, y] = [a < 0n ? -a : a, b];
  while (y !== 0n) [x, y] = [y, x % y];
  return x === 0n ? 1n : x;
}

function fraction(top: bigint, bottom: bigint): Rational {
  const sign = bottom < 0n ? -1n : 1n;
  const common = divisor(top, bottom * sign);
  return { top: (top * sign) / common, bottom: (bottom * sign) / common };
}

/** Reads a plain decimal. */
export function rational(text: string | number): Rational {
  const [whole = '0', part = ''] = String(text).split('.');
  return fraction(BigInt(`${whole}${part}`), 10n ** BigInt(part.length));
}

export const zero = rational(0);
export const one = rational(1);
export const add = (a: Rational, b: Rational) => fraction(a.top * b.bottom + b.top * a.bottom, a.bottom * b.bottom);
export const minus = (a: Rational, b: Rational) => add(a, { top: -b.top, bottom: b.bottom });
export const times = (a: Rational, b: Rational) => fraction(a.top * b.top, a.bottom * b.bottom);
export const over = (a: Rational, b: Rational) => fraction(a.top * b.bottom, a.bottom * b.top);
export const compare = (a: Rational, b: Rational) =>
  Number(a.top * b.bottom > b.top * a.bottom) - Number(a.top * b.bottom < b.top * a.bottom);
export const larger = (a: Rational, b: Rational) => (compare(a, b) >= 0 ? a : b);
export const smaller = (a: Rational, b: Rational) => (compare(a, b) <= 0 ? a : b);
export const total = (all: readonly Rational[]) => all.reduce(add, zero);
export const power = (base: Rational, exponent: number): Rational => (exponent === 0 ? one : times(base, power(base, exponent - 1)));

/** The next whole number that is not smaller. */
export function ceiling({ top, bottom }: Rational): Rational {
  const quotient = top / bottom;
  return { top: top > 0n && top % bottom !== 0n ? quotient + 1n : quotient, bottom: 1n };
}

/** Rounded to so many places, halves away from zero. */
export function rounded({ top, bottom }: Rational, places: number): Rational {
  const factor = 10n ** BigInt(places);
  const doubled = (top < 0n ? -top : top) * factor * 2n;
  const units = (doubled / bottom + 1n) / 2n;
  return fraction(top < 0n ? -units : units, factor);
}

/** Written with so many places. */
export function written(value: Rational, places: number): string {
  const { top, bottom } = rounded(value, places);
  const units = ((top < 0n ? -top : top) * 10n ** BigInt(places)) / bottom;
  const digits = units.toString().padStart(places + 1, '0');
  const text = places === 0 ? digits : `${digits.slice(0, -places)}.${digits.slice(-places)}`;
  return top < 0n && units !== 0n ? `-${text}` : text;
}

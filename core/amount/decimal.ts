import { Decimal as BaseDecimal } from 'decimal.js';

/** Significant digits that are kept, and how many of them the library keeps in one word. */
const PRECISION = 40;
const DIGITS_OF_A_WORD = 7;

/**
 * Arbitrary-precision decimal number used for every amount, count and rate.
 *
 * Forty significant digits keep products of growth over 120 months and rates exact far below the cent;
 * halves are rounded away from zero (decision file §5, Rounding).
 */
export const Decimal = BaseDecimal.clone({
  precision: PRECISION,
  rounding: BaseDecimal.ROUND_HALF_UP,
  toExpNeg: -1000,
  toExpPos: 1000,
});

export type Decimal = BaseDecimal;

export const ZERO: Decimal = new Decimal(0);
export const ONE: Decimal = new Decimal(1);
export const HUNDRED: Decimal = new Decimal(100);

/**
 * Reads a decimal string of a decision file.
 *
 * @param text - a plain decimal such as `"29.00"`
 * @returns the exact number
 * @throws if the text is not a number (files are validated before they get here)
 * @example decimal('2.70').times(2).toString() // '5.4'
 */
export function decimal(text: string | number): Decimal {
  return new Decimal(text);
}

/**
 * Percent as a factor.
 *
 * @example fraction('2.5').toString() // '0.025'
 */
export function fraction(percent: string | Decimal): Decimal {
  return new Decimal(percent).div(HUNDRED);
}

/** The sum of two amounts; nothing is worked out where one of them is nothing, as many are. */
export function plus(a: Decimal, b: Decimal): Decimal {
  if (b.isZero()) return a;
  return a.isZero() ? b : a.plus(b);
}

/** Adds up any number of amounts; 0 for none. */
export function sum(amounts: Iterable<Decimal>): Decimal {
  let total = ZERO;
  for (const amount of amounts) total = plus(total, amount);
  return total;
}

/**
 * Removes the dust that a non-terminating division leaves behind (10 ÷ 3 × 3), so that steps such as a
 * package, a band's edge or a limit are taken where the exact quantity stands.
 */
export function withoutDivisionResidue(quantity: Decimal): Decimal {
  // Only a division that does not come out even fills all digits; what has few has nothing to remove.
  return quantity.d.length * DIGITS_OF_A_WORD < PRECISION - DIGITS_OF_A_WORD ? quantity : quantity.toDecimalPlaces(20);
}

/**
 * Writes a number with exactly so many decimal places, halves away from zero; what rounds to nothing has no sign.
 *
 * @example fixed(decimal('-0.00001'), 4) // '0.0000'
 */
export function fixed(value: Decimal, places: number): string {
  return value.toDecimalPlaces(places).toFixed(places);
}

/**
 * Whether two amounts are the same number however they are written, or both are not known.
 *
 * @example isSameAmount('17', '17.00') // true
 */
export function isSameAmount(one: string | null, other: string | null): boolean {
  return one === null || other === null ? one === other : new Decimal(one).eq(other);
}

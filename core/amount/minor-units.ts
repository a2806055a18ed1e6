import { Decimal, decimal } from './decimal';

/** An amount in whole minor units of a currency, kept in a number; exact up to 9e15 of them. */
export type MinorUnits = number;

/** How far a number may be off by what floating point adds up along the way. */
const ERROR = 1e-12;
const LEAST_ERROR = 1e-7;

/**
 * The whole number a value rounds to, halves away from zero, or null where the value is so close to a half that
 * floating point cannot say: then exact arithmetic has to.
 *
 * @example roundedWhole(181.0651) // 181
 * @example roundedWhole(0.5) // null
 */
export function roundedWhole(value: number): MinorUnits | null {
  const size = Math.abs(value);
  const below = Math.floor(size);
  if (Math.abs(size - below - 0.5) <= LEAST_ERROR + size * ERROR) return null;
  const whole = size - below < 0.5 ? below : below + 1;
  return value < 0 ? 0 - whole : whole;
}

/**
 * Whole units times an exact factor, rounded to whole units, halves away from zero; exact.
 *
 * @example roundedProduct(1000, { exact: decimal('0.9215'), number: 0.9215 }) // 922
 */
export function roundedProduct(units: MinorUnits, factor: { readonly exact: Decimal; readonly number: number }): MinorUnits {
  return roundedWhole(units * factor.number) ?? decimal(units).times(factor.exact).toDecimalPlaces(0).toNumber();
}

/**
 * Writes whole minor units as an amount with that many digits, as result files do.
 *
 * @example minorText(-1205, 2) // '-12.05'
 */
export function minorText(units: MinorUnits, digits: number): string {
  const text = String(Math.abs(units)).padStart(digits + 1, '0');
  const sign = units < 0 ? '-' : '';
  return digits === 0 ? sign + text : `${sign}${text.slice(0, -digits)}.${text.slice(-digits)}`;
}

/**
 * Whole minor units as an amount; null for NaN, and for more of them than a number can write down exactly.
 *
 * @param digits - of the minor unit
 * @example minorAmount(-1205, 2)?.toString() // '-12.05'
 */
export function minorAmount(units: MinorUnits, digits: number): Decimal | null {
  // Up to fifteen digits, the shortest text of the quotient is the amount itself.
  return Math.abs(units) < 1e15 ? new Decimal(units / 10 ** digits) : null;
}

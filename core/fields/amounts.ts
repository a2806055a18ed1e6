import * as z from 'zod';
import { isCurrency } from '../amount/currencies';
import { Decimal } from '../amount/decimal';
import { MONTH_PATTERN } from '../calendar/month';
import { oneLine } from './one-line';

/** Bounds that keep every computation quick; far beyond what a small seller counts. */
const MOST_DIGITS = 40;
const LARGEST = new Decimal('1e15');
const PLAIN_DECIMAL = /^-?\d+(\.\d+)?$/;

interface Bounds {
  least?: string;
  most?: string;
  /** Whether the lower bound itself is excluded. */
  above?: string;
}

/**
 * A decimal of a decision file: a plain decimal string, or a JSON number read as its shortest decimal form
 * (decision file, Conventions). The parsed value is always the string.
 */
export function decimalField(bounds: Bounds = {}) {
  return z.union([z.string(), z.number()], { error: 'a decimal such as "29.00" is wanted' }).transform((value, context) => {
    const text = typeof value === 'number' ? new Decimal(value).toFixed() : value;
    const problem = decimalProblem(text, bounds);
    if (problem === null) return text;
    context.addIssue({ code: 'custom', message: problem, input: value });
    return z.NEVER;
  });
}

function decimalProblem(text: string, { least, most, above }: Bounds): string | null {
  if (text.length > MOST_DIGITS) return `a decimal of at most ${MOST_DIGITS} characters is wanted`;
  if (!PLAIN_DECIMAL.test(text)) return 'a decimal such as "29.00" is wanted';
  const value = new Decimal(text);
  if (value.abs().gt(LARGEST)) return 'a decimal up to 1000000000000000 is wanted';
  if (least !== undefined && value.lt(least)) return `a decimal of ${least} or more is wanted`;
  if (above !== undefined && value.lte(above)) return `a decimal above ${above} is wanted`;
  if (most !== undefined && value.gt(most)) return `a decimal of at most ${most} is wanted`;
  return null;
}

/** Any decimal, negative ones included. */
export const signedDecimal = decimalField();
/** An amount, count or rate of 0 or more. */
export const amount = decimalField({ least: '0' });
/** An amount of 0 or more, or `null`: charged, but not known. */
export const amountOrNotKnown = amount.nullable();
/** A share in percent, 0 to 100. */
export const share = decimalField({ least: '0', most: '100' });
/** A decimal above 0. */
export const positive = decimalField({ above: '0' });

/** A whole number in a range: a JSON number, or written as a decimal string like other counts. */
export function wholeNumber(least: number, most: number) {
  const wanted = `a whole number from ${least} to ${most} is wanted`;
  const written = z
    .string()
    .regex(/^\d{1,9}$/, wanted)
    .transform(Number);
  return z.union([z.int(wanted), written], { error: wanted }).pipe(z.number().min(least, wanted).max(most, wanted));
}

/** A short identifier: letters, digits, dots, dashes and underscores. */
export const slug = z
  .string('an identifier is wanted')
  .regex(/^[A-Za-z0-9][A-Za-z0-9._-]{0,79}$/, 'an identifier of letters, digits, dots and dashes is wanted');

/** Text for people on one line; up to 300 characters. Line breaks and other control characters in it become spaces. */
export const label = z.string('a text is wanted').max(300, 'a text of at most 300 characters is wanted').overwrite(oneLine);

/** An ISO 4217 currency code. */
export const currencyCode = z
  .string('a currency code such as EUR is wanted')
  .regex(/^[A-Z]{3}$/, { error: 'a currency code such as EUR is wanted', abort: true })
  .refine(isCurrency, 'a currency code such as EUR is wanted');

/** A calendar month, `YYYY-MM`. */
export const monthField = z.string('a month such as 2027-01 is wanted').regex(MONTH_PATTERN, 'a month such as 2027-01 is wanted');

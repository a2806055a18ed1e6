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
  return z.union([z.string(), z.number()], { error: 'use a decimal such as "29.00"' }).transform((value, context) => {
    const text = typeof value === 'number' ? new Decimal(value).toFixed() : value;
    const problem = decimalProblem(text, bounds);
    if (problem === null) return text;
    context.addIssue({ code: 'custom', message: problem, input: value });
    return z.NEVER;
  });
}

function decimalProblem(text: string, { least, most, above }: Bounds): string | null {
  if (text.length > MOST_DIGITS) return `use a decimal of at most ${MOST_DIGITS} characters`;
  if (!PLAIN_DECIMAL.test(text)) return 'use a decimal such as "29.00"';
  const value = new Decimal(text);
  if (value.abs().gt(LARGEST)) return 'use a decimal up to 1000000000000000';
  if (least !== undefined && value.lt(least)) return `use a decimal of ${least} or more`;
  if (above !== undefined && value.lte(above)) return `use a decimal above ${above}`;
  if (most !== undefined && value.gt(most)) return `use a decimal of at most ${most}`;
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
  const wanted = `use a whole number from ${least} to ${most}`;
  const written = z
    .string()
    .regex(/^\d{1,9}$/, wanted)
    .transform(Number);
  return z.union([z.int(wanted), written], { error: wanted }).pipe(z.number().min(least, wanted).max(most, wanted));
}

/** A short identifier: letters, digits, dots, dashes and underscores. */
export const slug = z
  .string('use an identifier')
  .regex(/^[A-Za-z0-9][A-Za-z0-9._-]{0,79}$/, 'use an identifier of letters, digits, dots and dashes');

/** Text for people on one line; up to 300 characters. Line breaks and other control characters in it become spaces. */
export const label = z.string('use a text').max(300, 'use a text of at most 300 characters').overwrite(oneLine);

/** An ISO 4217 currency code. */
export const currencyCode = z
  .string('use a currency code such as EUR')
  .regex(/^[A-Z]{3}$/, { error: 'use a currency code such as EUR', abort: true })
  .refine(isCurrency, 'use a currency code such as EUR');

/** A calendar month, `YYYY-MM`. */
export const monthField = z.string('use a month such as 2027-01').regex(MONTH_PATTERN, 'use a month such as 2027-01');

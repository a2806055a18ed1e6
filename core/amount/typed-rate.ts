import { type Decimal, decimal } from './decimal';
import { type NumberRange, readTypedNumber, type TypedNumber } from './typed-number';

/** What somebody typed as so many a month, a week or a year, by the month; a range with both its ends. */
export type TypedRate =
  | {
      readonly ok: true;
      /** By the month: what is expected, of a range the middle. */
      readonly value: string;
      readonly between?: { readonly least: string; readonly most: string };
    }
  | { readonly ok: false; readonly problem: string };

/** How many of a period a month has: a year has 52 weeks and 365 days. */
const A_MONTH: Readonly<Record<string, (each: Decimal) => Decimal>> = {
  day: (each) => each.times(365).div(12),
  week: (each) => each.times(52).div(12),
  month: (each) => each,
  quarter: (each) => each.div(3),
  year: (each) => each.div(12),
};
const PERIODS: ReadonlyArray<readonly [period: string, words: RegExp]> = [
  ['day', /^(days?|daily|d)$/],
  ['week', /^(weeks?|weekly|wks?)$/],
  ['month', /^(months?|monthly|mo)$/],
  ['quarter', /^(quarters?|quarterly)$/],
  ['year', /^(years?|yearly|annually|annum|yrs?)$/],
];
const TYPED = /^(.*?)\s*(?:\b(?:orders?|sales|pieces|courses|members)\b\s*)?(?:(?:\/|\b(?:an?|per|each|every|by the)\b)\s*)?([a-z]+)$/i;
const RANGE = /^(.*\d.*?)\s*(?:\bto\b|\band\b|–|—|-)\s*(\S.*)$/i;
const PLACES = 8;

/**
 * Reads so many a month as people know it: "30 a year", "8 a week", "5 to 60 a year"; a figure alone is by the month.
 *
 * @param range - bounds of what it comes to a month, and what is wanted
 * @example readTypedRate('30 a year', { wanted: 'a number of orders' }) // { ok: true, value: '2.5' }
 */
export function readTypedRate(text: string, range: NumberRange): TypedRate {
  const typed = text.trim();
  const [, figures = typed, word = ''] = TYPED.exec(typed) ?? [];
  const period = word === '' ? 'month' : PERIODS.find(([, words]) => words.test(word.toLowerCase()))?.[0];
  const monthly = period === undefined ? undefined : A_MONTH[period];
  if (monthly === undefined || figures.trim() === '') return readTypedNumber(text, range);
  const ends = RANGE.exec(figures.replace(/^between\s+/i, ''));
  const read = (figure: string): TypedNumber => {
    const plain = readTypedNumber(figure, { ...range, least: -Infinity, most: Infinity });
    return plain.ok ? readTypedNumber(places(monthly(decimal(plain.value))), range) : plain;
  };
  if (!ends) return read(figures);
  const [least, most] = [read(ends[1] ?? ''), read(ends[2] ?? '')];
  if (!least.ok || !most.ok) return least.ok ? most : least;
  if (decimal(least.value).gt(most.value)) return { ok: false, problem: `“${typed}” goes down: write the smaller figure first.` };
  const middle = places(decimal(least.value).plus(most.value).div(2));
  return { ok: true, value: middle, between: { least: least.value, most: most.value } };
}

function places(value: Decimal): string {
  return value.toDecimalPlaces(PLACES).toFixed();
}

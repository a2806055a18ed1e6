/** A calendar month, `YYYY-MM`. */
export type Month = string;

/** A calendar month as it is written: year and month. */
export const MONTH_PATTERN = /^(\d{4})-(0[1-9]|1[0-2])$/;

/** The months of a year in short, January first. */
export const MONTH_NAMES: readonly string[] = ['Jan', 'Feb', 'Mar', 'Apr', 'May', 'Jun', 'Jul', 'Aug', 'Sep', 'Oct', 'Nov', 'Dec'];

/**
 * The month a number of months later.
 *
 * @param month - `YYYY-MM`
 * @param count - months to add, may be negative
 * @throws RangeError if the text is not a month
 * @example addMonths('2027-11', 3) // '2028-02'
 */
export function addMonths(month: Month, count: number): Month {
  const [year, ordinal] = parts(month);
  const absolute = year * 12 + (ordinal - 1) + count;
  const laterYear = Math.floor(absolute / 12);
  return `${String(laterYear).padStart(4, '0')}-${String(absolute - laterYear * 12 + 1).padStart(2, '0')}`;
}

/**
 * How many months one month is after another; negative if it is before.
 *
 * @example monthsBetween('2027-01', '2027-06') // 5
 */
export function monthsBetween(from: Month, to: Month): number {
  const [[fromYear, fromOrdinal], [toYear, toOrdinal]] = [parts(from), parts(to)];
  return (toYear - fromYear) * 12 + toOrdinal - fromOrdinal;
}

/**
 * The months of a horizon, in order.
 *
 * @example monthsFrom('2027-12', 2) // ['2027-12', '2028-01']
 */
export function monthsFrom(start: Month, count: number): Month[] {
  return Array.from({ length: count }, (_, index) => addMonths(start, index));
}

/**
 * Which month of the year it is, January being 0.
 *
 * @example monthOfYear('2027-03') // 2
 */
export function monthOfYear(month: Month): number {
  return parts(month)[1] - 1;
}

function parts(month: Month): [year: number, ordinal: number] {
  const match = MONTH_PATTERN.exec(month);
  if (!match) throw new RangeError(`“${month}” is not a month; use YYYY-MM`);
  return [Number(match[1]), Number(match[2])];
}

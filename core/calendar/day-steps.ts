import { daysBetween } from './day';
import { addMonths } from './month';

const written = (number: number) => String(number).padStart(2, '0');

/** How many days a month has. */
function lengthOf(month: string): number {
  return daysBetween(`${month}-01`, `${addMonths(month, 1)}-01`);
}

/**
 * A calendar day so many days later, or earlier.
 *
 * @param from - `YYYY-MM-DD`
 * @example addDays('2027-02-27', 2) // '2027-03-01'
 */
export function addDays(from: string, count: number): string {
  let month = from.slice(0, 7);
  let day = Number(from.slice(8, 10)) + count;
  while (day < 1) {
    month = addMonths(month, -1);
    day += lengthOf(month);
  }
  for (let length = lengthOf(month); day > length; length = lengthOf(month)) {
    day -= length;
    month = addMonths(month, 1);
  }
  return `${month}-${written(day)}`;
}

/**
 * The same day so many months later; the month's last day where it has no such day.
 *
 * @param from - `YYYY-MM-DD`
 * @example addMonthsToDay('2027-01-31', 1) // '2027-02-28'
 */
export function addMonthsToDay(from: string, count: number): string {
  const month = addMonths(from.slice(0, 7), count);
  return `${month}-${written(Math.min(Number(from.slice(8, 10)), lengthOf(month)))}`;
}

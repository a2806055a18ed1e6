import { addDays } from './day-steps';
import { daysBetween } from './day';

/** The first day that is counted. */
const FIRST = '1970-01-01';

/**
 * A calendar day as a number: days since 1 January 1970.
 *
 * @example countedDay('1970-02-01') // 31
 */
export function countedDay(day: string): number {
  return daysBetween(FIRST, day);
}

/**
 * The calendar day of a number.
 *
 * @example dayCounted(31) // '1970-02-01'
 */
export function dayCounted(count: number): string {
  return addDays(FIRST, count);
}

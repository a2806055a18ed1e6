import dayjs from 'dayjs';

/**
 * A day as it is written in a sentence.
 *
 * @param day - `YYYY-MM-DD`
 * @example dayInWords('2026-11-28') // '28 November 2026'
 */
export function dayInWords(day: string): string {
  return dayjs(day).format('D MMMM YYYY');
}

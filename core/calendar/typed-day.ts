import dayjs from 'dayjs';
import customParseFormat from 'dayjs/plugin/customParseFormat';
import { dayInWords } from './day-words';

dayjs.extend(customParseFormat);

/** What a person's typing was read as: a day, or what to type instead. */
export type TypedDay = { readonly ok: true; readonly value: string } | { readonly ok: false; readonly problem: string };

/** Ways of writing a day that can be read in one way only. */
const CLEAR = [
  'YYYY-MM-DD',
  'D MMMM YYYY',
  'D MMM YYYY',
  'D. MMMM YYYY',
  'D.M.YYYY',
  'MMMM D, YYYY',
  'MMM D, YYYY',
  'MMMM D YYYY',
  'MMM D YYYY',
];
const SLASHED = ['D/M/YYYY', 'M/D/YYYY'];
const EARLIEST = '1990-01-01';
const LATEST = '2199-12-31';

/**
 * Reads a day as people type it: "28 November 2026", "2026-11-28", "28.11.2026". A day and a month that could be either
 * way round ("3/4/2027") are asked about rather than guessed.
 *
 * @example readTypedDay('28 November 2026') // { ok: true, value: '2026-11-28' }
 */
export function readTypedDay(text: string): TypedDay {
  const typed = text.trim().replaceAll(/\s+/g, ' ');
  const clear = readings(typed, CLEAR)[0];
  if (clear) return withinReason(clear);
  const [first, second] = readings(typed, SLASHED);
  if (first && second)
    return { ok: false, problem: `“${typed}” can be read two ways: write ${dayInWords(first)} or ${dayInWords(second)}.` };
  if (first) return withinReason(first);
  return { ok: false, problem: 'Enter a day such as 28 November 2026.' };
}

/** Nobody means the year 202 or 20277. */
function withinReason(day: string): TypedDay {
  if (day >= EARLIEST && day <= LATEST) return { ok: true, value: day };
  return { ok: false, problem: `Enter a day from ${dayInWords(EARLIEST)} to ${dayInWords(LATEST)}.` };
}

function readings(typed: string, formats: readonly string[]): string[] {
  const found = formats.map((format) => dayjs(typed, format, 'en', true)).filter((day) => day.isValid());
  return [...new Set(found.map((day) => day.format('YYYY-MM-DD')))];
}

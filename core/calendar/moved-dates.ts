import { daysBetween } from './day';
import { addDays } from './day-steps';
import { dayInWords } from './day-words';
import { addMonths, monthsBetween } from './month';
import { readTypedDay } from './typed-day';

const DAY = /(?<![\d-])20\d\d-(?:0[1-9]|1[0-2])-(?:0[1-9]|[12]\d|3[01])(?![\d-])/g;
const MONTH = /(?<![\d-])20\d\d-(?:0[1-9]|1[0-2])(?![\d-])/g;
const DAY_IN_WORDS = /\b\d{1,2} (?:January|February|March|April|May|June|July|August|September|October|November|December) 20\d\d\b/g;
const FROM_YEAR = /\bfrom (20\d\d)\b(?!-)/g;

/**
 * A text written on one day as it would read on another: every day in it as many days later, every month and "from
 * 2027" as many calendar months later.
 *
 * @param writtenOn - `YYYY-MM-DD`
 * @param readOn - `YYYY-MM-DD`; earlier than the other moves dates back
 * @example movedDates('ends 2026-12-01, from 2027-01 on', '2026-11-28', '2026-12-28') // 'ends 2026-12-31, from 2027-02 on'
 */
export function movedDates(text: string, writtenOn: string, readOn: string): string {
  if (writtenOn === readOn) return text;
  const days = daysBetween(writtenOn, readOn);
  const months = monthsBetween(writtenOn.slice(0, 7), readOn.slice(0, 7));
  return text
    .replaceAll(DAY, (day) => addDays(day, days))
    .replaceAll(MONTH, (month) => addMonths(month, months))
    .replaceAll(FROM_YEAR, (_, year: string) => `from ${addMonths(`${year}-01`, months).slice(0, 4)}`)
    .replaceAll(DAY_IN_WORDS, (words) => {
      const day = readTypedDay(words);
      return day.ok ? dayInWords(addDays(day.value, days)) : words;
    });
}

import { countedDay, dayCounted } from '../calendar/counted-day';

/** A day as an export writes it, in both orders of day and month; null where it is none in that order. */
export interface WrittenDay {
  /** Days since 1 January 1970. */
  readonly dayFirst: number | null;
  readonly monthFirst: number | null;
}

const YEAR_FIRST = /^(\d{4})[-/.](\d{1,2})[-/.](\d{1,2})(?!\d)/;
const COMPACT = /^(\d{4})(\d{2})(\d{2})(?!\d)/;
const YEAR_LAST = /^(\d{1,2})([-/.])(\d{1,2})\2(\d{4}|\d{2})(?!\d)/;
const MONTH_IN_WORDS = /^(?:\p{L}+,? )?(\d{1,2})\.?[ -](\p{L}{3,})\.?[ ,-]+(\d{4})/u;
const WORDS_FIRST = /^(?:\p{L}+, )?(\p{L}{3,})\.? (\d{1,2}),? (\d{4})/u;
const MONTHS: Readonly<Record<string, number>> = {
  jan: 1,
  feb: 2,
  mar: 3,
  mär: 3,
  mrz: 3,
  apr: 4,
  may: 5,
  mai: 5,
  jun: 6,
  jul: 7,
  aug: 8,
  sep: 9,
  oct: 10,
  okt: 10,
  nov: 11,
  dec: 12,
  dez: 12,
};
const [EARLIEST_YEAR, LATEST_YEAR] = [1990, 2199];
/** Of years written with two digits. */
const CENTURY = 2000;

/**
 * Reads the day at the beginning of a text; a time of day behind it is passed over.
 *
 * @example readWrittenDay('03/11/2026 14:02') // both orders; '2026-11-03' is the same in both
 */
export function readWrittenDay(text: string): WrittenDay {
  const yearFirst = YEAR_FIRST.exec(text) ?? COMPACT.exec(text);
  if (yearFirst) return certain(dayOf(Number(yearFirst[1]), Number(yearFirst[2]), Number(yearFirst[3])));
  const yearLast = YEAR_LAST.exec(text);
  if (yearLast) {
    const [, first, separator, second, written] = yearLast;
    const year = Number(written) + (written?.length === 2 ? CENTURY : 0);
    const dayFirst = dayOf(year, Number(second), Number(first));
    // Nobody writes the month first between points.
    return { dayFirst, monthFirst: separator === '.' ? dayFirst : dayOf(year, Number(first), Number(second)) };
  }
  const [, day, month, year] = MONTH_IN_WORDS.exec(text) ?? swapped(WORDS_FIRST.exec(text));
  return certain(dayOf(Number(year), MONTHS[(month ?? '').slice(0, 3).toLowerCase()] ?? 0, Number(day)));
}

function swapped(found: RegExpExecArray | null): readonly string[] {
  return found ? [found[0], found[2] ?? '', found[1] ?? '', found[3] ?? ''] : [];
}

const certain = (day: number | null): WrittenDay => ({ dayFirst: day, monthFirst: day });

function dayOf(year: number, month: number, day: number): number | null {
  if (!(year >= EARLIEST_YEAR && year <= LATEST_YEAR && month >= 1 && month <= 12 && day >= 1)) return null;
  const count = countedDay(`${year}-${String(month).padStart(2, '0')}-01`) + day - 1;
  // The 31st of a month that has none would be a day of the next.
  return dayCounted(count).endsWith(`-${String(month).padStart(2, '0')}-${String(day).padStart(2, '0')}`) ? count : null;
}

const DAY = /^(\d{4})-(0[1-9]|1[0-2])-(0[1-9]|[12]\d|3[01])/;

/**
 * The calendar day with which an ISO 8601 time begins, or null if it begins with none.
 *
 * @example dayIn('2026-11-24T09:12:00+01:00') // '2026-11-24'
 */
export function dayIn(time: string): string | null {
  return DAY.exec(time)?.[0] ?? null;
}

/**
 * How many days one calendar day is after another; negative if it is before.
 *
 * @param from - `YYYY-MM-DD`
 * @throws RangeError if one of them is not a day
 * @example daysBetween('2027-02-27', '2027-03-01') // 2
 */
export function daysBetween(from: string, to: string): number {
  return dayNumber(to) - dayNumber(from);
}

/** Days since 1 March of the year 0: years that begin in March have their leap day last. */
function dayNumber(day: string): number {
  const match = DAY.exec(day);
  if (!match) throw new RangeError(`“${day}” is not a day; use YYYY-MM-DD`);
  const [month, ordinal] = [(Number(match[2]) + 9) % 12, Number(match[3])];
  const year = Number(match[1]) - (month >= 10 ? 1 : 0);
  return (
    365 * year + Math.floor(year / 4) - Math.floor(year / 100) + Math.floor(year / 400) + Math.floor((month * 153 + 2) / 5) + ordinal - 1
  );
}

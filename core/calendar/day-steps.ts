const day = (text: string) => new Date(`${text}T00:00:00Z`);
const written = (date: Date) => date.toISOString().slice(0, 10);

/**
 * A calendar day so many days later, or earlier.
 *
 * @example addDays('2027-02-27', 2) // '2027-03-01'
 */
export function addDays(from: string, count: number): string {
  const date = day(from);
  date.setUTCDate(date.getUTCDate() + count);
  return written(date);
}

/**
 * The same day so many months later; the month's last day where it has no such day.
 *
 * @example addMonthsToDay('2027-01-31', 1) // '2027-02-28'
 */
export function addMonthsToDay(from: string, count: number): string {
  const date = day(from);
  const wanted = date.getUTCDate();
  date.setUTCDate(1);
  date.setUTCMonth(date.getUTCMonth() + count);
  const last = new Date(Date.UTC(date.getUTCFullYear(), date.getUTCMonth() + 1, 0)).getUTCDate();
  date.setUTCDate(Math.min(wanted, last));
  return written(date);
}

import { daysBetween } from '#core/calendar/day';

/**
 * How long ago a day was, in words.
 *
 * @example ageWords('2026-11-03', '2026-11-24') // '3 weeks ago'
 */
export function ageWords(day: string, today: string): string {
  const days = daysBetween(day, today);
  if (days <= 0) return 'today';
  if (days === 1) return 'yesterday';
  if (days < 14) return `${days} days ago`;
  if (days < 60) return `${Math.round(days / 7)} weeks ago`;
  return `${Math.round(days / 30.44)} months ago`;
}

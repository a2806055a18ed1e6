import { daysBetween } from '../calendar/day';
import type { Measurement } from '../decision/measurement-schema';

/** What several recordings of a vendor's page come to: the middle ones, as single recordings scatter. */
export interface PageSpeed {
  readonly recordings: number;
  readonly loadMs: number | null;
  readonly bytes: number;
  readonly requests: number;
  /** Hosts of other sites, over all recordings. */
  readonly thirdParties: readonly string[];
}

/** The middle recording's figures; null without any. */
export function pageSpeed(measurements: readonly Measurement[]): PageSpeed | null {
  if (measurements.length === 0) return null;
  return {
    recordings: measurements.length,
    loadMs: median(measurements.flatMap(({ loadMs }) => (loadMs === null ? [] : [loadMs]))),
    bytes: median(measurements.map(({ bytes }) => bytes)) ?? 0,
    requests: median(measurements.map(({ requests }) => requests)) ?? 0,
    thirdParties: [...new Set(measurements.flatMap(({ thirdParties }) => thirdParties.map(({ host }) => host)))].sort(),
  };
}

function median(values: readonly number[]): number | null {
  const sorted = [...values].sort((a, b) => a - b);
  const middle = sorted.length / 2;
  const [low, high] = [sorted[Math.ceil(middle) - 1], sorted[Math.floor(middle)]];
  return low === undefined || high === undefined ? null : Math.round((low + high) / 2);
}

const APART_DAYS = 14;

/**
 * Why recordings cannot be set side by side without a second thought: other browsers, other days, pages that came out
 * of the browser's own store, pages that never finished.
 */
export function differentConditions(
  vendors: ReadonlyArray<{ readonly label: string; readonly measurements: readonly Measurement[] }>,
): string[] {
  const all = vendors.flatMap(({ label, measurements }) => measurements.map((measurement) => ({ label, ...measurement })));
  if (all.length === 0) return [];
  const warnings: string[] = [];
  const browsers = [...new Set(all.map(({ browser }) => browser || 'a browser that is not named'))];
  if (browsers.length > 1) warnings.push(`Recorded with different browsers: ${browsers.join(', ')}.`);
  const days = all.flatMap(({ at }) => at ?? []).sort();
  const apart = daysBetween(days[0] ?? '2000-01-01', days.at(-1) ?? '2000-01-01');
  if (apart > APART_DAYS) warnings.push(`Recorded up to ${apart} days apart.`);
  const named = (which: (one: (typeof all)[number]) => boolean) => [...new Set(all.filter(which).map(({ label }) => label))].join(', ');
  const cached = named(({ cached: from, requests }) => from * 10 > requests);
  if (cached) warnings.push(`Partly served from cache, so it looks faster than it is for a first visit: ${cached}.`);
  const unfinished = named(({ loadMs }) => loadMs === null);
  if (unfinished) warnings.push(`Not recorded until the page had loaded: ${unfinished}.`);
  const failed = named(({ failed: missing, requests }) => missing * 10 > requests);
  if (failed) warnings.push(`More than a tenth of the requests failed: ${failed}.`);
  const undated = named(({ at }) => at === null);
  if (undated) warnings.push(`Without a date: ${undated}.`);
  return warnings;
}

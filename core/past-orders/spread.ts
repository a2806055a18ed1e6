import { monthOfYear } from '../calendar/month';
import type { Decision } from '../decision/decision-schema';
import { differencesOf } from '../forecast/versions';
import type { PastOrders } from '../replay/past-orders';
import { meanOf, seasonalOf } from './seasonal';

/** By how much orders may come out below and above what is expected, one time in ten either way; whole percent. */
export interface Spread {
  /** Below zero, such as `-12`. */
  readonly cautious: string;
  readonly hopeful: string;
  /** How far single months lie apart, in percent of what counts do by chance alone: 100 or more. */
  readonly scatter: string;
  /** Months that it rests on. */
  readonly months: number;
}

/** One in ten lies beyond so many standard deviations, on either side. */
const ONE_IN_TEN = 1.2816;
/** Single months scatter too much, and of years there are too few: three months on end are what is looked at. */
const STRETCH = 3;
const LEAST_MONTHS = 6;
const MOST_PERCENT = 95;
const [BY_CHANCE, MOST_SCATTER] = [100, 1000];

/**
 * How far the past lay from what level, growth and season say of it: every three months on end are set against what was to
 * be expected of them, the mean of the squared logarithms is taken, for the months that are free (degrees of freedom), and
 * the level's own error is added in squares. A cautious version supposes that the months to come go as the tenth part of such stretches did.
 *
 * @returns null with fewer than six whole months, or where three on end have no order
 */
export function spreadOfPast(orders: PastOrders): Spread | null {
  const { starts, months, start } = orders;
  if (months < LEAST_MONTHS) return null;
  const counts = Array.from({ length: months }, (_, month) => (starts[month + 1] ?? 0) - (starts[month] ?? 0));
  const first = monthOfYear(start);
  const { level, levelError, growth, season, pulled } = seasonalOf(counts, first);
  const expected = counts.map((_, at) => level * (1 + (growth ?? 0)) ** (at - months + 1) * (season?.[(first + at) % 12] ?? 1));
  const stretches = counts.slice(STRETCH - 1).map((_, from) => sumOf(counts, from) / sumOf(expected, from));
  if (stretches.some((part) => !(part > 0) || !Number.isFinite(part))) return null;
  const seen = meanOf(stretches.map((part) => Math.log(part) ** 2));
  // Counts scatter by their square root at least.
  const least = meanOf(stretches.map((_, from) => 1 / sumOf(expected, from)));
  // Level, growth and season were made from the same months, and follow them more closely than they would others.
  const made = 1 + Number(growth !== null) + (season ? (season.length - 1) * (1 - pulled) : 0);
  const scatter = (Math.max(seen, least) * months) / Math.max(2, months - made);
  const excess = meanOf(counts.map((count, at) => (count - (expected[at] ?? 0)) ** 2 / (expected[at] ?? 1)));
  const apart = Math.sqrt((excess * months) / Math.max(2, months - made));
  const off = ONE_IN_TEN * Math.sqrt(scatter + levelError ** 2);
  return { cautious: percent(Math.exp(-off)), hopeful: percent(Math.exp(off)), scatter: inBounds(apart), months };
}

const sumOf = (values: readonly number[], from: number) => values.slice(from, from + STRETCH).reduce((sum, value) => sum + value, 0);

function percent(factor: number): string {
  const whole = Math.round((factor - 1) * 100);
  return String(factor < 1 ? Math.max(-MOST_PERCENT, Math.min(-1, whole)) : Math.min(10 * MOST_PERCENT, Math.max(1, whole)));
}

/** What is below chance is chance. */
function inBounds(apart: number): string {
  return String(Math.min(MOST_SCATTER, Math.max(BY_CHANCE, Math.round(apart * 100))));
}

/** A decision whose cautious and hopeful orders differ by the spread of the past, and whose months scatter as they did; all else stays. */
export function withSpread(decision: Decision, { cautious, hopeful, scatter }: Spread): Decision {
  const { versions, chance } = decision;
  return {
    ...decision,
    versions: {
      ...versions,
      cautious: { ...differencesOf(versions, 'cautious'), orders: cautious },
      hopeful: { ...differencesOf(versions, 'hopeful'), orders: hopeful },
    },
    chance: { ...chance, spreads: { ...chance?.spreads, scatter } },
  };
}

/** Whether the versions differ and months scatter by this already. */
export function hasSpread({ versions, chance }: Pick<Decision, 'versions' | 'chance'>, { cautious, hopeful, scatter }: Spread): boolean {
  return (
    differencesOf(versions, 'cautious').orders === cautious &&
    differencesOf(versions, 'hopeful').orders === hopeful &&
    chance?.spreads?.['scatter'] === scatter
  );
}

import { LACKING, USABLE } from './future-pricing';
import type { Futures } from './futures';

/** What chance says of one candidate; amounts in base currency, not rounded. */
export interface CandidateChance {
  readonly id: string;
  /** In which part of all futures it comes first, a fraction. */
  readonly first: number;
  /** How far that may be off for having looked at so many futures only: one standard error, a fraction. */
  readonly error: number;
  /** In which part of all futures it can be used to the end. */
  readonly usable: number;
  /** What it comes to in eight of ten futures lies between these, and in the middle one is this. */
  readonly low: number;
  readonly middle: number;
  readonly high: number;
  /** What choosing it gives away on average, beside what would have been best, where it can be used. */
  readonly givesAway: number;
  /** What it gives away at least in one of twenty futures. */
  readonly atWorst: number;
  /** In which part of all futures a limit is reached, and in the middle one of these in which month; null for none. */
  readonly limit: { readonly part: number; readonly month: number } | null;
  /** In which part of all futures a must that nobody knows is not met. */
  readonly lacking: number;
}

/** What chance says of all of them. */
export interface Chances {
  readonly futures: number;
  /** Those that can be chosen, the one that comes first most often first. */
  readonly candidates: readonly CandidateChance[];
  /** The one that gives away least in one of twenty futures; null where nobody can be chosen. */
  readonly safest: string | null;
  /** The one that gives away least on average: that costs least on average, of those that nearly always can be used. */
  readonly best: string | null;
  /** In which part of all futures nobody can be used to the end. */
  readonly nobody: number;
}

/** A candidate that is outgrown more often than this is no safe one. */
export const MOST_OUTGROWN = 0.05;
const [LOW, HIGH, WORST] = [0.1, 0.9, 0.95];

/** Answers from many futures: who comes first how often, what each costs, and what choosing it gives away. */
export function chancesOf(futures: Futures): Chances {
  const { ids, canBeChosen, count } = futures;
  const { firsts, least, nobody } = bestOfEach(futures);
  const candidates = ids.flatMap((id, place) =>
    canBeChosen[place] ? [{ id, ...firstIn(firsts[place] ?? 0, count), ...costOf(futures, place), ...lossOf(futures, place, least) }] : [],
  );
  const steady = candidates.filter(({ usable }) => usable >= 1 - MOST_OUTGROWN);
  const able = steady.length > 0 ? steady : candidates.filter(({ usable }) => usable > 0);
  return {
    futures: count,
    candidates: candidates.sort((a, b) => b.first - a.first || a.givesAway - b.givesAway),
    safest: lowest(able, ({ atWorst }) => atWorst),
    best: lowest(able, ({ givesAway }) => givesAway),
    nobody: nobody / Math.max(1, count),
  };
}

/** How often each comes first, by its place, and what the best of each future comes to. */
function bestOfEach({ ids, canBeChosen, count, totals, outgrown }: Futures) {
  const firsts = new Float64Array(ids.length);
  const least = new Float64Array(count);
  let nobody = 0;
  for (let future = 0; future < count; future++) {
    const at = future * ids.length;
    let [lead, best] = [-1, Infinity];
    for (let place = 0; place < ids.length; place++) {
      const total = totals[at + place] ?? Infinity;
      if (!canBeChosen[place] || outgrown[at + place] !== USABLE || !(total < best)) continue;
      [lead, best] = [place, total];
    }
    least[future] = best;
    if (lead < 0) nobody += 1;
    else firsts[lead] = (firsts[lead] ?? 0) + 1;
  }
  return { firsts, least, nobody };
}

function firstIn(times: number, count: number): Pick<CandidateChance, 'first' | 'error'> {
  const first = times / Math.max(1, count);
  return { first, error: Math.sqrt((first * (1 - first)) / Math.max(1, count)) };
}

function costOf({ ids, count, totals }: Futures, place: number): Pick<CandidateChance, 'low' | 'middle' | 'high'> {
  const own = Float64Array.from({ length: count }, (_, future) => totals[future * ids.length + place] ?? 0).sort();
  return { low: quantile(own, LOW), middle: quantile(own, 0.5), high: quantile(own, HIGH) };
}

/** What choosing it gives away where it can be used, and how often it is outgrown. */
function lossOf(
  { ids, count, totals, outgrown }: Futures,
  place: number,
  least: Float64Array,
): Pick<CandidateChance, 'usable' | 'givesAway' | 'atWorst' | 'limit' | 'lacking'> {
  const given: number[] = [];
  const months: number[] = [];
  let lacking = 0;
  for (let future = 0; future < count; future++) {
    const at = future * ids.length + place;
    const month = outgrown[at] ?? USABLE;
    if (month === LACKING) lacking += 1;
    else if (month !== USABLE) months.push(month);
    else given.push((totals[at] ?? 0) - (least[future] ?? 0));
  }
  return {
    usable: given.length / Math.max(1, count),
    givesAway: given.reduce((sum, amount) => sum + amount, 0) / Math.max(1, given.length),
    atWorst: quantile(Float64Array.from(given).sort(), WORST),
    lacking: lacking / Math.max(1, count),
    limit: months.length === 0 ? null : { part: months.length / count, month: quantile(Float64Array.from(months).sort(), 0.5) },
  };
}

function lowest(of: readonly CandidateChance[], figure: (one: CandidateChance) => number): string | null {
  return of.reduce<CandidateChance | null>((found, one) => (found === null || figure(one) < figure(found) ? one : found), null)?.id ?? null;
}

/** The value below which a part of sorted ones lies; 0 of none. */
export function quantile(sorted: Float64Array, part: number): number {
  if (sorted.length === 0) return 0;
  const at = part * (sorted.length - 1);
  const [below, above] = [sorted[Math.floor(at)] ?? 0, sorted[Math.ceil(at)] ?? 0];
  return below + (above - below) * (at - Math.floor(at));
}

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
const MOST_OUTGROWN = 0.05;
const [LOW, HIGH, WORST] = [0.1, 0.9, 0.95];

/** Answers from many futures: who comes first how often, what each costs, and what choosing it gives away. */
export function chancesOf({ ids, canBeChosen, count, totals, outgrown }: Futures): Chances {
  const width = ids.length;
  const firsts = new Float64Array(width);
  const least = new Float64Array(count);
  let nobody = 0;
  for (let future = 0; future < count; future++) {
    const at = future * width;
    let [lead, best] = [-1, Infinity];
    for (let place = 0; place < width; place++) {
      const total = totals[at + place] ?? Infinity;
      if (!canBeChosen[place] || (outgrown[at + place] ?? -1) >= 0 || !(total < best)) continue;
      [lead, best] = [place, total];
    }
    least[future] = best;
    if (lead < 0) nobody += 1;
    else firsts[lead] = (firsts[lead] ?? 0) + 1;
  }
  const candidates = ids.flatMap((id, place) => {
    if (!canBeChosen[place]) return [];
    const own = Float64Array.from({ length: count }, (_, future) => totals[future * width + place] ?? 0).sort();
    const given: number[] = [];
    const months: number[] = [];
    for (let future = 0; future < count; future++) {
      const at = future * width + place;
      const month = outgrown[at] ?? -1;
      if (month >= 0) months.push(month);
      else given.push((totals[at] ?? 0) - (least[future] ?? 0));
    }
    const first = (firsts[place] ?? 0) / Math.max(1, count);
    return [
      {
        id,
        first,
        error: Math.sqrt((first * (1 - first)) / Math.max(1, count)),
        usable: given.length / Math.max(1, count),
        low: quantile(own, LOW),
        middle: quantile(own, 0.5),
        high: quantile(own, HIGH),
        givesAway: given.reduce((sum, amount) => sum + amount, 0) / Math.max(1, given.length),
        atWorst: quantile(Float64Array.from(given).sort(), WORST),
        limit: months.length === 0 ? null : { part: months.length / count, month: quantile(Float64Array.from(months).sort(), 0.5) },
      },
    ];
  });
  const steady = candidates.filter(({ usable }) => usable >= 1 - MOST_OUTGROWN);
  const lowest = (of: readonly CandidateChance[], figure: (one: CandidateChance) => number) =>
    of.reduce<CandidateChance | null>((found, one) => (found === null || figure(one) < figure(found) ? one : found), null)?.id ?? null;
  return {
    futures: count,
    candidates: candidates.sort((a, b) => b.first - a.first || a.givesAway - b.givesAway),
    safest: lowest(steady.length > 0 ? steady : candidates.filter(({ usable }) => usable > 0), ({ atWorst }) => atWorst),
    best: lowest(steady.length > 0 ? steady : candidates.filter(({ usable }) => usable > 0), ({ givesAway }) => givesAway),
    nobody: nobody / Math.max(1, count),
  };
}

/** The value below which a part of sorted ones lies; 0 of none. */
export function quantile(sorted: Float64Array, part: number): number {
  if (sorted.length === 0) return 0;
  const at = part * (sorted.length - 1);
  const [below, above] = [sorted[Math.floor(at)] ?? 0, sorted[Math.ceil(at)] ?? 0];
  return below + (above - below) * (at - Math.floor(at));
}

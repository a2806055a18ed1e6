import { addTo, chosenBy, costsOf, emptySums, type FutureCosts, type Sums, sumsOf } from './future-costs';
import { GROUPS } from './groups';
import { normalAt } from './normal';
import type { Futures } from './futures';
import { isCertain, isDrawnEvenly, isYesAt, type Uncertain } from './uncertain';

/** What knowing one uncertain thing before choosing would be worth. */
export interface WorthKnowing {
  /** Its key. */
  readonly key: string;
  /** By how much knowing it lowers what the choice gives away on average, base currency; never below 0. */
  readonly worth: number;
}

/** Worth less than this part of the average cost is noise. */
const DUST = 1e-9;

/**
 * The expected value of partial perfect information (Raiffa and Schlaifer 1961; Felli and Hazen 1998) of each uncertain
 * thing: futures are put into groups by what it came out as, in each of which the candidate is chosen that is
 * cheapest on average there. The choice is made by one half of a group's futures and paid in the other, and the other way
 * round, so that what is only chance is not taken for knowledge (as in cross-validation).
 *
 * What can be used in fewer than 19 of 20 futures of a group is not chosen there; where what is chosen cannot be used in a
 * future it counts as the dearest: one would have to move.
 *
 * @returns the most worth knowing first; nothing where fewer than two can be chosen
 */
export function worthKnowing(futures: Futures): WorthKnowing[] {
  const costs = costsOf(futures);
  const { count, uncertain } = futures;
  if (costs.width < 2 || count < GROUPS * 4) return [];
  const all = sumsOf(costs, count);
  const now = chosenBy(all);
  const without = (all.cost[now] ?? 0) / count;
  return uncertain
    .map((one, place) => {
      if (isCertain(one)) return { key: one.key, worth: 0 };
      let paid = 0;
      for (const [even, odd] of groupsOf(costs, futures, place))
        paid += (odd.cost[chosenBy(even, now)] ?? 0) + (even.cost[chosenBy(odd, now)] ?? 0);
      return { key: one.key, worth: Math.max(0, without - paid / count) };
    })
    .map((one) => (one.worth < DUST * Math.abs(without) ? { ...one, worth: 0 } : one))
    .sort((a, b) => b.worth - a.worth);
}

/**
 * What each comes to in groups of futures by what an uncertain thing came out as, each in two halves: of an answer those with
 * yes and those with no, of all else groups of one size.
 */
function groupsOf(costs: FutureCosts, { count, uncertain, drawn }: Futures, place: number): Array<readonly [Sums, Sums]> {
  const one = uncertain[place];
  const groups = Array.from({ length: GROUPS }, () => [emptySums(costs.width), emptySums(costs.width)] as const);
  if (!one) return groups;
  const groupOf = groupBy(one);
  for (let future = 0; future < count; future++) {
    const group = groups[groupOf(drawn[future * uncertain.length + place] ?? 0)];
    // One after the other of a group goes into another half.
    if (group) addTo(group[0].count > group[1].count ? group[1] : group[0], costs, future);
  }
  return groups;
}

/** The group of what a thing was drawn as. */
function groupBy(one: Uncertain): (drawn: number) => number {
  if (one.unit === 'likely') return (even) => (isYesAt(one, even) ? 1 : 0);
  return isDrawnEvenly(one) ? ofEven : ofNormal;
}

const ofEven = (even: number) => Math.min(GROUPS - 1, Math.floor(even * GROUPS));

const EDGES = Float64Array.from({ length: GROUPS - 1 }, (_, edge) => normalAt((edge + 1) / GROUPS));
function ofNormal(drawn: number): number {
  let [low, high] = [0, EDGES.length];
  while (low < high) {
    const middle = (low + high) >> 1;
    if (drawn < (EDGES[middle] ?? 0)) high = middle;
    else low = middle + 1;
  }
  return low;
}

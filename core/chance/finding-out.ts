import { chosenBy, costsOf, type Sums, sumsOf } from './future-costs';
import type { Futures } from './futures';
import { isCertain, isYesAt, type Uncertain } from './uncertain';

/** What knowing one uncertain thing before choosing would be worth. */
export interface WorthKnowing {
  /** Its key. */
  readonly key: string;
  /** By how much knowing it lowers what the choice gives away on average, base currency; never below 0. */
  readonly worth: number;
}

/** Futures are put into so many groups by what the thing came out as. */
const GROUPS = 24;
/** Worth less than this part of the average cost is noise. */
const DUST = 1e-9;

/**
 * The expected value of partial perfect information (Raiffa and Schlaifer 1961; Felli and Hazen 1998) of each uncertain
 * thing: futures are sorted by what it came out as and put into groups, in each of which the candidate is chosen that is
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
  const { count, uncertain, drawn } = futures;
  if (costs.width < 2 || count < GROUPS * 4) return [];
  const all = sumsOf(
    costs,
    new Uint32Array(count).map((_, at) => at),
  );
  const now = chosenBy(all);
  const without = (all.cost[now] ?? 0) / count;
  return uncertain
    .map((one, place) => {
      if (isCertain(one)) return { key: one.key, worth: 0 };
      const drawnIn = (future: number) => drawn[future * uncertain.length + place] ?? 0;
      const order = inOrderOf(count, drawnIn);
      const edges = edgesOf(one, order, drawnIn);
      let paid = 0;
      for (let group = 0; group + 1 < edges.length; group++) {
        // Neighbours go into different halves, so that both halves of a group are alike.
        const members = order.subarray(edges[group], edges[group + 1]);
        const [even, odd] = [0, 1].map((half) =>
          sumsOf(
            costs,
            members.filter((_, at) => at % 2 === half),
          ),
        ) as [Sums, Sums];
        paid += (odd.cost[chosenBy(even, now)] ?? 0) + (even.cost[chosenBy(odd, now)] ?? 0);
      }
      return { key: one.key, worth: Math.max(0, without - paid / count) };
    })
    .map((one) => (one.worth < DUST * Math.abs(without) ? { ...one, worth: 0 } : one))
    .sort((a, b) => b.worth - a.worth);
}

/** Where groups of sorted futures begin and end: of an answer those with yes and those with no, else groups of one size. */
function edgesOf(one: Uncertain, order: Uint32Array, drawn: (future: number) => number): number[] {
  if (one.unit !== 'likely') return Array.from({ length: GROUPS + 1 }, (_, edge) => Math.round((edge * order.length) / GROUPS));
  const firstNo = order.findIndex((future) => !isYesAt(one, drawn(future)));
  return [...new Set([0, firstNo < 0 ? order.length : firstNo, order.length])];
}

/** So many futures at most, and so finely their draws are told apart. */
const [MOST_FUTURES, FINENESS] = [2 ** 20, 1e6];

/** Futures by what was drawn in them; numbers are sorted much quicker than by a comparison. */
function inOrderOf(count: number, drawn: (future: number) => number): Uint32Array {
  const keys = new Float64Array(count);
  for (let future = 0; future < count; future++) keys[future] = Math.round((drawn(future) + 10) * FINENESS) * MOST_FUTURES + future;
  return Uint32Array.from(keys.sort(), (key) => key % MOST_FUTURES);
}

import { chosenBy, costsOf, sumsOf } from './future-costs';
import { GROUPS, inGroups } from './groups';
import type { Futures } from './futures';
import { isCertain, isYesAt } from './uncertain';

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
      // Of an answer those with yes and those with no, of all else groups of one size.
      const isYes = one.unit === 'likely' ? (future: number) => isYesAt(one, drawnIn(future)) : null;
      let paid = 0;
      for (const halves of inGroups(count, drawnIn, isYes)) {
        const [even, odd] = [sumsOf(costs, halves[0]), sumsOf(costs, halves[1])];
        paid += (odd.cost[chosenBy(even, now)] ?? 0) + (even.cost[chosenBy(odd, now)] ?? 0);
      }
      return { key: one.key, worth: Math.max(0, without - paid / count) };
    })
    .map((one) => (one.worth < DUST * Math.abs(without) ? { ...one, worth: 0 } : one))
    .sort((a, b) => b.worth - a.worth);
}

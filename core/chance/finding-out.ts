import type { Futures } from './futures';

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
 * A candidate that is outgrown in a future counts there as the dearest that can be chosen: one would have to move.
 *
 * @returns the most worth knowing first; nothing where fewer than two can be chosen
 */
export function worthKnowing(futures: Futures): WorthKnowing[] {
  const costs = costsOf(futures);
  const { count, uncertain, drawn } = futures;
  const { width } = costs;
  if (width < 2 || count < GROUPS * 4) return [];
  const all = new Uint32Array(count).map((_, at) => at);
  const now = cheapest(costs, all, 0, count);
  const without = meanOf(costs, all, 0, count, now);
  return uncertain
    .map(({ key, low, high }, place) => {
      if (low === 0 && high === 0) return { key, worth: 0 };
      const order = inOrderOf(count, (future) => drawn[future * uncertain.length + place] ?? 0);
      let paid = 0;
      for (let group = 0; group < GROUPS; group++) {
        const [from, to] = [group, group + 1].map((edge) => Math.round((edge * count) / GROUPS)) as [number, number];
        // Neighbours go into different halves, so that both halves of a group are alike.
        const members = order.slice(from, to);
        const halves = [members.filter((_, at) => at % 2 === 0), members.filter((_, at) => at % 2 === 1)] as const;
        for (const [chosenBy, payers] of [halves, [halves[1], halves[0]] as const]) {
          const chosen = cheapest(costs, chosenBy, 0, chosenBy.length);
          paid += meanOf(costs, payers, 0, payers.length, chosen) * payers.length;
        }
      }
      return { key, worth: Math.max(0, without - paid / count) };
    })
    .map((one) => (one.worth < DUST * Math.abs(without) ? { ...one, worth: 0 } : one))
    .sort((a, b) => b.worth - a.worth);
}

/** Costs of those that can be chosen, by future. */
interface Costs {
  readonly width: number;
  readonly of: Float64Array;
}

function costsOf({ ids, canBeChosen, count, totals, outgrown }: Futures): Costs {
  const places = ids.flatMap((_, place) => (canBeChosen[place] ? [place] : []));
  const of = new Float64Array(count * places.length);
  for (let future = 0; future < count; future++) {
    let most = -Infinity;
    for (const place of places) most = Math.max(most, totals[future * ids.length + place] ?? 0);
    places.forEach((place, at) => {
      const from = future * ids.length + place;
      of[future * places.length + at] = (outgrown[from] ?? -1) >= 0 ? most : (totals[from] ?? 0);
    });
  }
  return { width: places.length, of };
}

/** So many futures at most, and so finely their draws are told apart. */
const [MOST_FUTURES, FINENESS] = [2 ** 20, 1e6];

/** Futures by what was drawn in them; numbers are sorted much quicker than by a comparison. */
function inOrderOf(count: number, drawn: (future: number) => number): Uint32Array {
  const keys = new Float64Array(count);
  for (let future = 0; future < count; future++) keys[future] = Math.round((drawn(future) + 10) * FINENESS) * MOST_FUTURES + future;
  return Uint32Array.from(keys.sort(), (key) => key % MOST_FUTURES);
}

function cheapest(costs: Costs, futures: Uint32Array, from: number, to: number): number {
  let [found, least] = [0, Infinity];
  for (let place = 0; place < costs.width; place++) {
    const mean = meanOf(costs, futures, from, to, place);
    if (mean < least) [found, least] = [place, mean];
  }
  return found;
}

function meanOf({ width, of }: Costs, futures: Uint32Array, from: number, to: number, place: number): number {
  let sum = 0;
  for (let at = from; at < to; at++) sum += of[(futures[at] ?? 0) * width + place] ?? 0;
  return sum / Math.max(1, to - from);
}

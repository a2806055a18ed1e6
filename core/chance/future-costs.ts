import { MOST_OUTGROWN } from './chances';
import { USABLE } from './future-pricing';
import type { Futures } from './futures';

/** Costs of those that can be chosen, by future; the dearest of a future for what cannot be used in it. */
export interface FutureCosts {
  readonly width: number;
  readonly of: Float64Array;
  /** By future and candidate: 1 where it cannot be used. */
  readonly isOut: Uint8Array;
}

export function costsOf({ ids, canBeChosen, count, totals, outgrown }: Futures): FutureCosts {
  const places = ids.flatMap((_, place) => (canBeChosen[place] ? [place] : []));
  const of = new Float64Array(count * places.length);
  const isOut = new Uint8Array(count * places.length);
  for (let future = 0; future < count; future++) {
    let most = -Infinity;
    for (const place of places) most = Math.max(most, totals[future * ids.length + place] ?? 0);
    places.forEach((place, at) => {
      const [from, to] = [future * ids.length + place, future * places.length + at];
      isOut[to] = outgrown[from] === USABLE ? 0 : 1;
      of[to] = isOut[to] ? most : (totals[from] ?? 0);
    });
  }
  return { width: places.length, of, isOut };
}

/** What each comes to over some futures, and in how many of them it cannot be used. */
export interface Sums {
  count: number;
  readonly cost: Float64Array;
  readonly out: Float64Array;
}

export function emptySums(width: number): Sums {
  return { count: 0, cost: new Float64Array(width), out: new Float64Array(width) };
}

/** Adds one more future. */
export function addTo(sums: Sums, { width, of, isOut }: FutureCosts, future: number): void {
  const { cost, out } = sums;
  const from = future * width;
  sums.count += 1;
  for (let place = 0; place < width; place++) {
    cost[place] = (cost[place] ?? 0) + (of[from + place] ?? 0);
    out[place] = (out[place] ?? 0) + (isOut[from + place] ?? 0);
  }
}

/** The sums over the first so many futures. */
export function sumsOf(costs: FutureCosts, count: number): Sums {
  const sums = emptySums(costs.width);
  for (let future = 0; future < count; future++) addTo(sums, costs, future);
  return sums;
}

/**
 * Who is chosen by what is known of some futures: the cheapest of those that can nearly always be used; of all where there
 * is none.
 *
 * @param always - one that may be chosen in any case
 */
export function chosenBy({ count, cost, out }: Sums, always = -1): number {
  const steady = placeOfLeast(cost.length, (place) => (place === always || isSteady(out[place], count) ? cost[place] : undefined));
  return steady >= 0 ? steady : placeOfLeast(cost.length, (place) => cost[place]);
}

/** Whether what cannot be used in some of so many futures can nearly always be used. */
export function isSteady(out: number | undefined, count: number): boolean {
  return (out ?? 0) <= MOST_OUTGROWN * count;
}

/** The place with the least figure; -1 where none has one. */
export function placeOfLeast(width: number, figure: (place: number) => number | undefined): number {
  let [found, least] = [-1, Infinity];
  for (let place = 0; place < width; place++) {
    const one = figure(place);
    if (one !== undefined && one < least) [found, least] = [place, one];
  }
  return found;
}

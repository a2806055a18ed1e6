import { isSteady, placeOfLeast } from './future-costs';
import { inGroups } from './groups';
import type { PartCosts, WaitCosts, WaitingFutures } from './waiting-futures';

/** Candidates in many futures, with what a move from one to another takes, in base currency. */
export interface Waiter {
  readonly futures: WaitingFutures;
  isSameVendor(a: number, b: number): boolean;
  /** Whether one may begin with it. */
  canBegin(place: number): boolean;
  /** Infinite where one does not move. */
  moving(a: number, b: number): number;
}

/** What deciding after some months comes to, beside choosing now; amounts in base currency, on average. */
export interface BestWait {
  /** Place of what is best to begin with. */
  readonly begin: number;
  readonly saves: number;
  readonly bySeeing: number;
  /** In which part of all futures one moves. */
  readonly moves: number;
}

/** The place of what is best to choose now, on average: what costs least of what can nearly always be used; -1 for none. */
export function bestNow({ count, width, throughout }: WaitingFutures): number {
  const all = allOf(count);
  const [cost, out] = [sumsOver(throughout.cost, width, all), sumsOver(throughout.isOut, width, all)];
  return placeOfLeast(width, (place) => (isSteady(out[place], count) ? cost[place] : undefined));
}

function allOf(count: number): Uint32Array {
  return Uint32Array.from({ length: count }, (_, at) => at);
}

/** Sums over some futures, by place. */
function sumsOver(of: PartCosts['cost'] | PartCosts['isOut'], width: number, futures: Uint32Array): Float64Array {
  const sums = new Float64Array(width);
  for (const future of futures)
    for (let place = 0; place < width; place++) sums[place] = (sums[place] ?? 0) + (of[future * width + place] ?? 0);
  return sums;
}

/**
 * The best beginning where it is decided after some months by what has been seen: futures are put into groups by the sales
 * of those months, in each of which one stays or moves to whom is cheapest on average from then on. As with what is worth
 * knowing, one half of a group chooses and the other pays.
 *
 * @param now - place of what is chosen otherwise
 * @returns null where there is nothing to begin with
 */
export function bestWait(waiter: Waiter, wait: WaitCosts, now: number): BestWait | null {
  const { futures } = waiter;
  const whole = sumsAt(futures, wait, allOf(futures.count));
  const paidNow = whole.throughout[now] ?? 0;
  const halves = inGroups(futures.count, (future) => wait.seen[future] ?? 0).map(
    ([even, odd]) => [sumsAt(futures, wait, even), sumsAt(futures, wait, odd)] as const,
  );
  const begun = Array.from({ length: futures.width }, (_, place) => {
    if (!waiter.canBegin(place) || !isSteady(whole.out.before[place], whole.count)) return { paid: Infinity, moved: 0, blind: Infinity };
    let [paid, moved] = [0, 0];
    for (const [even, odd] of halves)
      for (const [chosenBy, payers] of [
        [even, odd],
        [odd, even],
      ] as const) {
        const next = nextOf(waiter, chosenBy, place);
        paid += paidFor(waiter, payers, place, next);
        if (next !== place) moved += payers.count;
      }
    return { paid, moved, blind: paidFor(waiter, whole, place, nextOf(waiter, whole, place)) };
  });
  const begin = placeOfLeast(futures.width, (place) => begun[place]?.paid);
  if (begin < 0) return null;
  const blind = Math.min(...begun.map((one) => one.blind));
  const count = Math.max(1, futures.count);
  const saves = (paidNow - (begun[begin]?.paid ?? paidNow)) / count;
  const bySeeing = Math.max(0, saves - (paidNow - blind) / count);
  return { begin, saves, bySeeing, moves: (begun[begin]?.moved ?? 0) / count };
}

/** Sums over some futures, by candidate. */
interface WaitSums {
  readonly count: number;
  readonly throughout: Float64Array;
  readonly before: Float64Array;
  readonly after: Float64Array;
  readonly moved: Float64Array;
  /** In how many of them it cannot be used. */
  readonly out: { readonly throughout: Float64Array; readonly before: Float64Array; readonly after: Float64Array };
}

function sumsAt({ width, throughout }: WaitingFutures, { before, after, moved }: WaitCosts, futures: Uint32Array): WaitSums {
  const sum = (of: PartCosts['cost'] | PartCosts['isOut']) => sumsOver(of, width, futures);
  return {
    count: futures.length,
    throughout: sum(throughout.cost),
    before: sum(before.cost),
    after: sum(after.cost),
    moved: sum(moved.cost),
    out: { throughout: sum(throughout.isOut), before: sum(before.isOut), after: sum(after.isOut) },
  };
}

/** Whom one goes on with after beginning with a candidate: itself, or whom moving to is cheapest. */
function nextOf(waiter: Waiter, sums: WaitSums, begin: number): number {
  const isStaying = isSteady(sums.out.throughout[begin], sums.count);
  const found = placeOfLeast(waiter.futures.width, (place) => {
    if (place === begin) return isStaying ? sums.throughout[begin] : undefined;
    return isSteady(sums.out.after[place], sums.count) ? paidFor(waiter, sums, begin, place) : undefined;
  });
  return found < 0 ? begin : found;
}

function paidFor({ isSameVendor, moving }: Waiter, sums: WaitSums, begin: number, next: number): number {
  if (next === begin) return sums.throughout[begin] ?? 0;
  const rest = isSameVendor(begin, next) ? sums.moved[next] : sums.after[next];
  return (sums.before[begin] ?? 0) + (rest ?? 0) + moving(begin, next) * sums.count;
}

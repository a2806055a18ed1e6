import type { Window } from './window-costs';

/** What a time with an offer costs at least, from what its windows cost at least or exactly; in minor units. */
export interface LeastBlocks {
  /** What the cheapest block between two months costs at least; Infinity if there can be none. */
  cost(from: number, to: number): number;
  /** Notes what the best in a window costs exactly. */
  know(window: Window, cost: number): void;
  isKnown(window: Window): boolean;
  /** Windows of the cheapest block, as far as is known, whose exact cost is not known yet; none once it is known throughout. */
  openOnLeastWay(from: number, to: number): Window[];
  /** All windows not known yet that a block between two months could have and cost no more than so much. */
  openUpTo(from: number, to: number, atMost: number): Window[];
}

/** Larger than what sums of fractions are off, and smaller than any amount. */
const ROUNDING = 1e-3;

/**
 * Blocks by what they cost at least: that neighbours are different combinations is not looked at, which only makes
 * them cheaper.
 *
 * @param within - what a move inside the offer costs
 * @param atLeast - what nothing in a window can cost less than
 */
export function leastBlocks(months: number, within: number, atLeast: (window: Window) => number): LeastBlocks {
  const side = months + 1;
  const placeOf = ({ from, to, moved }: Window) => ((moved ? 1 : 0) * side + from) * side + to;
  const costs = new Float64Array(2 * side * side).fill(NaN);
  const known = new Set<number>();
  /** With the move that it begins with, where it does. */
  const costIn = (from: number, to: number, moved: boolean) => {
    const place = ((moved ? 1 : 0) * side + from) * side + to;
    let cost = costs[place] ?? NaN;
    if (Number.isNaN(cost)) costs[place] = cost = atLeast({ from, to, moved }) + (moved ? within : 0);
    return cost;
  };
  /** What it takes at least to get from the start to each month, and where the last window began. */
  const forward = (start: number, last: number) => {
    const least = new Float64Array(side).fill(Infinity);
    const begun = new Int32Array(side).fill(-1);
    least[start] = 0;
    for (let from = start; from < last; from++)
      for (let to = from + 1; to <= last; to++) {
        const cost = (least[from] ?? Infinity) + costIn(from, to, from > start);
        if (cost < (least[to] ?? Infinity)) [least[to], begun[to]] = [cost, from];
      }
    return { least, begun };
  };
  /** What it takes at least to get from each month to the last, moving there. */
  const backward = (start: number, last: number) => {
    const least = new Float64Array(side).fill(Infinity);
    least[last] = 0;
    for (let from = last - 1; from > start; from -= 1)
      for (let to = from + 1; to <= last; to++)
        least[from] = Math.min(least[from] ?? Infinity, costIn(from, to, true) + (least[to] ?? Infinity));
    return least;
  };
  const isOpen = (window: Window) => !known.has(placeOf(window));
  const rows = new Map<number, Float64Array>();
  return {
    cost(from, to) {
      const row = rows.get(from) ?? forward(from, months).least;
      rows.set(from, row);
      return row[to] ?? Infinity;
    },
    know(window, cost) {
      known.add(placeOf(window));
      costs[placeOf(window)] = cost + (window.moved ? within : 0);
    },
    isKnown: (window) => !isOpen(window),
    openOnLeastWay(start, last) {
      const { least, begun } = forward(start, last);
      const windows: Window[] = [];
      if (least[last] === Infinity) return windows;
      for (let to = last; to > start;) {
        const from = begun[to] ?? start;
        windows.push({ from, to, moved: from > start });
        to = from;
      }
      return windows.filter(isOpen);
    },
    openUpTo(start, last, atMost) {
      const { least } = forward(start, last);
      const rest = backward(start, last);
      const windows: Window[] = [];
      for (let from = start; from < last; from++)
        for (let to = from + 1; to <= last; to++) {
          const window = { from, to, moved: from > start };
          const cost = (least[from] ?? Infinity) + costIn(from, to, window.moved) + (rest[to] ?? Infinity);
          if (cost < Infinity && cost <= atMost + ROUNDING && isOpen(window)) windows.push(window);
        }
      return windows;
    },
  };
}

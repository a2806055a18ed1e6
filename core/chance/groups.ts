/** Futures are put into so many groups by what something came out as. */
export const GROUPS = 24;
/** So many futures at most, and so finely sorted figures are told apart, as parts of the span between the least and the greatest. */
const [MOST_FUTURES, FINENESS] = [2 ** 20, 1e8];

/** Puts futures into groups by a figure, those that are near each other together; each group in two halves that are alike. */
export function inGroups(count: number, figure: (future: number) => number): Array<readonly [even: Uint32Array, odd: Uint32Array]> {
  const order = inOrderOf(count, figure);
  return Array.from({ length: GROUPS }, (_, group) => {
    const [from, to] = [group, group + 1].map((edge) => Math.round((edge * count) / GROUPS));
    const members = order.subarray(from, to);
    // Neighbours go into different halves.
    return [members.filter((_one, at) => at % 2 === 0), members.filter((_one, at) => at % 2 === 1)] as const;
  });
}

/** Futures by a figure; numbers are sorted much quicker than by a comparison. */
function inOrderOf(count: number, figure: (future: number) => number): Uint32Array {
  const figures = Float64Array.from({ length: count }, (_, future) => figure(future));
  const [least, greatest] = figures.reduce(([low, high], one) => [Math.min(low, one), Math.max(high, one)], [Infinity, -Infinity]);
  const finely = FINENESS / (greatest - least || 1);
  const keys = figures.map((one, future) => Math.round((one - least) * finely) * MOST_FUTURES + future);
  return Uint32Array.from(keys.sort(), (key) => key % MOST_FUTURES);
}

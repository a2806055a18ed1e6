import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { combinationBlocks, type Priced } from './combination-blocks';
import type { Window } from './window-costs';

const MONTHS = 5;
const IDS = ['p', 'q', 'r', 's'];
/** What each of four combinations costs in a window: by month, by whether one moved, and whether it can be used in each month. */
const world = fc.record({
  monthly: fc.array(fc.array(fc.integer({ min: 1, max: 20 }), { minLength: MONTHS, maxLength: MONTHS }), { minLength: 4, maxLength: 4 }),
  joining: fc.array(fc.integer({ min: 0, max: 12 }), { minLength: 4, maxLength: 4 }),
  possible: fc.array(fc.array(fc.constantFrom(true, true, true, false), { minLength: MONTHS, maxLength: MONTHS }), {
    minLength: 4,
    maxLength: 4,
  }),
  within: fc.integer({ min: 0, max: 6 }),
  extras: fc.integer({ min: 0, max: 3 }),
  /** How far below the exact cost a bound stays. */
  off: fc.integer({ min: 0, max: 9 }),
});
type World = typeof world extends fc.Arbitrary<infer One> ? One : never;

function allIn({ monthly, joining, possible }: World, { from, to, moved }: Window): Priced[] {
  return IDS.flatMap((id, which) => {
    if (!possible[which]?.slice(from, to).every(Boolean)) return [];
    const paid = monthly[which]?.slice(from, to).reduce((sum, one) => sum + one, 0) ?? 0;
    return [{ id, cost: paid + (moved ? 0 : (joining[which] ?? 0)) }];
  }).sort((a, b) => a.cost - b.cost);
}

/** The cheapest way from a month to another, trying every one; neighbours differ. */
function least(of: World, start: number, to: number, from = start, before: string | null = null): number {
  if (from === to) return 0;
  const ends = Array.from({ length: to - from }, (_, index) => from + index + 1);
  const ways = ends.flatMap((end) =>
    allIn(of, { from, to: end, moved: from > start })
      .filter(({ id }) => id !== before)
      .map(({ id, cost }) => cost + (from > start ? of.within : 0) + least(of, start, to, end, id)),
  );
  return Math.min(Infinity, ...ways);
}

const blocksOf = (of: World) =>
  combinationBlocks(
    { bestIn: (window) => allIn(of, window).slice(0, 3), atLeast: (window) => (allIn(of, window)[0]?.cost ?? Infinity) - of.off },
    MONTHS,
    of.within,
    (from, to) => of.extras * (to - from),
  );

describe('the best way inside an offer', () => {
  it('is that of all ways tried out, though only three combinations are known for each window', () => {
    fc.assert(
      fc.property(world, fc.integer({ min: 0, max: 3 }), fc.integer({ min: 1, max: MONTHS }), (of, start, length) => {
        const to = Math.min(MONTHS, start + length);
        expect(blocksOf(of).cost(start, to)).toBe(least(of, start, to) + of.extras * (to - start));
      }),
      { numRuns: 150 },
    );
  });

  it('costs what its parts cost, which follow on each other and differ', () => {
    fc.assert(
      fc.property(world, (of) => {
        const blocks = blocksOf(of);
        const { segments } = blocks.block(0, MONTHS);
        if (!Number.isFinite(blocks.cost(0, MONTHS))) return expect(segments).toEqual([]);
        const costs = segments.map(({ candidate, from, to }, index) => {
          expect(from).toBe(index === 0 ? 0 : segments[index - 1]?.to);
          expect(candidate).not.toBe(segments[index - 1]?.candidate);
          const paid = allIn(of, { from, to, moved: index > 0 }).find(({ id }) => id === candidate)?.cost ?? NaN;
          return paid + (index > 0 ? of.within : 0);
        });
        expect(segments.at(-1)?.to).toBe(MONTHS);
        expect(costs.reduce((sum, one) => sum + one, 0) + of.extras * MONTHS).toBe(blocks.cost(0, MONTHS));
      }),
      { numRuns: 150 },
    );
  });
});

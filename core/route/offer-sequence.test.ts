import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import type { OfferBlocks } from './offer-blocks';
import { blocksUpTo, cheapestSequence } from './offer-sequence';

const MONTHS = 6;
/** What offers cost by month, what joining one costs, and how far below that a bound stays. */
const world = fc.record({
  offers: fc.array(
    fc.record({
      monthly: fc.array(
        fc.oneof({ weight: 9, arbitrary: fc.integer({ min: 1, max: 30 }) }, { weight: 1, arbitrary: fc.constant(Infinity) }),
        {
          minLength: MONTHS,
          maxLength: MONTHS,
        },
      ),
      joining: fc.integer({ min: 0, max: 20 }),
      off: fc.integer({ min: 0, max: 8 }),
    }),
    { minLength: 1, maxLength: 4 },
  ),
  between: fc.integer({ min: 0, max: 15 }),
  moves: fc.integer({ min: 0, max: 3 }),
});
type World = typeof world extends fc.Arbitrary<infer One> ? One : never;

/** The offers, and which of their blocks were worked out. */
function priced({ offers }: World) {
  const asked = new Set<string>();
  const blocks = offers.map(({ monthly, joining, off }, offer): OfferBlocks => {
    const cost = (from: number, to: number) => monthly.slice(from, to).reduce((sum, one) => sum + one, joining);
    return {
      cost: (from, to) => {
        asked.add(`${offer} ${from} ${to}`);
        return cost(from, to);
      },
      atLeast: (from, to) => cost(from, to) - off,
      block: (from, to) => ({ segments: [{ candidate: String(offer), from, to }] }),
    };
  });
  return { blocks, asked };
}

describe('blocks that a cheapest sequence could consist of', () => {
  it('lead to the same one as all there are, whether or not one is known that costs no more', () => {
    fc.assert(
      fc.property(world, fc.boolean(), (of, isBounded) => {
        const { blocks } = priced(of);
        const between = () => of.between;
        const all = cheapestSequence(blocks, MONTHS, between, of.moves);
        const atMost = isBounded ? Math.min(...blocks.map(({ cost }) => cost(0, MONTHS))) : Infinity;
        const some = cheapestSequence(blocks, MONTHS, between, of.moves, blocksUpTo(blocks, MONTHS, between, atMost));
        expect(some).toEqual(all);
      }),
      { numRuns: 300 },
    );
  });

  it('are found without working any out, and are few where one offer is far cheaper', () => {
    const flat = (each: number) => ({ monthly: new Array<number>(MONTHS).fill(each), joining: 0, off: 1 });
    const { blocks, asked } = priced({ offers: [flat(10), flat(100)], between: 5, moves: 2 });
    const found = blocksUpTo(blocks, MONTHS, () => 5, 60);
    expect(asked.size).toBe(0);
    expect(found).toContainEqual({ offer: 0, from: 0, to: MONTHS, least: 59 });
    expect(found.filter(({ offer }) => offer === 1)).toEqual([]);
  });
});

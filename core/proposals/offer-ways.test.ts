import { describe, expect, it } from 'vitest';
import type { Offer } from '../decision-file/price-sheet-schema';
import { kitesWith } from '../tests/kites-with';
import { offerWays } from './offer-ways';
import { proposalFor } from './propose';

/** Ways of Alder over a year: 10 a month and 5 % of 1,000; a margin of half of 1,000 a month. */
function waysOf(ofOffer: Partial<Offer>, by: 'cost' | 'keep' = 'cost') {
  const { pricing, offer } = kitesWith({ terms: [{ id: 'm', months: 1, price: '10' }] }, {}, ofOffer);
  return offerWays(pricing, offer, ['own'], proposalFor(pricing, offer, ['own']), { within: 0, by });
}
describe('what runs through a time with an offer', () => {
  it('is what its own extras cost from joining it to leaving it', () => {
    const ways = waysOf({
      extras: [
        { label: 'Care', amount: '25', months: 1 },
        { label: 'Build', amount: '100', months: 0 },
      ],
    });
    expect([ways.throughout(0, 12), ways.throughout(3, 6), ways.throughout(0, 12)]).toEqual([40_000, 17_500, 40_000]);
    expect(waysOf({}).throughout(0, 12)).toBe(0);
  });
});

describe('a time with an offer', () => {
  it('costs what its plan and its fees do, and what runs through', () => {
    // 12 × (10 + 50), and 12 × 25.
    const ways = waysOf({ extras: [{ label: 'Care', amount: '25', months: 1 }] });
    expect(ways.blocks.cost(0, 12)).toBe(102_000);
    const [segment] = ways.blocks.block(0, 12).segments;
    if (!segment) throw new Error('a segment is expected');
    expect(segment).toMatchObject({ from: 0, to: 12 });
    expect(ways.has(segment.candidate)).toBe(true);
    expect(ways.has('other')).toBe(false);
    expect(ways.combination(segment.candidate)).toMatchObject({ plan: 'pa', term: 'm', payments: 'own' });
    expect(ways.paid(segment, false)).toBe(72_000);
  });

  it('is compared by what is kept with what its lift brings, and still says what is paid', () => {
    // A tenth more of 1,000 a month brings half of 100; the fees are on it too: 5 % of 1,100.
    const [byCost, byKeep] = (['cost', 'keep'] as const).map((by) => waysOf({ lift: '10' }, by));
    const [segment] = byKeep?.blocks.block(0, 12).segments ?? [];
    if (!byCost || !byKeep || !segment) throw new Error('ways are expected');
    expect([byCost.blocks.cost(0, 12), byKeep.blocks.cost(0, 12)]).toEqual([78_000, 18_000]);
    expect([byCost.paid(segment, false), byKeep.paid(segment, false)]).toEqual([78_000, 78_000]);
    expect([byCost.brought(segment), byKeep.brought({ ...segment, from: 9 })]).toEqual([60_000, 15_000]);
  });
});

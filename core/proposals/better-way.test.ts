import { describe, expect, it } from 'vitest';
import { betterWay } from './better-way';
import type { DecisionProposals } from './decision-proposals';
import type { DecisionWays, WayAhead } from './decision-ways';

const way = (total: string): WayAhead => ({ total, saves: null, segments: [] });
const proposals = {
  vendors: [
    { offer: 'a', proposed: { total: '100.00' } },
    { offer: 'b', proposed: null },
  ],
} as unknown as DecisionProposals;
const ways = (ofVendors: DecisionWays['ofVendors'], across: WayAhead | null = null): DecisionWays => ({
  ofVendors,
  across,
  moving: { within: '0', between: '0' },
});

describe('a way with moves', () => {
  it('is told where it costs less than the best of the vendor that leads, whoever’s it is', () => {
    expect(betterWay(ways({ a: way('90.00'), b: way('85.50') }), proposals, 'a')).toEqual({ way: way('85.50'), less: '14.5' });
    expect(betterWay(ways({ a: way('85.50'), b: way('90.00') }, way('95.00')), proposals, 'a')).toEqual({
      way: way('85.50'),
      less: '14.5',
    });
    expect(betterWay(ways({ a: way('90.00') }, way('70.00')), proposals, 'a')).toEqual({ way: way('70.00'), less: '30' });
  });

  it('is none where staying costs no more, or nothing is proposed for the leader', () => {
    expect(betterWay(ways({ a: way('100.00') }), proposals, 'a')).toBeNull();
    expect(betterWay(ways({}), proposals, 'a')).toBeNull();
    expect(betterWay(ways({ a: way('1') }), proposals, 'b')).toBeNull();
    expect(betterWay(ways({ a: way('1') }), proposals, 'gone')).toBeNull();
  });
});

import { describe, expect, it } from 'vitest';
import type { Candidate } from '../decision-file/candidate-schema';
import { commonParts } from './common-parts';
import { offerBlocks, type OfferBlocks } from './offer-blocks';
import { cheapestSequence } from './offer-sequence';

const candidate = (id: string, parts: Partial<Candidate>): Candidate => ({ id, label: id, plans: [{ plan: id, term: 't' }], ...parts });

describe('commonParts', () => {
  const host = { plan: 'host', term: 'y' };
  const domain = { label: 'Domain', amount: '12', months: 12 };

  it('are plans with their term, add-ons with term and count, and extras that all have', () => {
    const { common, rest } = commonParts(
      [
        candidate('A', { plans: [host, { plan: 'a', term: 't' }], addons: [{ addon: 'mail', term: 't' }], extras: [domain] }),
        candidate('B', {
          plans: [{ plan: 'b', term: 't' }, host],
          addons: [{ addon: 'mail', term: 't', count: 1 }],
          extras: [{ ...domain, from: 0, currency: 'EUR' }],
        }),
      ],
      'EUR',
      () => true,
    );
    expect(common).toMatchObject({ plans: [host], addons: [{ addon: 'mail' }], extras: [domain] });
    expect(rest.map(({ plans, addons, extras }) => [plans.map(({ plan }) => plan), addons?.length, extras?.length])).toEqual([
      [['a'], 0, 0],
      [['b'], 0, 0],
    ]);
  });

  it('differ in any field, and are not common then', () => {
    const { common } = commonParts(
      [
        candidate('A', { plans: [host], extras: [domain], addons: [{ addon: 'seats', term: 't', count: 2 }] }),
        candidate('B', {
          plans: [{ plan: 'host', term: 'm' }],
          extras: [{ ...domain, amount: '13' }],
          addons: [{ addon: 'seats', term: 't', count: 3 }],
        }),
      ],
      'EUR',
      () => true,
    );
    expect(common).toBeNull();
  });

  it('are common as often as all have them', () => {
    const { common, rest } = commonParts(
      [candidate('A', { plans: [host], extras: [domain, domain] }), candidate('B', { extras: [domain] })],
      'EUR',
      () => true,
    );
    expect(common?.extras).toHaveLength(1);
    expect(rest.map(({ extras }) => extras?.length)).toEqual([1, 0]);
  });
});

/** An offer with the same cost a month, by month; Infinity where it cannot be used. */
function offer(id: string, costs: readonly number[]): OfferBlocks {
  const sum = (from: number, to: number) => costs.slice(from, to).reduce((all, cost) => all + cost, 0);
  return { cost: sum, block: (from, to) => ({ segments: [{ candidate: id, from, to }] }) };
}

describe('cheapestSequence', () => {
  const low = 1;
  const high = 50;
  // Summer is cheap with one, winter with the other: going back and forth would be cheapest, and is not allowed.
  const summer = offer('summer', [low, low, high, high, low, low, high, high]);
  const winter = offer('winter', [high, high, low, low, high, high, low, low]);
  const steady = offer(
    'steady',
    Array.from({ length: 8 }, () => 20),
  );

  it('never joins an offer again that was left', () => {
    const sequence = cheapestSequence([summer, winter, steady], 8, () => 1, 7);
    const joined = sequence?.blocks.flatMap(({ segments }) => segments.map(({ candidate: id }) => id)) ?? [];
    expect(new Set(joined).size).toBe(joined.length);
    // summer for two months, steady for four, winter for two: 2 + 80 + 2, and two moves.
    expect(sequence?.cost).toBe(2 + 80 + 2 + 2);
  });

  it('goes on to a third rather than back to the first, where going back would be cheapest', () => {
    const offers = [offer('x', [1, 10, 1]), offer('y', [10, 1, 5]), offer('z', [10, 10, 4])];
    const sequence = cheapestSequence(offers, 3, () => 0, 2);
    expect(sequence?.cost).toBe(1 + 1 + 4);
    expect(sequence?.blocks.map(({ segments }) => segments[0]?.candidate)).toEqual(['x', 'y', 'z']);
    // Two that would be gone back to: from x to y, and from y to x again.
    const twice = [offer('x', [1, 9, 1, 9]), offer('y', [9, 1, 9, 1]), offer('z', [9, 9, 3, 9]), offer('w', [9, 9, 9, 4])];
    expect(cheapestSequence(twice, 4, () => 0, 3)?.blocks.map(({ segments }) => segments[0]?.candidate)).toEqual(['x', 'y', 'z', 'w']);
  });

  it('moves no more often than it may', () => {
    expect(cheapestSequence([summer, winter, steady], 8, () => 1, 0)?.cost).toBe(160);
    // One move: two months of summer, then six of winter, two of them dear.
    expect(cheapestSequence([summer, winter, steady], 8, () => 1, 1)?.cost).toBe(2 + 104 + 1);
  });

  it('finds nothing where no way exists', () => {
    expect(cheapestSequence([offer('gap', [1, Infinity, 1])], 3, () => 1, 3)).toBeNull();
  });
});

describe('offerBlocks', () => {
  const costs = (monthly: number, entry: number) => ({
    cost: (from: number, to: number, moved: boolean) => (to - from) * monthly + (moved ? 0 : entry),
  });
  const always = [true, true, true, true];

  it('joins once and moves inside for what a move costs', () => {
    const blocks = offerBlocks(
      [
        { id: 'small', usable: [true, true, false, false], costs: costs(1, 5) },
        { id: 'large', usable: always, costs: costs(4, 9) },
      ],
      4,
      2,
    );
    expect(blocks.cost(0, 2)).toBe(7);
    // small for two months with its entry, a move, large for two without one.
    expect(blocks.cost(0, 4)).toBe(7 + 2 + 8);
    expect(blocks.block(0, 4).segments).toEqual([
      { candidate: 'small', from: 0, to: 2 },
      { candidate: 'large', from: 2, to: 4 },
    ]);
    expect(blocks.cost(2, 4)).toBe(17);
  });

  it('does not move to the candidate it is with already', () => {
    const blocks = offerBlocks(
      [{ id: 'only', usable: always, costs: { cost: (from: number, to: number, moved: boolean) => (moved ? 0 : (to - from) * 10) } }],
      4,
      0,
    );
    expect(blocks.cost(0, 4)).toBe(40);
  });
});

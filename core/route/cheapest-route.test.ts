import { describe, expect, it } from 'vitest';
import { readDecisionFile } from '../decision-file/read';
import type { DecisionFile } from '../decision-file/schema';
import { preparePricing } from '../pricing/pricing';
import { kiteDecision } from '../tests/kite-decision';
import { betweenIn, cheapestRoute, type Moving, routeSolver, usableMonths, wayTotals } from './cheapest-route';

// Alder costs 10 + 5 % of 1,000 a month, by the year 96 + 50 a month; Birch 30 + 1 %: 60, 58 and 40 a month.
const prepared = (more: Partial<DecisionFile> = {}) =>
  preparePricing(
    readDecisionFile(
      kiteDecision({
        version: 2,
        ...more,
        candidates: more.candidates ?? [
          ...kiteDecision().candidates,
          { id: 'Y', label: 'Alder by the year', plans: [{ plan: 'pa', term: 'y' }] },
        ],
      }),
    ),
  );
const FREE: Moving = { within: 0, between: 0, moves: 3 };
const candidate = (pricing: ReturnType<typeof prepared>, id: string) => {
  const found = pricing.file.candidates.find((one) => one.id === id);
  if (!found) throw new Error(`${id} is expected`);
  return found;
};

describe('what a given way comes to', () => {
  const pricing = prepared();
  const solver = routeSolver(pricing, pricing.file.candidates);

  it('is its segments, and a move inside the offer or to another one', () => {
    const moving = { ...FREE, within: 300, between: 700 };
    const across = solver.priced(
      [
        { candidate: 'A', from: 0, to: 6 },
        { candidate: 'B', from: 6, to: 12 },
      ],
      moving,
    );
    expect(across).toEqual({ paid: 6 * 6000 + 6 * 4000 + 700, lost: 0, brought: 0, cost: 6 * 6000 + 6 * 4000 + 700 });
    const inside = [
      { candidate: 'A', from: 0, to: 1 },
      { candidate: 'Y', from: 1, to: 12 },
    ];
    // A month at 60, then 96 ahead and 50 a month.
    expect(solver.costOf(inside, moving)).toBe(6000 + 9600 + 11 * 5000 + 300);
    expect(solver.costOf([{ candidate: 'B', from: 0, to: 12 }], moving)).toBe(48_000);
  });

  it('is nothing where a segment is of nobody, is empty, or lies where its candidate cannot be used', () => {
    expect(solver.priced([{ candidate: 'X', from: 0, to: 12 }], FREE)).toBeNull();
    expect(solver.priced([{ candidate: 'A', from: 3, to: 3 }], FREE)).toBeNull();
    expect(solver.costOf([{ candidate: 'X', from: 0, to: 12 }], FREE)).toBeNull();
    const needing = prepared({ needs: [{ feature: 'x', level: 'must', from: '2027-07' }] });
    const barred = routeSolver(needing, needing.file.candidates);
    expect(barred.costOf([{ candidate: 'A', from: 0, to: 6 }], FREE)).toBe(36_000);
    expect(barred.costOf([{ candidate: 'A', from: 0, to: 7 }], FREE)).toBeNull();
  });
});

describe('solving', () => {
  it('finds the way that keeps most, though it is not the one that costs least', () => {
    const lifted = prepared({
      candidates: [
        { id: 'A', label: 'Alder', plans: [{ plan: 'pa', term: 'm' }], lift: '20' },
        { id: 'B', label: 'Birch', plans: [{ plan: 'pb', term: 'm' }] },
      ],
    });
    const bestBy = (by: 'cost' | 'keep') => routeSolver(lifted, lifted.file.candidates, by).solve(FREE);
    expect(bestBy('cost')).toEqual({ cost: 48_000, segments: [{ candidate: 'B', from: 0, to: 12 }] });
    // 70 a month, less the 100 that a fifth more orders brings.
    expect(bestBy('keep')).toEqual({ cost: 12 * (7000 - 10_000), segments: [{ candidate: 'A', from: 0, to: 12 }] });
  });

  it('counts what all have in common once, in the answer as in the price of its way', () => {
    const sharing = prepared({
      candidates: ['1', '2'].map((amount) => ({
        id: `Y${amount}`,
        label: amount,
        plans: [{ plan: 'pa', term: 'y' }],
        extras: [{ label: 'Tool', amount, months: 1 }],
      })),
    });
    const solver = routeSolver(sharing, sharing.file.candidates);
    const found = solver.solve(FREE);
    // The yearly 96 once, fees of 50 and the tool every month.
    expect(found?.cost).toBe(9600 + 12 * 5100);
    expect(found && solver.costOf(found.segments, FREE)).toBe(found?.cost);
    const split = [
      { candidate: 'Y1', from: 0, to: 6 },
      { candidate: 'Y2', from: 6, to: 12 },
    ];
    expect(solver.costOf(split, FREE)).toBe(9600 + 6 * 5100 + 6 * 5200);
  });

  it('does not let a plan run through that a credit pays for', () => {
    const [alder, birch] = kiteDecision().offers;
    const [plan] = alder?.plans ?? [];
    if (!alder || !birch || !plan) throw new Error('two offers are expected');
    const credit = { id: 'back', label: 'Back', how: 'per-order' as const, each: '0', credit: true, against: 'plan' as const };
    const crediting = prepared({
      offers: [{ ...alder, plans: [{ ...plan, charges: [...(plan.charges ?? []), credit] }] }, birch],
      candidates: ['1', '2'].map((amount) => ({
        id: `Y${amount}`,
        label: amount,
        plans: [{ plan: 'pa', term: 'y' }],
        extras: [{ label: 'Tool', amount, months: 1 }],
      })),
    });
    const split = [
      { candidate: 'Y1', from: 0, to: 6 },
      { candidate: 'Y2', from: 6, to: 12 },
    ];
    // Joined anew in the middle: the yearly 96 falls due twice.
    expect(routeSolver(crediting, crediting.file.candidates).costOf(split, FREE)).toBe(2 * 9600 + 6 * 5100 + 6 * 5200);
  });

  it('adds what moving to another offer loses', () => {
    const club = prepared({
      forecast: {
        streams: [
          { id: 'club', label: 'Club', kind: 'subscription', orderValue: '10', subscribers: { start: '100', joins: '0', churn: '0' } },
        ],
      },
    });
    const way = [
      { candidate: 'A', from: 0, to: 11 },
      { candidate: 'B', from: 11, to: 12 },
    ];
    // In the last month a tenth of 100 would each have brought 10.
    const found = routeSolver(club, club.file.candidates).priced(way, { ...FREE, between: 300, loses: '10' });
    expect(found).toEqual({ paid: 11 * 6000 + 4000 + 300, lost: 10_000, brought: 0, cost: 11 * 6000 + 4000 + 300 + 10_000 });
  });

  it('says which candidate there is not', () => {
    expect(() => cheapestRoute({ ...pricingAsking(['A', 'ghost']) })).toThrow('There is no candidate ghost');
  });
});

/** A prepared file whose question was never checked. */
function pricingAsking(candidates: string[]) {
  const pricing = prepared();
  return { ...pricing, file: { ...pricing.file, route: { candidates, within: '0', between: '0' } } };
}

describe('in which months a candidate can be used', () => {
  it('is until a must is needed that it does not meet', () => {
    const pricing = prepared({ needs: [{ feature: 'x', level: 'must', from: '2027-03' }] });
    expect(usableMonths(pricing, candidate(pricing, 'A'))).toEqual([true, true, ...new Array<boolean>(10).fill(false)]);
    const always = prepared({ needs: [{ feature: 'x', level: 'must' }] });
    expect(usableMonths(always, candidate(always, 'A')).some(Boolean)).toBe(false);
  });

  it('is none with a price not known, and not those in which it is outgrown', () => {
    const pricing = prepared();
    const [alder, birch] = pricing.file.offers;
    const [plan] = alder?.plans ?? [];
    if (!alder || !birch || !plan) throw new Error('two offers are expected');
    const changed = (more: Partial<typeof plan>, file: Partial<DecisionFile> = {}) => {
      const made = prepared({ offers: [{ ...alder, plans: [{ ...plan, ...more }] }, birch], ...file });
      return usableMonths(made, candidate(made, 'A'));
    };
    expect(changed({ charges: [{ id: 'fa', label: 'Fee', how: 'per-order', percent: null }] }).some(Boolean)).toBe(false);
    const growing = {
      forecast: {
        streams: [{ id: 'kites', label: 'Kites', kind: 'goods' as const, orders: { start: '100', add: '10' }, orderValue: '10' }],
      },
    };
    expect(changed({ limits: { orders: '110' } }, growing)).toEqual([true, true, ...new Array<boolean>(10).fill(false)]);
  });
});

describe('by what is kept', () => {
  const pricing = prepared({
    candidates: [
      { id: 'A', label: 'Alder', plans: [{ plan: 'pa', term: 'm' }], lift: '20' },
      { id: 'B', label: 'Birch', plans: [{ plan: 'pb', term: 'm' }] },
    ],
  });
  const way = [
    { candidate: 'A', from: 0, to: 3 },
    { candidate: 'B', from: 3, to: 12 },
  ];

  it('what a lift brings is counted against what is paid for it', () => {
    // With a fifth more orders Alder costs 10 + 60, and brings 20 × 10 × 50 % = 100 a month more.
    const kept = routeSolver(pricing, pricing.file.candidates, 'keep').priced(way, { ...FREE, between: 500 });
    expect(kept).toEqual({ paid: 3 * 7000 + 9 * 4000 + 500, lost: 0, brought: 30_000, cost: 3 * 7000 + 9 * 4000 + 500 - 30_000 });
    const paid = routeSolver(pricing, pricing.file.candidates, 'cost').priced(way, FREE);
    expect(paid).toMatchObject({ brought: 30_000, cost: 3 * 7000 + 9 * 4000 });
  });

  it('totals are what is paid, and what is kept of 6,000 after it', () => {
    const found = { paid: 57_500, lost: 1000, brought: 30_000 };
    expect(wayTotals(pricing, found, 'keep')).toEqual({ total: '575.00', kept: '5715.00' });
    expect(wayTotals(pricing, found, 'cost')).toEqual({ total: '585.00' });
  });
});

describe('the route that a file asks for', () => {
  const asked = (route: DecisionFile['route'], more: Partial<DecisionFile> = {}) =>
    cheapestRoute(prepared({ ...(route ? { route } : {}), ...more }));

  it('is told by months, and none without a question', () => {
    expect(asked(undefined)).toBeUndefined();
    expect(asked({ candidates: ['A', 'B'], within: '0', between: '0' })).toEqual({
      total: '480.00',
      segments: [{ candidate: 'B', from: '2027-01', months: 12 }],
    });
    const growing = {
      forecast: {
        streams: [{ id: 'kites', label: 'Kites', kind: 'goods' as const, orders: { start: '10', add: '15' }, orderValue: '10' }],
      },
    };
    // Equal at 50 orders: Alder for three months (10, 25 and 40 orders), then Birch.
    expect(asked({ candidates: ['A', 'B'], within: '0', between: '0' }, growing)?.segments).toEqual([
      { candidate: 'A', from: '2027-01', months: 3 },
      { candidate: 'B', from: '2027-04', months: 9 },
    ]);
    expect(asked({ candidates: ['A', 'B'], within: '0', between: '0', moves: 0 }, growing)?.segments).toHaveLength(1);
  });

  it('is none where nobody can be used throughout', () => {
    expect(asked({ candidates: ['A'], within: '0', between: '0' }, { needs: [{ feature: 'x', level: 'must' }] })).toBeNull();
  });
});

describe('what moving to another offer costs in a month', () => {
  it('is the same in all, and what subscribers lost would have brought besides', () => {
    expect([0, 5].map(betweenIn(prepared(), 900, undefined))).toEqual([900, 900]);
    const club = prepared({
      forecast: {
        streams: [
          { id: 'club', label: 'Club', kind: 'subscription', orderValue: '10', subscribers: { start: '100', joins: '0', churn: '0' } },
        ],
      },
    });
    // In the last month a tenth of 100 would each have brought 10.
    expect(betweenIn(club, 900, '10')(11)).toBe(900 + 10_000);
  });
});

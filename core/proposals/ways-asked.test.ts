import { describe, expect, it } from 'vitest';
import type { DecisionFile } from '../decision-file/schema';
import { preparePricing } from '../pricing/pricing';
import { kiteDecision } from '../tests/kite-decision';
import { proposals } from './propose';
import { askedWays } from './ways';

/** 5 orders of 10.00 in January and 5 more each month. Alder: 10 a month and 20 %; Birch: 30 a month and 2 %. */
function waysOf(ways: NonNullable<DecisionFile['propose']>['ways'] | null, more: Partial<DecisionFile> = {}) {
  const kites = kiteDecision();
  const rates: Readonly<Record<string, string>> = { a: '20', b: '2' };
  const pricing = preparePricing({
    ...kites,
    forecast: { streams: [{ id: 's', label: 's', kind: 'goods', orders: { start: '5', add: '5' }, orderValue: '10', margin: '50' }] },
    offers: kites.offers.map((offer) => ({
      ...offer,
      plans: offer.plans.map((plan) => ({
        ...plan,
        terms: plan.terms.filter(({ months }) => months === 1),
        charges: [{ id: `f${plan.id}`, label: 'Fee', how: 'per-order' as const, percent: rates[offer.id] ?? '0' }],
      })),
    })),
    candidates: [],
    ...(ways === null ? {} : { propose: ways === undefined ? {} : { ways } }),
    ...more,
  });
  return askedWays(pricing, proposals(pricing) ?? []);
}

describe('ways that a file asks for', () => {
  it('are none where it asks for none', () => {
    expect(waysOf(null)).toBeUndefined();
    expect(waysOf(undefined)).toBeUndefined();
  });

  it('stay with one vendor where nothing says what moving between vendors costs', () => {
    const found = waysOf({ within: '0' });
    // Alder: 120 + 20 % of 3,900; Birch: 360 + 2 %.
    expect(found?.ofOffers.map((way) => way?.total)).toEqual(['900.00', '438.00']);
    expect(found?.best).toBeUndefined();
  });

  it('move where that pays, with the move counted once and what is lost by it', () => {
    // Alder costs less as long as 18 % of sales are below 20: in January and February.
    const found = waysOf({ within: '0', between: '7' });
    // 2 × 10 + 20 % of 150, 7, and 10 × 30 + 2 % of 3,750.
    expect(found?.best).toMatchObject({ total: '432.00' });
    expect(found?.best?.segments.map(({ offer, from, months }) => [offer, from, months])).toEqual([
      ['a', '2027-01', 2],
      ['b', '2027-03', 10],
    ]);
    expect(waysOf({ within: '0', between: '13' })?.best?.segments.map(({ offer }) => offer)).toEqual(['b']);
    expect(waysOf({ within: '0', between: '7', moves: 0 })?.best?.segments.map(({ offer }) => offer)).toEqual(['b']);
  });
});

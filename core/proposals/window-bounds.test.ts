import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import type { Addon, Plan } from '../decision-file/price-sheet-schema';
import { preparePricing } from '../pricing/pricing';
import { kiteDecision } from '../tests/kite-decision';
import { combinationSearch } from './combination-search';

const MONTHS = 6;
const price = fc.integer({ min: 1, max: 40 }).map(String);
const feature = fc.constantFrom('shop', 'till');
const plan = fc.record({
  price,
  yearly: fc.option(price),
  intro: fc.option(fc.integer({ min: 0, max: 9 }).map(String)),
  staff: fc.integer({ min: 1, max: 5 }).map(String),
  has: fc.option(feature),
  percent: fc.integer({ min: 0, max: 5 }).map(String),
  taxExcluded: fc.boolean(),
});
const addon = fc.record({
  price,
  raises: fc.option(fc.integer({ min: 1, max: 3 }).map(String)),
  has: fc.option(feature),
  credit: fc.option(fc.integer({ min: 1, max: 4 }).map(String)),
  taxExcluded: fc.boolean(),
});
const world = fc.record({
  plans: fc.array(plan, { minLength: 1, maxLength: 3 }),
  addons: fc.array(addon, { maxLength: 3 }),
  staff: fc.record({ start: fc.integer({ min: 1, max: 4 }).map(String), add: fc.constantFrom('0', '0.5', '1') }),
  tillFrom: fc.constantFrom('2027-01', '2027-04'),
});

function searchIn({ plans, addons, staff, tillFrom }: typeof world extends fc.Arbitrary<infer One> ? One : never) {
  const featured = (has: string | null) => (has === null ? {} : { features: { [has]: true } });
  const offer = {
    id: 'o',
    vendor: 'Oakum',
    label: 'Oakum',
    kind: 'k',
    plans: plans.map((one, at): Plan => ({
      id: `p${at}`,
      label: `P${at}`,
      currency: 'EUR',
      taxExcluded: one.taxExcluded,
      terms: [
        { id: 'm', months: 1, price: one.price, ...(one.intro === null ? {} : { intro: { price: one.intro, periods: 2 } }) },
        ...(one.yearly === null ? [] : [{ id: 'y', months: 4, price: one.yearly, prorated: true }]),
      ],
      charges: [{ id: `f${at}`, label: 'Fee', how: 'per-order', percent: one.percent }],
      limits: { staff: one.staff },
      ...featured(one.has),
    })),
    addons: addons.map((one, at): Addon => ({
      id: `a${at}`,
      label: `A${at}`,
      currency: 'EUR',
      taxExcluded: one.taxExcluded,
      terms: [{ id: 'm', months: 1, price: one.price }],
      ...(one.raises === null ? {} : { raises: { staff: one.raises } }),
      ...(one.credit === null
        ? {}
        : { charges: [{ id: `c${at}`, label: 'Credit', how: 'per-order' as const, percent: one.credit, credit: true }] }),
      ...featured(one.has),
    })),
  };
  const kites = kiteDecision();
  const pricing = preparePricing({
    ...kites,
    months: MONTHS,
    feeTax: '19',
    forecast: { ...kites.forecast, drivers: { staff } },
    needs: [
      { feature: 'shop', level: 'must' },
      { feature: 'till', level: 'must', from: tillFrom },
    ],
    offers: [offer],
    candidates: [],
  });
  return combinationSearch(pricing, offer, ['own'], { offer: 'o', total: null });
}

const window = fc
  .record({ from: fc.integer({ min: 0, max: MONTHS - 1 }), length: fc.integer({ min: 1, max: MONTHS }), moved: fc.boolean() })
  .map(({ from, length, moved }) => ({ from, to: Math.min(MONTHS, from + length), moved }));

describe('what an offer costs at least in a window', () => {
  it('is never more than the cheapest combination there, and not bounded where there is none', () => {
    fc.assert(
      fc.property(world, fc.array(window, { minLength: 1, maxLength: 4 }), (of, windows) => {
        const search = searchIn(of);
        for (const one of windows) expect(search.atLeast(one)).toBeLessThanOrEqual(search.cheapest(one)[0]?.cost ?? Infinity);
      }),
      { numRuns: 200 },
    );
  });

  it('is without bound where nothing that is sold covers what a plan lacks', () => {
    fc.assert(
      fc.property(plan, window, (one, at) => {
        const search = searchIn({
          plans: [{ ...one, has: null, staff: '5' }],
          addons: [{ price: '1', raises: null, has: 'shop', credit: null, taxExcluded: false }],
          staff: { start: '1', add: '0' },
          tillFrom: '2027-01',
        });
        // It lacks the till, which nobody sells, and so cannot be used at all.
        expect(search.atLeast(at)).toBe(Infinity);
        expect(search.cheapest(at)).toEqual([]);
      }),
      { numRuns: 30 },
    );
  });

  it('is what the only combination costs, but for how tax is rounded', () => {
    const close = searchIn({
      plans: [{ price: '10', yearly: null, intro: null, staff: '5', has: 'shop', percent: '2', taxExcluded: true }],
      addons: [{ price: '3', raises: null, has: 'till', credit: null, taxExcluded: false }],
      staff: { start: '1', add: '0' },
      tillFrom: '2027-01',
    });
    const throughout = { from: 0, to: MONTHS, moved: false };
    const cost = close.cheapest(throughout)[0]?.cost ?? NaN;
    expect(cost - close.atLeast(throughout)).toBeLessThanOrEqual(MONTHS / 2 + 0.01);
  });
});

import { describe, expect, it } from 'vitest';
import type { Addon, Term } from '../decision-file/price-sheet-schema';
import type { DecisionFile } from '../decision-file/schema';
import { kitesWith } from '../tests/kites-with';
import { addonWindowPart, isAddonKnown, neededIn, planWindowParts, shortIn } from './window-parts';

/** From 10 to 120 orders of 10 a month. */
const growing: DecisionFile['forecast'] = {
  streams: [{ id: 'k', label: 'K', kind: 'goods', orders: { start: '10', add: '10' }, orderValue: '10' }],
};

/** Alder's plan, changed, as a part of a way. */
function taken(...changes: Parameters<typeof kitesWith>) {
  const { pricing, offer, plan } = kitesWith(...changes);
  return { pricing, offer, part: (term = 'm') => planWindowParts({ pricing, offer }, plan, [term], 'own')[0] };
}
const window = (from: number, to: number, moved = false) => ({ from, to, moved });
const fee = (percent: string | null, more = {}) => ({ id: 'f', label: 'Fee', how: 'per-order' as const, percent, ...more });

describe('a plan in a stretch of months', () => {
  it('costs what falls due there, leaving early included', () => {
    const part = taken({}).part();
    // 10 and 5 % of 1,000 a month.
    expect(part?.cost(window(0, 12))).toEqual({ total: 72_000, taxed: null, hasCredit: false });
    expect(part?.cost(window(3, 5)).total).toBe(12_000);
    const yearly: Term = { id: 'y', months: 12, price: '96', prorated: true };
    expect(
      taken({ terms: [yearly], charges: [] })
        .part('y')
        ?.cost(window(2, 6)).total,
    ).toBe(3200);
    expect(
      taken({ terms: [{ ...yearly, prorated: false }], charges: [] })
        .part('y')
        ?.cost(window(2, 6)).total,
    ).toBe(9600);
  });

  it('has no introductory price and no joining fee for those who come from the same offer', () => {
    const terms = [{ id: 'm', months: 1, price: '10', intro: { price: '1', periods: 2 } }];
    const part = taken({ terms, charges: [], once: [{ label: 'Joining', amount: '5' }] }).part();
    expect(part?.cost(window(4, 8)).total).toBe(500 + 100 + 100 + 1000 + 1000);
    expect(part?.cost(window(4, 8, true)).total).toBe(4000);
    expect(part?.cost(window(4, 5)).total).toBe(600);
  });

  it('is told by month where it is quoted without tax, and in the seller’s favour where it is', () => {
    const part = taken({ taxExcluded: true }, { feeTax: '20' }).part();
    expect(part?.cost(window(0, 2))).toEqual({ total: 12_000, taxed: [6000, 6000], hasCredit: false });
    expect(
      taken({ charges: [fee('9', { credit: true })] })
        .part()
        ?.cost(window(1, 2)),
    ).toEqual({ total: -8000, taxed: null, hasCredit: true });
  });

  it('has hours and more orders as its offer states them', () => {
    const part = taken({}, { months: 2 }, { hours: { setup: '2', monthly: '0.5' }, lift: '10' }).part();
    // 2 hours and twice half an hour at 20; 10 a month; 5 % of 1,100.
    expect(part?.cost(window(0, 2)).total).toBe(4000 + 2000 + 2000 + 11_000);
  });

  it('knows by month what is over its limits, and when nothing helps', () => {
    const limited = taken({ limits: { orders: '100' } }, { forecast: growing }).part();
    expect(limited?.isPossible(window(0, 12))).toBe(true);
    expect(limited && [...shortIn(limited, window(0, 12))].map(([limit, over]) => [limit, over.toFixed()])).toEqual([['orders', '20']]);
    expect(limited && [...shortIn(limited, window(0, 11))].map(([limit, over]) => [limit, over.toFixed()])).toEqual([['orders', '10']]);
    expect(limited && [...shortIn(limited, window(0, 10))]).toEqual([]);
    const bands = [{ upTo: '90', flat: '4' }];
    const banded = taken({ charges: [{ id: 'b', label: 'B', how: 'volume', on: 'orders', bands }] }, { forecast: growing }).part();
    expect([banded?.isPossible(window(0, 9)), banded?.isPossible(window(0, 10)), banded?.isPossible(window(9, 10))]).toEqual([
      true,
      false,
      false,
    ]);
  });

  it('is none where a charge is not known', () => {
    expect(taken({ charges: [fee(null)] }).part()).toBeUndefined();
  });

  it('names the musts that neither it nor what comes with its offer meets', () => {
    const needs = ['shelf', 'stock', 'till'].map((feature) => ({ feature, level: 'must' as const }));
    const extras = [{ label: 'Till', amount: '1', months: 0, features: { till: true } }];
    expect(taken({ features: { stock: true } }, { needs }, { extras }).part()?.unmet).toEqual([0]);
  });
});

describe('an add-on in a stretch of months', () => {
  const addon = (more: Partial<Addon> = {}): Addon => ({
    id: 'x',
    label: 'X',
    currency: 'EUR',
    terms: [{ id: 't', months: 1, price: '3' }],
    ...more,
  });
  const part = (one: Addon, term: string | undefined, count: number, more: Partial<DecisionFile> = {}, ofOffer = {}) => {
    const of = taken({}, { addons: [one], ...more }, ofOffer);
    return addonWindowPart(of, one, term, count, 'own');
  };

  it('costs its term so many times, and its charges without those of the plan', () => {
    expect(part(addon(), 't', 2).cost(window(0, 3)).total).toBe(1800);
    expect(part(addon({ charges: [fee('1')] }), 't', 1).cost(window(0, 2)).total).toBe(600 + 2000);
    expect(part(addon({ terms: [], charges: [fee('1')] }), undefined, 1, {}, { lift: '10' }).cost(window(0, 1)).total).toBe(1100);
  });

  it('cannot be had in months in which it is not sold for so much', () => {
    const bands = [{ upTo: '30', flat: '4' }];
    const one = addon({ charges: [{ id: 'b', label: 'B', how: 'volume', on: 'orders', bands }] });
    const { isPossible } = part(one, 't', 1, { forecast: growing });
    expect([isPossible(window(0, 3)), isPossible(window(0, 4)), isPossible(window(3, 5))]).toEqual([true, false, false]);
  });

  it('is known where its charges are', () => {
    const known = (one: Addon) => isAddonKnown(taken({}, { addons: [one] }).pricing, one, 'own');
    expect([known(addon()), known(addon({ charges: [fee('1')] })), known(addon({ charges: [fee(null)] }))]).toEqual([true, true, false]);
    const ofPlan = taken({ charges: [fee(null)] }, { addons: [addon()] });
    expect(isAddonKnown(ofPlan.pricing, addon(), 'own')).toBe(true);
  });
});

it('musts that begin later are not needed in windows that end before', () => {
  const needs = [
    { feature: 'a', level: 'must' as const },
    { feature: 'b', level: 'must' as const, from: '2027-04' },
    { feature: 'c', level: 'want' as const },
  ];
  const { pricing } = taken({}, { needs });
  expect([...neededIn(pricing, window(0, 3))]).toEqual([0]);
  expect([...neededIn(pricing, window(0, 4))]).toEqual([0, 1]);
});

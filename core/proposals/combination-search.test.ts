import { describe, expect, it } from 'vitest';
import type { Addon } from '../decision-file/price-sheet-schema';
import type { DecisionFile } from '../decision-file/schema';
import { preparePricing } from '../pricing/pricing';
import { kiteDecision } from '../tests/kite-decision';
import { combinationSearch } from './combination-search';
import type { Proposal } from './propose';

const kites = kiteDecision();
const months = (price: string | null) => [{ id: 'm', months: 1, price }];
const plan = (id: string, price: string | null, more: object = {}) => ({ id, label: id, currency: 'EUR', terms: months(price), ...more });
const seats: Addon = { id: 'seats', label: 'Seats', currency: 'EUR', terms: months('2'), raises: { staff: '1' } };
const shop: Addon = { id: 'shop', label: 'Shop', currency: 'EUR', terms: months('7'), features: { shop: true } };

/** Three people: Small takes one and has no shop, Big takes three with a shop, Odd has no price. */
function search(more: Partial<DecisionFile> = {}, proposal?: Proposal, addons: Addon[] = [seats, shop], payments = ['own']) {
  const offer = {
    id: 'o',
    vendor: 'Oakum',
    label: 'Oakum',
    kind: 'k',
    plans: [
      plan('small', '10', { limits: { staff: '1' } }),
      plan('big', '25', { limits: { staff: '3' }, features: { shop: true } }),
      plan('odd', null),
    ],
    addons,
  };
  const pricing = preparePricing({
    ...kites,
    forecast: { ...kites.forecast, drivers: { staff: '3' } },
    needs: [{ feature: 'shop', level: 'must' }],
    offers: [offer],
    candidates: [],
    ...more,
  });
  return combinationSearch(pricing, offer, payments, proposal ?? { offer: 'o', total: null });
}
const all = { from: 0, to: 12, moved: false };
const brief = (of: ReturnType<typeof search>, window = all) =>
  of.cheapest(window).map(({ id, cost }) => {
    const { plan: used, addons } = of.combination(id);
    return [cost, used, ...addons.map(({ addon, count }) => `${count} ${addon}`)];
  });

describe('the best combinations of an offer for a stretch of months', () => {
  it('are three, the best first, with the add-ons that cover what a plan lacks', () => {
    // Small with two seats more and a shop: 10 + 4 + 7 a month. Big: 25. Small with three seats: 23.
    expect(brief(search())).toEqual([
      [25_200, 'small', '2 seats', '1 shop'],
      [27_600, 'small', '3 seats', '1 shop'],
      [30_000, 'big'],
    ]);
    expect(brief(search(), { from: 3, to: 5, moved: true })[0]).toEqual([4200, 'small', '2 seats', '1 shop']);
  });

  it('need not meet what is asked for later', () => {
    const needs = [{ feature: 'shop', level: 'must' as const, from: '2027-07' }];
    expect(brief(search({ needs }), { from: 0, to: 6, moved: false })[0]).toEqual([8400, 'small', '2 seats']);
    expect(brief(search({ needs }), { from: 0, to: 7, moved: false })[0]).toEqual([14_700, 'small', '2 seats', '1 shop']);
  });

  it('are tried through every processor', () => {
    const fee = (percent: string) => [{ id: `f${percent}`, label: 'Fee', how: 'per-order' as const, percent, bucket: 'payment' as const }];
    const processors = [
      { id: 'dear', label: 'Dear', currency: 'EUR', charges: fee('3') },
      { id: 'cheap', label: 'Cheap', currency: 'EUR', charges: fee('1') },
    ];
    const of = search({ processors }, undefined, [seats, shop], ['dear', 'cheap']);
    expect(of.cheapest(all).map(({ id, cost }) => [of.combination(id).payments, cost])).toEqual([
      ['cheap', 25_200 + 12_000],
      ['cheap', 27_600 + 12_000],
      ['cheap', 30_000 + 12_000],
    ]);
  });

  it('are none where nothing covers what is asked, or no price is known', () => {
    expect(brief(search({ needs: [{ feature: 'moon', level: 'must' }] }))).toEqual([]);
    const unpriced = search({}, undefined, [{ ...seats, terms: months(null) }, shop]);
    expect(brief(unpriced)[0]).toEqual([30_000, 'big']);
    const unknown = { ...seats, charges: [{ id: 'x', label: 'X', how: 'per-order' as const, percent: null }] };
    expect(brief(search({}, undefined, [unknown, shop]))[0]).toEqual([30_000, 'big']);
  });

  it('are known by their id once they came up', () => {
    const of = search();
    const [first] = of.cheapest(all);
    expect(first && of.has(first.id)).toBe(true);
    expect(of.has('another')).toBe(false);
    expect(() => of.combination('another')).toThrow('There is no combination another');
  });
});

describe('a proposal with more of an add-on than ways may have', () => {
  const forecast = { ...kites.forecast, drivers: { staff: '6' } };
  const proposal = (count: number, more: object = {}): Proposal => ({
    offer: 'o',
    total: '1',
    plan: 'small',
    term: 'm',
    addons: [
      { addon: 'seats', term: 'm', count },
      { addon: 'shop', term: 'm', count: 1 },
    ],
    payments: 'own',
    ...more,
  });

  it('is among them: five seats more, where three are not enough', () => {
    expect(brief(search({ forecast }, proposal(5)))).toEqual([
      [32_400, 'small', '5 seats', '1 shop'],
      [37_200, 'big', '3 seats'],
      [45_600, 'big', '3 seats', '1 shop'],
    ]);
  });

  it('is not where it does not cover what is asked in the window', () => {
    expect(brief(search({ forecast }, proposal(4)))[0]).toEqual([37_200, 'big', '3 seats']);
    expect(brief(search({ forecast }, proposal(5, { addons: [{ addon: 'seats', term: 'm', count: 5 }] })))[0]).toEqual([
      37_200,
      'big',
      '3 seats',
    ]);
    expect(brief(search({ forecast }, proposal(5, { plan: 'gone' })))[0]).toEqual([37_200, 'big', '3 seats']);
  });

  it('is not looked at apart where ways have as many', () => {
    expect(brief(search({}, proposal(2)))[0]).toEqual([25_200, 'small', '2 seats', '1 shop']);
  });
});

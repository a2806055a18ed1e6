import { describe, expect, it } from 'vitest';
import { priceDecision } from '../comparison/decision-result';
import type { DecisionFile } from '../decision-file/schema';
import { USUAL_MOVING } from '../route/moving-costs';
import { kiteDecision } from '../tests/kite-decision';
import { workbenchOf } from '../tests/workbench-of';
import { assumptionsOf } from '../what-if/assumption';
import { bestOfOthers, isSalesLevel, verdictBasis } from './basis';

const kites = kiteDecision();
/** Alder costs 10 and 5 % of sales a month, Birch 30 and 1 %: equal at sales of 500; here they are 1,000. */
const varied = (file: DecisionFile, ranges: Record<string, [number, number]> = {}) =>
  assumptionsOf(file).map((assumption) => {
    const [low, high] = ranges[assumption.key] ?? assumption.usual;
    return { assumption, low, high };
  });
const basisOf = (file: DecisionFile, ranges?: Record<string, [number, number]>, names: Record<string, string> = {}) =>
  verdictBasis(file, { workbench: workbenchOf(file), others: [], varied: varied(file, ranges), moving: null, names });

const sells = (orders: string): DecisionFile['forecast'] => ({
  streams: [{ id: 'kites', label: 'Kites', kind: 'goods', orders, orderValue: '10' }],
});

describe('what would change a verdict', () => {
  it('is told with where it stands now and who is best beyond it', () => {
    const { thresholds } = basisOf(kites, { 'orders:kites': [-60, 60] });
    // Sales of 500 instead of 1,000: half the orders, or half the order value, which is varied by a quarter only.
    expect(thresholds).toEqual([
      { key: 'orders:kites', label: 'Orders, Kites', kind: 'orders', unit: 'percent', now: '100', at: '-50', asIs: '0', winner: 'A' },
    ]);
  });

  it('the nearest first: near is what is a small part of its range', () => {
    const order = (ranges: Record<string, [number, number]>) => basisOf(kites, ranges).thresholds.map(({ key }) => key);
    expect(order({ 'orders:kites': [-60, 0], 'order-value:kites': [-100, 100] })).toEqual(['order-value:kites', 'orders:kites']);
    expect(order({ 'orders:kites': [-100, 100], 'order-value:kites': [-60, 0] })).toEqual(['orders:kites', 'order-value:kites']);
  });

  it('is no more than six things', () => {
    const streams = ['a', 'b', 'c', 'd'].map((id) => ({ id, label: id, kind: 'goods' as const, orders: '13', orderValue: '10' }));
    // Sales of 520: the least change of anything turns it.
    const { thresholds } = basisOf({ ...kites, forecast: { streams } });
    expect(thresholds).toHaveLength(6);
  });

  it('is nothing where no candidate can be chosen', () => {
    const nobody = basisOf({ ...kites, needs: [{ feature: 'stock', level: 'must' }] });
    expect(nobody).toMatchObject({ thresholds: [], mayWin: [], route: null });
    expect(basisOf({ ...kites, candidates: [] })).toMatchObject({ thresholds: [], mayWin: [], route: null, suits: {} });
  });

  it('may be a price that is not known', () => {
    const offers = kites.offers.map((offer) =>
      offer.id === 'a'
        ? { ...offer, plans: offer.plans.map((plan) => ({ ...plan, terms: [{ id: 'm', months: 1, price: null }] })) }
        : offer,
    );
    // Without a plan fee Alder takes 5 % of sales: 30 of 600, where Birch takes 36, and 50 of 1,000, where Birch takes 40.
    const at = (orders: string) => basisOf({ ...kites, offers, forecast: sells(orders) }).mayWin;
    expect(at('60')).toEqual(['A']);
    expect(at('100')).toEqual([]);
  });
});

describe('the way through the horizon', () => {
  it('is planned where it is asked for and there is anything to choose', () => {
    const planned = (file: DecisionFile) =>
      verdictBasis(file, { workbench: workbenchOf(file), others: [], varied: [], moving: USUAL_MOVING, names: {} }).route;
    expect(planned(kites)).toMatchObject({ total: '480.00' });
    expect(planned({ ...kites, candidates: [] })).toBeNull();
    expect(basisOf(kites).route).toBeNull();
  });
});

describe('for whom a candidate is best', () => {
  it('is the stretch of sales on which it is cheapest', () => {
    expect(basisOf(kites).suits).toEqual({
      A: { from: null, to: { sales: '500.00', orders: '50.0000' }, needs: [] },
      B: { from: { sales: '500.00', orders: '50.0000' }, to: null, needs: [] },
    });
  });

  it('of two stretches it is the one nearer to what is expected', () => {
    // Alder is best below sales of 500 and again, with its fee capped at 100 a month, above 8,000 (30 + 1 % = 10 + 100).
    const fee = { id: 'fa', label: 'Fee', how: 'per-order' as const, percent: '5', monthlyCap: '100' };
    const offers = kites.offers.map((offer) =>
      offer.id === 'a' ? { ...offer, plans: offer.plans.map((plan) => ({ ...plan, charges: [fee] })) } : offer,
    );
    const suits = (orders: string) => basisOf({ ...kites, offers, forecast: sells(orders) }).suits['A'];
    expect(suits('100')).toMatchObject({ from: null, to: { sales: '500.00' } });
    expect(suits('600')).toMatchObject({ from: { sales: '8000.00' }, to: null });
    expect(suits('40')).toMatchObject({ from: null });
    expect(suits('900')).toMatchObject({ to: null });
  });

  it('names the musts that it meets and somebody else does not, however it meets them', () => {
    const needs = ['stock', 'adverts', 'pictures', 'phone', 'mail'].map((feature) => ({
      feature,
      level: feature === 'phone' ? ('want' as const) : ('must' as const),
    }));
    const desk = { id: 'desk', label: 'Desk', currency: 'EUR', features: { adverts: true }, terms: [{ id: 'm', months: 1, price: '0' }] };
    const offers = kites.offers.map((offer) => ({
      ...offer,
      plans: offer.plans.map((plan) => ({
        ...plan,
        features: { mail: true, ...(offer.id === 'b' ? { stock: true, phone: true } : {}) },
      })),
    }));
    const candidates = kites.candidates.map((one) =>
      one.id === 'B'
        ? {
            ...one,
            addons: [{ addon: 'desk', term: 'm' }],
            extras: [{ label: 'Photos', amount: '0', months: 0, features: { pictures: true } }],
          }
        : one,
    );
    const { suits } = basisOf({ ...kites, needs, offers, addons: [desk], candidates }, {}, { adverts: 'your own adverts' });
    expect(suits['B']?.needs).toEqual(['stock', 'your own adverts', 'pictures']);
  });

  it('is nobody where nothing is sold', () => {
    expect(basisOf({ ...kites, forecast: sells('0') }).suits).toEqual({});
  });
});

describe('the best of the others', () => {
  const third = { id: 'C', label: 'Birch by the year', plans: [{ plan: 'pb', term: 'm' }] };
  const priced = priceDecision({ ...kites, candidates: [third, ...kites.candidates] });

  it('is of another vendor where there is one', () => {
    expect(bestOfOthers(priced, ['B'])).toEqual({ candidate: 'A', total: '720.00', keep: '5280.00' });
    expect(bestOfOthers(priced, ['A'])).toMatchObject({ total: '480.00' });
  });

  it('is another plan of the same vendor where there is no other', () => {
    expect(bestOfOthers(priced, ['A', 'B'])).toMatchObject({ candidate: 'C' });
    expect(bestOfOthers(priced, ['A', 'B', 'C'])).toBeNull();
  });

  it('costs least, or leaves most where that is what is compared', () => {
    // Half as many orders more leave Alder 12 × (750 - 10 - 75) of a margin of a half; Birch leaves 5,520.
    const lifted = kites.candidates.map((one) => (one.id === 'A' ? { ...one, lift: '50' } : one));
    const fourth = { id: 'D', label: 'Neither', plans: [] };
    const of = (by?: 'keep') =>
      bestOfOthers(
        priceDecision({ ...kites, candidates: [...lifted, fourth], ...(by ? { cheapestAt: { by, from: '1', to: '9' } } : {}) }),
        ['D'],
      );
    expect(of()).toMatchObject({ candidate: 'B', total: '480.00' });
    expect(of('keep')).toMatchObject({ candidate: 'A', keep: '7980.00' });
  });
});

it('the assumption on all sales stands among the conditions', () => {
  expect(isSalesLevel(kites, 'orders:kites')).toBe(true);
  expect(isSalesLevel(kites, 'order-value:kites')).toBe(false);
});

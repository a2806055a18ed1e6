import { describe, expect, it } from 'vitest';
import fc from 'fast-check';
import type { DecisionFile } from '../decision-file/schema';
import type { Offer, Plan } from '../decision-file/price-sheet-schema';
import { kiteDecision } from '../tests/kite-decision';
import { boughtSingly, type SingleSource, singleSources } from './bought-singly';

const plan = (id: string, price: string | null, features: Plan['features'], more: Partial<Plan> = {}): Plan => ({
  id,
  label: id,
  currency: 'EUR',
  terms: [{ id: 'm', months: 1, price }],
  features: features ?? {},
  ...more,
});
const offer = (id: string, plans: Plan[], more: Partial<Offer> = {}): Offer => ({ id, vendor: id, label: id, kind: 'k', plans, ...more });
const fileOf = (offers: Offer[], more: Partial<DecisionFile> = {}) => kiteDecision({ offers, candidates: [], ...more });
const shop = (id: string, features: Plan['features'] = {}) => offer(id, [plan(`${id} plan`, '20', { checkout: true, ...features })]);
const addon = (id: string, price: string, features: Plan['features']) => ({
  id,
  label: id,
  currency: 'EUR',
  terms: [
    { id: 'm', months: 1, price },
    { id: 'y', months: 12, price: String(Number(price) * 10) },
  ],
  features: features ?? {},
});

describe('what is sold singly', () => {
  it('is an add-on, in its cheapest term over the horizon', () => {
    const file = fileOf([{ ...shop('A'), addons: [addon('club', '5', { video: true })] }], {
      addons: [
        { ...addon('post', '4', { mailings: true }), worksWith: ['A'] },
        { ...addon('domain', '1', { 'own-domain': true }), terms: [] },
      ],
    });
    expect(singleSources(file)).toEqual([
      { name: 'A club', beside: ['A'], offer: 'A', features: ['video'], total: '50.00' },
      { name: 'post', beside: ['A'], offer: null, features: ['mailings'], total: '40.00' },
      { name: 'domain', beside: null, offer: null, features: ['own-domain'], total: '0.00' },
    ]);
  });

  it('is a plan of a tool that takes no orders, for what not half of the others have anyway', () => {
    const tool = offer('Post', [plan('Letters', '3', { mailings: true, export: true, checkout: false, 'without-adverts': true })]);
    expect(singleSources(fileOf([shop('A', { export: true }), shop('B'), tool]))).toEqual([
      { name: 'Post Letters', beside: null, offer: 'Post', features: ['mailings'], total: '36.00' },
    ]);
    expect(singleSources(fileOf([shop('A', { mailings: true }), shop('B'), shop('C'), tool]))[0]?.features).toEqual(['mailings', 'export']);
    expect(singleSources(fileOf([shop('A'), shop('B')]))).toEqual([]);
  });

  it('leaves out what is too small for this seller, or whose price is not known', () => {
    const small = offer('Small', [plan('S', '1', { mailings: true }, { limits: { orders: '10' } })]);
    const unknown = offer('Unknown', [plan('U', null, { mailings: true })]);
    const dear = offer('Dear', [plan('D', '9', { mailings: true })]);
    expect(singleSources(fileOf([shop('A'), shop('B'), shop('C'), shop('E'), small, unknown, dear])).map(({ name }) => name)).toEqual([
      'Dear D',
    ]);
  });
});

const source = (name: string, total: string, features: string[], more: Partial<SingleSource> = {}): SingleSource => ({
  name,
  total,
  features,
  beside: null,
  offer: null,
  ...more,
});
const EUR = { currency: 'EUR' };

describe('bought singly', () => {
  it('takes the cheapest set, and names what nobody sells', () => {
    const sources = [
      source('both', '15', ['video', 'mailings']),
      source('video', '9', ['video']),
      source('post', '8', ['mailings', 'forms']),
    ];
    expect(boughtSingly(EUR, sources, 'A', ['video', 'mailings', 'gift-cards'])).toEqual({
      total: '15.00',
      parts: [{ name: 'both', total: '15', features: ['video', 'mailings'] }],
      nowhere: ['gift-cards'],
    });
    expect(boughtSingly(EUR, sources, 'A', ['mailings'])).toMatchObject({
      total: '8.00',
      parts: [{ name: 'post', features: ['mailings'] }],
    });
    expect(boughtSingly(EUR, sources, 'A', ['gift-cards'])).toBeNull();
    expect(boughtSingly(EUR, sources, 'A', [])).toBeNull();
  });

  it('takes add-ons only beside what they work with, and no tool of the same vendor', () => {
    const own = source('club', '5', ['video'], { beside: ['A'], offer: 'A' });
    const tool = source('tool', '4', ['video'], { offer: 'B' });
    expect(boughtSingly(EUR, [own, tool], 'A', ['video'])?.total).toBe('4.00');
    expect(boughtSingly(EUR, [own, tool], 'B', ['video'])).toBeNull();
    expect(boughtSingly(EUR, [own], 'A', ['video'])?.total).toBe('5.00');
  });

  it('is as cheap as the cheapest of all sets tried out', () => {
    const names = ['a', 'b', 'c', 'd'];
    const sources = fc.array(fc.tuple(fc.integer({ min: 0, max: 20 }), fc.subarray(names, { minLength: 1 })), {
      minLength: 1,
      maxLength: 6,
    });
    fc.assert(
      fc.property(sources, fc.subarray(names, { minLength: 1 }), (made, wanted) => {
        const all = made.map(([total, features], at) => source(String(at), String(total), features));
        const sold = wanted.filter((name) => made.some(([, features]) => features.includes(name)));
        const costs = Array.from({ length: 2 ** made.length }, (_, set) => made.filter((_one, bit) => (set >> bit) % 2 === 1))
          .filter((set) => sold.every((name) => set.some(([, features]) => features.includes(name))))
          .map((set) => set.reduce((sum, [total]) => sum + total, 0));
        expect(boughtSingly(EUR, all, 'A', wanted)?.total ?? '0.00').toBe(sold.length === 0 ? '0.00' : `${Math.min(...costs)}.00`);
      }),
      { numRuns: 200 },
    );
  });
});

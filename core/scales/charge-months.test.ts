import { describe, expect, it } from 'vitest';
import type { Charge } from '../decision-file/price-sheet-schema';
import { preparePricing } from '../pricing/pricing';
import { kiteDecision } from '../tests/kite-decision';
import type { DecisionFile } from '../decision-file/schema';
import { chargeMonths, fillMonths, statedLevel } from './charge-months';
import { compileCandidates } from './compile';
import { cheapestOf, evaluator } from './evaluate';
import { prepareCandidates } from './prepare';

/** One plan in dollars with one charge; 100 orders of 10.00 a month, a fifth from abroad, 4 % refunded, a tenth of the value tax. */
function decision(charge: Charge, more: Partial<DecisionFile> = {}): DecisionFile {
  return kiteDecision({
    months: 2,
    rates: { USD: '0.5' },
    feeTax: '20',
    forecast: {
      streams: [
        {
          id: 'kites',
          label: 'Kites',
          kind: 'goods',
          orders: '100',
          orderValue: '11',
          salesTax: '10',
          refunds: '4',
          cards: { domestic: '80', international: '20' },
        },
      ],
      drivers: { contacts: '500', labels: { per: 'orders', ratio: '2' } },
    },
    offers: [
      {
        id: 'a',
        vendor: 'Alder',
        label: 'Alder',
        kind: 'store-platform',
        plans: [
          { id: 'pa', label: 'Plan', currency: 'USD', taxExcluded: true, terms: [{ id: 'm', months: 1, price: '10' }], charges: [charge] },
        ],
      },
    ],
    candidates: [{ id: 'A', label: 'Alder', plans: [{ plan: 'pa', term: 'm' }], payments: 'own' }],
    ...more,
  });
}

function months(charge: Charge) {
  const pricing = preparePricing(decision(charge));
  const [prepared] = prepareCandidates(pricing)[0]?.charges ?? [];
  if (!prepared) throw new Error('a charge is expected');
  const into = chargeMonths(prepared, 2);
  fillMonths(into, prepared, statedLevel(pricing));
  return { how: into.how, quantity: into.quantity[1], growing: into.growing[1], rate: into.rates[1], weight: into.weight };
}

const base = { id: 'f', label: 'Fee' } as const;

describe('a charge’s months at a level', () => {
  it.each<[string, Charge, object]>([
    // Order values are 22 dollars, 20 without tax; a dollar is worth half a euro, and taxed by a fifth.
    [
      'per order',
      { ...base, how: 'per-order', percent: '5', each: '0.3' },
      { how: 'beyond', quantity: 0, growing: 100, rate: 1.4, weight: 0.6 },
    ],
    ['per order of net values', { ...base, how: 'per-order', percent: '5', of: 'net' }, { growing: 100, rate: 1 }],
    ['per order that is not refunded', { ...base, how: 'per-order', each: '1', refund: 'returned' }, { growing: 96, rate: 1 }],
    [
      'per order, of cards from abroad',
      { ...base, how: 'per-order', each: '1', only: { cards: ['international'] } },
      { growing: 20, rate: 1 },
    ],
    ['per order, within bounds', { ...base, how: 'per-order', percent: '50', most: '3' }, { rate: 3 }],
    ['per order beyond some', { ...base, how: 'per-order', each: '1', free: '30' }, { quantity: -30, growing: 100 }],
    [
      'per order beyond so many per label',
      { ...base, how: 'per-order', each: '1', free: { per: 'labels', ratio: '0.1' } },
      { quantity: 0, growing: 80 },
    ],
    ['per unit of sales', { ...base, how: 'per-unit', on: 'sales', percent: '2' }, { growing: 2200, rate: 0.02 }],
    ['per contact beyond some', { ...base, how: 'per-unit', on: 'contacts', each: '0.1', free: '100' }, { quantity: 400, growing: 0 }],
    ['in packages of labels', { ...base, how: 'package', on: 'labels', size: '50', each: '4' }, { how: 'steps', growing: 200, rate: 4 }],
    ['by bands', { ...base, how: 'graduated', bands: [{ upTo: null, each: '1' }] }, { how: 'graduated', growing: 100 }],
    ['as a credit', { ...base, how: 'per-order', each: '1', credit: true }, { weight: -0.6 }],
  ])('%s', (_name, charge, expected) => {
    const found = months(charge);
    for (const [field, value] of Object.entries(expected)) {
      if (typeof value === 'number') expect(found[field as keyof typeof found], field).toBeCloseTo(value, 12);
      else expect(found[field as keyof typeof found], field).toBe(value);
    }
  });
});

describe('candidates read once', () => {
  it('share a charge that they have exactly alike, and not one that counts other orders', () => {
    const charge: Charge = { ...base, how: 'per-order', each: '1', bucket: 'payment', only: { payments: 'own' } };
    const processors = [
      { id: 'tally', label: 'Tally', currency: 'EUR', charges: [{ id: 't', label: 'Fee', how: 'per-order' as const, each: '0.5' }] },
    ];
    const one = { id: 'A', label: 'Alder', plans: [{ plan: 'pa', term: 'm' }] };
    const pricing = preparePricing(
      decision(charge, {
        processors,
        candidates: [one, { ...one, id: 'B' }, { ...one, id: 'C', payments: [{ use: 'tally', cards: ['international'] }, { use: 'own' }] }],
      }),
    );
    const [a, b, c] = prepareCandidates(pricing);
    expect(a?.charges[0]).toBe(b?.charges[0]);
    expect(c?.charges[0]).not.toBe(a?.charges[0]);
    expect(compileCandidates(pricing).map(({ charges }) => charges[0]?.growing[0])).toEqual([100, 100, 80]);
  });

  it('cannot be chosen with a must not met or a price not known, and have limits moved by add-ons', () => {
    const charge: Charge = { ...base, how: 'per-order', each: '1' };
    const file = decision(charge, { needs: [{ feature: 'x', level: 'must' }] });
    expect(prepareCandidates(preparePricing(file))[0]?.canBeChosen).toBe(false);
    const [alder] = kiteDecision().offers;
    const limited = decision(charge, {
      offers: [
        {
          ...decision(charge).offers[0],
          addons: [{ id: 'more', label: 'More', currency: 'EUR', raises: { orders: '25' } }],
          plans: [{ ...decision(charge).offers[0]?.plans[0], limits: { orders: '60' } }],
        },
      ] as DecisionFile['offers'],
      candidates: [{ id: 'A', label: 'Alder', plans: [{ plan: 'pa', term: 'm' }], addons: [{ addon: 'more', count: 2 }] }],
    });
    expect(alder?.id).toBe('a');
    expect(prepareCandidates(preparePricing(limited))[0]?.limits).toEqual([
      { quantity: 'orders', charge: null, currency: 'USD', most: 110 },
    ]);
    const [compiled] = compileCandidates(preparePricing(limited));
    expect(compiled?.usableUpTo).toBeCloseTo(1.1, 9);
  });
});

describe('many points', () => {
  it('have a lift in their orders and their limits, and the first of equals leads', () => {
    const charge: Charge = { ...base, how: 'per-order', each: '1', free: '50' };
    const one = { id: 'A', label: 'Alder', plans: [{ plan: 'pa', term: 'm' }] };
    const pricing = preparePricing(decision(charge, { candidates: [one, { ...one, id: 'B' }, { ...one, id: 'C', lift: '50' }] }));
    const points = evaluator(pricing, prepareCandidates(pricing));
    points.setLevel(statedLevel(pricing));
    // Two months: 10 dollars and a dollar for each order beyond 50, at 0.6 euros with tax.
    expect([...points.at(1).totals]).toEqual([72, 72, 132]);
    expect(cheapestOf(points.at(1))).toBe(0);
    // At half the orders nothing is beyond; C still has 75.
    expect([...points.at(0.5).totals]).toEqual([12, 12, 42]);
    expect(cheapestOf({ totals: new Float64Array([5, 3, 3]), usable: new Uint8Array([1, 0, 1]) })).toBe(2);
    expect(cheapestOf({ totals: new Float64Array([5]), usable: new Uint8Array([0]) })).toBe(-1);
  });
});

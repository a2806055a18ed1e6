import { describe, expect, it } from 'vitest';
import type { Charge } from '../decision-file/price-sheet-schema';
import { preparePricing } from '../pricing/pricing';
import { kiteDecision } from '../tests/kite-decision';
import type { DecisionFile } from '../decision-file/schema';
import { valuesAt } from './form-values';
import { statedAssumptions } from './pricing-assumptions';
import type { Form } from './level-form';
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

const base = { id: 'f', label: 'Fee' } as const;

/** The form of the charge at the stated level, and what it comes to in the second month at a scale, in dollars. */
function formOf(charge: Charge) {
  const pricing = preparePricing(decision(charge));
  const [compiled] = compileCandidates(pricing)[0]?.charges ?? [];
  if (!compiled) throw new Error('a charge is expected');
  return { ...compiled, at: (scale: number) => valuesAt(compiled.form, 2, scale)[1] };
}

describe('a charge’s form at a level', () => {
  // Order values are 22 dollars, 20 without tax; a dollar is worth half a euro, and taxed by a fifth.
  it.each<[name: string, charge: Charge, is: Form['is'], atOne: number, atTwo: number]>([
    ['per order', { ...base, how: 'per-order', percent: '5', each: '0.3' }, 'line', 140, 280],
    ['per order of net values', { ...base, how: 'per-order', percent: '5', of: 'net' }, 'line', 100, 200],
    ['per order that is not refunded', { ...base, how: 'per-order', each: '1', refund: 'returned' }, 'line', 96, 192],
    ['per order, of cards from abroad', { ...base, how: 'per-order', each: '1', only: { cards: ['international'] } }, 'line', 20, 40],
    ['per order, not above', { ...base, how: 'per-order', percent: '50', most: '3' }, 'line', 300, 600],
    ['per order, not below', { ...base, how: 'per-order', percent: '5', least: '2' }, 'line', 200, 400],
    ['per order beyond some', { ...base, how: 'per-order', each: '1', free: '130' }, 'scaled', 0, 70],
    [
      'per order beyond so many per label',
      { ...base, how: 'per-order', each: '1', free: { per: 'labels', ratio: '0.1' } },
      'scaled',
      80,
      160,
    ],
    ['per unit of sales', { ...base, how: 'per-unit', on: 'sales', percent: '2' }, 'line', 44, 88],
    ['per contact beyond some', { ...base, how: 'per-unit', on: 'contacts', each: '0.1', free: '100' }, 'line', 40, 40],
    ['in packages of labels', { ...base, how: 'package', on: 'labels', size: '150', each: '4' }, 'scaled', 8, 12],
    [
      'by bands, each part at its own',
      {
        ...base,
        how: 'graduated',
        bands: [
          { upTo: '150', each: '1' },
          { upTo: null, each: '3', flat: '5' },
        ],
      },
      'bands',
      100,
      305,
    ],
    [
      'by bands, all at one',
      {
        ...base,
        how: 'volume',
        bands: [
          { upTo: '150', each: '1' },
          { upTo: null, each: '3', flat: '5' },
        ],
      },
      'bands',
      100,
      605,
    ],
    ['at least so much', { ...base, how: 'per-order', each: '1', monthlyMin: '150' }, 'at-least', 150, 200],
    ['at most so much', { ...base, how: 'per-order', each: '1', monthlyCap: '150' }, 'at-most', 100, 150],
    // 100 in the first month leave 20 of 120 for the second; at the scale 2 nothing is left.
    ['at most so much in all', { ...base, how: 'per-order', each: '1', totalCap: '120' }, 'increase', 20, 0],
    ['only until the first month', { ...base, how: 'per-order', each: '1', until: '2027-01' }, 'line', 0, 0],
  ])('%s', (_name, charge, is, atOne, atTwo) => {
    const { form, weight, at } = formOf(charge);
    expect(form.is).toBe(is);
    expect(weight).toBeCloseTo(0.6, 12);
    expect(at(1)).toBeCloseTo(atOne, 9);
    expect(at(2)).toBeCloseTo(atTwo, 9);
  });

  it('a credit is in the seller’s favour', () => {
    expect(formOf({ ...base, how: 'per-order', each: '1', credit: true }).weight).toBeCloseTo(-0.6, 12);
  });

  it('a credit against the plan pays its bills from the month after on, as far as they go', () => {
    // 10 dollars a month for the plan; 0.05 of each of 100 orders is 5 dollars a month, at the scale 3 more than the bill.
    const { form, at } = formOf({ ...base, how: 'per-order', each: '0.05', credit: true, against: 'plan' });
    expect([...valuesAt(form, 2, 1)]).toEqual([0, 5]);
    expect(at(3)).toBe(10);
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
    expect(a?.charges[0]?.amount).toBe(b?.charges[0]?.amount);
    expect(c?.charges[0]?.amount).not.toBe(a?.charges[0]?.amount);
    expect(compileCandidates(pricing).map(({ charges: [first] }) => first && valuesAt(first.form, 2, 1)[0])).toEqual([100, 100, 80]);
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
    points.assume(statedAssumptions(pricing.file));
    // Two months: 10 dollars and a dollar for each order beyond 50, at 0.6 euros with tax.
    expect([...points.at(1).totals]).toEqual([72, 72, 132]);
    expect(cheapestOf(points.at(1))).toBe(0);
    // At half the orders nothing is beyond; C still has 75.
    expect([...points.at(0.5).totals]).toEqual([12, 12, 42]);
    expect(cheapestOf({ totals: new Float64Array([5, 3, 3]), usable: new Uint8Array([1, 0, 1]) })).toBe(2);
    expect(cheapestOf({ totals: new Float64Array([5]), usable: new Uint8Array([0]) })).toBe(-1);
  });
});

import { expect, it } from 'vitest';
import { onePlan, withPlan } from '../tests/one-plan';
import { partName, sourceName } from './source-name';

const pricing = onePlan({
  plan: {
    once: [
      { label: 'Set-up', amount: '1' },
      { label: '', amount: '1' },
    ],
    charges: [{ id: 'c', label: 'Card fee', how: 'per-order', each: '1' }],
  },
  addons: [
    { id: 'x', label: 'Mail', currency: 'EUR', terms: [{ id: 'y', months: 12, price: '9' }] },
    { id: 'nameless', label: '', currency: 'EUR' },
  ],
  processors: [{ id: 'pay', label: 'Tally', currency: 'EUR', charges: [{ id: 'f', label: '', how: 'per-order', each: '1' }] }],
});
const candidate = withPlan({ extras: [{ label: 'Theme', amount: '5', months: 0 }] });
const name = (source: Parameters<typeof sourceName>[2]) => sourceName(pricing, candidate, source);

it('says what a line is for by the names on the price sheets', () => {
  expect(name({ kind: 'term', owner: 'plan', id: 'p', term: 't' })).toBe('Offer Plan, paid by the month');
  expect(name({ kind: 'term', owner: 'addon', id: 'x', term: 'y' })).toBe('Mail, paid by the year');
  expect(name({ kind: 'joining-fee', plan: 'p', index: 0 })).toBe('Offer Plan, Set-up');
  expect(name({ kind: 'joining-fee', plan: 'p', index: 1 })).toBe('Offer Plan, on joining');
  expect(name({ kind: 'charge', owner: 'plan', id: 'p', charge: 'c' })).toBe('Offer Plan, Card fee');
  expect(name({ kind: 'charge', owner: 'processor', id: 'pay', charge: 'f' })).toBe('Tally, f');
  expect(name({ kind: 'extra', index: 0 })).toBe('Theme');
  expect(name({ kind: 'extra', index: 4 })).toBe('another cost');
  expect([name({ kind: 'time' }), name({ kind: 'tax' })]).toEqual(['own hours', 'tax on fees']);
});

it('calls a part without a name by its id', () => {
  expect(partName(pricing, 'addon', 'nameless')).toBe('nameless');
  expect(partName(pricing, 'processor', 'pay')).toBe('Tally');
});

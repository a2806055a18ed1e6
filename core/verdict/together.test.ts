import { describe, expect, it } from 'vitest';
import type { DecisionFile } from '../decision-file/schema';
import { kiteDecision } from '../tests/kite-decision';
import { priceTogether, withOnlyStreams } from './together';

const kites = kiteDecision();
const streams: DecisionFile['forecast']['streams'] = [
  { id: 'kites', label: 'Kites', kind: 'goods', orders: '100', orderValue: '10' },
  { id: 'club', label: 'Club', kind: 'subscription', orderValue: '5', subscribers: { start: '40', joins: '3', churn: '0' } },
];
const file: DecisionFile = { ...kites, forecast: { streams } };
const birch = (more: object): DecisionFile => ({
  ...file,
  offers: file.offers.map((offer) => (offer.id === 'b' ? { ...offer, plans: offer.plans.map((plan) => ({ ...plan, ...more })) } : offer)),
});
const must = (...features: string[]) => ({ needs: features.map((feature) => ({ feature, level: 'must' as const })) });
const pair = (one: DecisionFile) => priceTogether(one, 'A', 'B', ['club']);

describe('two together', () => {
  it('are two different candidates that are there', () => {
    for (const [first, second] of [
      ['A', 'A'],
      ['A', 'Z'],
      ['Z', 'A'],
      ['Z', 'Y'],
    ] as const)
      expect(priceTogether(file, first, second, ['club'])).toBeNull();
  });

  it('are a lower bound where either has a price that is not known', () => {
    expect(pair(file)).toMatchObject({ atLeast: false, usable: true });
    expect(pair(birch({ terms: [{ id: 'm', months: 1, price: null }] }))?.atLeast).toBe(true);
  });

  it('cannot be used where either is outgrown by its own streams', () => {
    // 40 subscribers in the first month, 43 in the second and so on: 70 orders at most, and 100 kites a month go elsewhere.
    expect(pair(birch({ limits: { orders: '80' } }))?.usable).toBe(true);
    expect(pair(birch({ limits: { orders: '60' } }))?.usable).toBe(false);
  });

  it('cannot be used where neither meets a must, or it is not known whether either does', () => {
    expect(pair({ ...file, ...must('stock') })?.usable).toBe(false);
    expect(pair({ ...birch({ features: { stock: true } }), ...must('stock') })?.usable).toBe(true);
    expect(pair({ ...birch({ features: { stock: null } }), ...must('stock') })?.usable).toBe(false);
    expect(pair({ ...birch({ features: { stock: true } }), ...must('stock', 'books') })?.usable).toBe(false);
  });

  it('an extra of the second that the first has too is paid for once; its own is paid for', () => {
    const theme = { label: 'Theme', amount: '60', months: 0 };
    const own = { label: 'Photos', amount: '7', months: 0 };
    const candidates = kites.candidates.map((one) => ({ ...one, extras: one.id === 'A' ? [theme] : [theme, own] }));
    const [plain, together] = [pair(file), pair({ ...file, candidates })];
    expect(together?.once).toEqual(['Theme']);
    expect(Number(together?.each[0]) - Number(plain?.each[0])).toBe(60);
    expect(Number(together?.each[1]) - Number(plain?.each[1])).toBe(7);
  });

  it('a plan that both have is counted twice, and named', () => {
    const candidates = kites.candidates.map((one) => ({ ...one, plans: [...one.plans, { plan: 'pa', term: 'm' }] }));
    expect(pair({ ...file, candidates })?.twice).toEqual(['Alder Plan']);
  });
});

it('streams that are left out sell nothing, and stay where they are', () => {
  expect(withOnlyStreams(file, ['club']).forecast.streams).toEqual([
    { id: 'kites', label: 'Kites', kind: 'goods', orders: '0', orderValue: '10' },
    streams[1],
  ]);
  expect(withOnlyStreams(file, ['kites']).forecast.streams[1]).toEqual({
    id: 'club',
    label: 'Club',
    kind: 'subscription',
    orderValue: '5',
    subscribers: { start: '0', joins: '0', churn: '0' },
  });
});

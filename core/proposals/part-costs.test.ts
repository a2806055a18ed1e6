import { describe, expect, it } from 'vitest';
import type { Addon, Plan } from '../decision-file/price-sheet-schema';
import type { DecisionFile } from '../decision-file/schema';
import { kitesWith } from '../tests/kites-with';
import {
  addonCharges,
  addonChoices,
  costOf,
  mustsMet,
  NO_COST,
  planPart,
  sumOfCosts,
  termCost,
  unknownAddonTerm,
  unknownTerm,
} from './part-costs';

const addon = (more: Partial<Addon> = {}): Addon => ({
  id: 'x',
  label: 'X',
  currency: 'EUR',
  terms: [{ id: 't', months: 1, price: '3' }],
  ...more,
});
const withAddon = (one: Addon, more: Partial<DecisionFile> = {}) => kitesWith({}, { addons: [one], ...more });
const fee = (percent: string | null, more = {}) => ({ id: 'f', label: 'Fee', how: 'per-order' as const, percent, ...more });

describe('what a plan costs apart from its term', () => {
  it('are its charges and those of the processor, in minor units, hours and extras included', () => {
    const { pricing, plan } = kitesWith();
    // 12 × 5 % of 1,000.
    expect(planPart(pricing, [plan], 'own')).toEqual({
      payments: 'own',
      charges: { total: 60_000, taxed: null, hasCredit: false },
      lift: undefined,
      short: new Map(),
      unmet: [],
    });
    const cards = { id: 'cards', label: 'Cards', currency: 'EUR', charges: [fee('1', { id: 'c', bucket: 'payment' })] };
    const through = kitesWith(
      {},
      { processors: [cards] },
      { hours: { setup: '2', monthly: '0.5' }, extras: [{ label: 'Theme', amount: '7', months: 0 }] },
    );
    // 12 × 1 % more; 2 + 6 hours at 20; 7 for the theme.
    expect(planPart(through.pricing, [through.plan], 'cards')?.charges.total).toBe(60_000 + 12_000 + 16_000 + 700);
  });

  it('with what comes on top by month where it is quoted without tax', () => {
    const { pricing, plan } = kitesWith({ taxExcluded: true }, { months: 2, feeTax: '20' });
    expect(planPart(pricing, [plan], 'own')?.charges).toEqual({ total: 10_000, taxed: [5000, 5000], hasCredit: false });
    const credit = kitesWith({ charges: [fee('1', { credit: true })] }, { months: 2 });
    expect(planPart(credit.pricing, [credit.plan], 'own')?.charges).toEqual({ total: -2000, taxed: null, hasCredit: true });
  });

  it('and by how much limits fall short at their worst, and which musts it does not meet', () => {
    const forecast: DecisionFile['forecast'] = {
      streams: [{ id: 'k', label: 'K', kind: 'goods', orders: { start: '10', add: '10' }, orderValue: '10' }],
    };
    const needs = ['shelf', 'stock', 'phone'].map((feature) => ({
      feature,
      level: feature === 'phone' ? ('want' as const) : ('must' as const),
    }));
    const { pricing, plan } = kitesWith({ limits: { orders: '100', sales: '5000' }, features: { stock: true } }, { forecast, needs });
    const part = planPart(pricing, [plan], 'own');
    expect([...(part?.short ?? [])].map(([limit, lacking]) => [limit, lacking.toFixed()])).toEqual([['orders', '20']]);
    expect(part?.unmet).toEqual([0]);
    const extras = [{ label: 'Shelf', amount: '1', months: 0, features: { shelf: true } }];
    const shelved = kitesWith({ features: { stock: true } }, { needs }, { extras });
    expect(planPart(shelved.pricing, [shelved.plan], 'own')?.unmet).toEqual([]);
  });

  it('cannot be told where a charge is not known, no term exists, or a limit nothing raises is passed', () => {
    const none = (plan: Partial<Plan>) => {
      const of = kitesWith(plan);
      return planPart(of.pricing, [of.plan], 'own');
    };
    expect(none({ charges: [fee(null)] })).toBeNull();
    expect(none({ terms: [] })).toBeNull();
    expect(none({ yearlyLimits: { orders: '100' } })).toBeNull();
    expect(none({ yearlyLimits: { orders: '1200' } })).not.toBeNull();
  });

  it('of two plans together is that of both', () => {
    const { pricing, plan } = kitesWith();
    const both = planPart(pricing, [plan, pricing.plan('pb').plan], 'own');
    expect(both?.charges.total).toBe(60_000 + 12_000);
  });
});

describe('what terms cost', () => {
  it('is what is paid over the horizon, joining fees included', () => {
    const { pricing, plan } = kitesWith({ once: [{ label: 'Joining', amount: '5' }] });
    expect(termCost(pricing, plan, 'm').total).toBe(12_000 + 500);
    expect(termCost(pricing, plan, 'y').total).toBe(9600 + 500);
  });

  it('less a credit that only pays for the plan', () => {
    const credit = fee('0.4', { id: 'k', credit: true, against: 'plan' });
    const { pricing, plan } = kitesWith({ charges: [fee('5'), credit] });
    // 4 a month, from the second payment on: 11 × 4 of 120.
    expect(termCost(pricing, plan, 'm').total).toBe(12_000 - 4400);
    expect(planPart(pricing, [plan], 'own')?.charges.total).toBe(60_000);
  });

  it('less more of that credit where the offer brings more orders, and no other credit', () => {
    const credit = fee('0.4', { id: 'k', credit: true, against: 'plan' });
    const lifted = kitesWith({ charges: [fee('5'), credit] }, {}, { lift: '10' });
    expect(termCost(lifted.pricing, lifted.plan, 'm').total).toBe(12_000 - 4840);
    const asCash = kitesWith({ charges: [fee('5'), fee('0.4', { id: 'k', credit: true })] });
    expect(termCost(asCash.pricing, asCash.plan, 'm').total).toBe(12_000);
    const open = kitesWith({ charges: [{ ...fee('5'), percent: null }, credit] });
    expect(termCost(open.pricing, open.plan, 'm').total).toBe(12_000 - 4400);
    const without = kitesWith({ charges: undefined });
    expect(termCost(without.pricing, without.plan, 'm').total).toBe(12_000);
  });

  it('may not be known', () => {
    const { pricing, plan } = kitesWith({
      terms: [
        { id: 'm', months: 1, price: '1' },
        { id: 'q', months: 3, price: null },
      ],
    });
    expect([unknownTerm(pricing, plan, 'm'), unknownTerm(pricing, plan, 'q')]).toEqual([false, true]);
    const of = addon({
      terms: [
        { id: 't', months: 1, price: '3' },
        { id: 'q', months: 3, price: null },
      ],
    });
    const sold = withAddon(of).pricing;
    expect([unknownAddonTerm(sold, of, 't'), unknownAddonTerm(sold, of, 'q')]).toEqual([false, true]);
  });
});

describe('what an add-on costs', () => {
  const own = { payments: 'own', lift: undefined };

  it('are its charges, more of them with more orders', () => {
    const one = addon({ charges: [fee('1')] });
    const { pricing } = withAddon(one);
    expect(addonCharges(pricing, one, own)?.total).toBe(12_000);
    expect(addonCharges(pricing, one, { ...own, lift: '10' })?.total).toBe(13_200);
  });

  it('cannot be told where one is not known, or it is not sold for so much', () => {
    const unknown = addon({ charges: [fee(null)] });
    expect(addonCharges(withAddon(unknown).pricing, unknown, own)).toBeNull();
    const bands = (upTo: string) =>
      addon({ charges: [{ id: 'b', label: 'B', how: 'volume', on: 'orders', bands: [{ upTo, flat: '4' }] }] });
    expect(addonCharges(withAddon(bands('99')).pricing, bands('99'), own)).toBeNull();
    expect(addonCharges(withAddon(bands('100')).pricing, bands('100'), own)?.total).toBe(4800);
  });

  it('and its terms, each with a known price, so many times', () => {
    const one = addon({
      terms: [
        { id: 't', months: 1, price: '3' },
        { id: 'y', months: 12, price: '30' },
        { id: 'q', months: 3, price: null },
      ],
    });
    const { pricing } = withAddon(one);
    const charges = { total: 50, taxed: null, hasCredit: false };
    const told = (count: number) =>
      addonChoices(pricing, one, count, charges, own).map(({ term, count: of, cost }) => [term, of, cost.total]);
    expect(told(2)).toEqual([
      ['t', 2, 7250],
      ['y', 2, 6050],
    ]);
    expect(told(1)).toEqual([
      ['t', 1, 3650],
      ['y', 1, 3050],
    ]);
    const free = addon({ id: 'z', terms: [] });
    expect(addonChoices(pricing, free, 1, charges, own)).toEqual([{ addon: free, term: undefined, count: 1, cost: charges }]);
  });

  it('meets musts by their position', () => {
    const needs = ['a', 'b', 'c'].map((feature) => ({ feature, level: feature === 'b' ? ('want' as const) : ('must' as const) }));
    const { pricing } = kitesWith({}, { needs });
    expect(mustsMet(pricing, { a: false, b: true, c: true })).toEqual([1]);
    expect(mustsMet(pricing, undefined)).toEqual([]);
  });
});

describe('parts together', () => {
  it('add up by month, whichever of them is taxed', () => {
    const [plain, taxed] = [
      { total: 5, taxed: null, hasCredit: false },
      { total: 7, taxed: [3, 4], hasCredit: true },
    ];
    expect(sumOfCosts(plain, taxed)).toEqual({ total: 12, taxed: [3, 4], hasCredit: true });
    expect(sumOfCosts(taxed, plain)).toEqual({ total: 12, taxed: [3, 4], hasCredit: true });
    expect(sumOfCosts(taxed, taxed)).toEqual({ total: 14, taxed: [6, 8], hasCredit: true });
    expect(sumOfCosts(plain, NO_COST)).toEqual(plain);
  });

  it('are added up from lines of a ledger', () => {
    const { pricing } = kitesWith({}, { months: 3 });
    const line = (units: number, month: number, taxExcluded: boolean) => ({ inBase: { units, digits: 2 }, month, taxExcluded }) as never;
    expect(costOf(pricing, [line(500, 1, true), line(-20, 2, false), line(70, 1, true)])).toEqual({
      total: 550,
      taxed: [0, 570, 0],
      hasCredit: true,
    });
    expect(costOf(pricing, [])).toEqual(NO_COST);
  });
});

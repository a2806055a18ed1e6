import { describe, expect, it } from 'vitest';
import type { DecisionFile } from '../decision-file/schema';
import { monthlyPlans } from '../tests/monthly-plans';
import { withPrice } from '../what-if/open-prices';
import { chancesOf } from './chances';
import { worthKnowing } from './finding-out';
import { futurePricing } from './future-pricing';
import { FutureRun } from './futures';
import { type Uncertain, uncertainsOf } from './uncertain';

/** A is known, 10 a month; of B something is not. */
const known = monthlyPlans({ A: ['10', '0'], B: ['0', '0'] });

function withPlanB(change: object, more: Partial<DecisionFile> = {}): DecisionFile {
  return {
    ...known,
    ...more,
    offers: known.offers.map((offer) =>
      offer.id === 'oB' ? { ...offer, plans: offer.plans.map((plan) => ({ ...plan, ...change })) } : offer,
    ),
  };
}

function futuresOf(file: DecisionFile, uncertain: readonly Uncertain[]) {
  const run = new FutureRun(file, uncertain, 7, 10_000);
  run.add(10_000);
  return run.sofar();
}

const ofKind = (file: DecisionFile, kind: Uncertain['kind'], stated: Parameters<typeof uncertainsOf>[1] = {}) =>
  uncertainsOf(file, stated).filter((one) => one.kind === kind);

describe('a price that nobody knows', () => {
  const open = withPlanB({ terms: [{ id: 'm', months: 1, price: null }] });
  const key = 'price:pB term m';

  it('is anything in its range, as likely everywhere', () => {
    const uncertain = ofKind(open, 'price', { ranges: { [key]: ['0', '20'] } });
    expect(uncertain).toMatchObject([{ key, unit: 'amount', low: 0, high: 20, isStated: true }]);
    const futures = futuresOf(open, uncertain);
    const [a, b] = ['A', 'B'].map((id) => chancesOf(futures).candidates.find((one) => one.id === id));
    expect(b?.first).toBeCloseTo(0.5, 1);
    // Twelve months at 2 to 18 in eight of ten futures.
    expect([b?.low, b?.middle, b?.high].map((cost) => Math.round((cost ?? 0) / 12))).toEqual([2, 10, 18]);
    // 10 less an even price between 0 and 20, where that is above nothing: 2.5 a month, and 9.5 or more in one of twenty.
    expect((a?.givesAway ?? 0) / 30).toBeCloseTo(1, 1);
    expect((a?.atWorst ?? 0) / (12 * 9)).toBeCloseTo(1, 1);
  });

  it('is worth asking for as much as the choice without it gives away', () => {
    const [worth] = worthKnowing(futuresOf(open, ofKind(open, 'price', { ranges: { [key]: ['0', '20'] } })));
    expect(worth?.key).toBe(key);
    expect((worth?.worth ?? 0) / 30).toBeCloseTo(1, 1);
  });

  it('is worth nothing where it cannot change who is best', () => {
    expect(worthKnowing(futuresOf(open, ofKind(open, 'price', { ranges: { [key]: ['11', '20'] } })))).toEqual([{ key, worth: 0 }]);
  });

  it.each([
    ['a share of sales', { id: 'f', label: 'Fee', how: 'per-order', percent: null }, '2.5'],
    ['a least fee', { id: 'f', label: 'Fee', how: 'per-order', percent: '1', least: null }, '0.35'],
    ['so much each', { id: 'f', label: 'Fee', how: 'per-unit', on: 'orders', each: null, free: '30' }, '0.2'],
    ['a cap', { id: 'f', label: 'Fee', how: 'per-order', percent: '5', monthlyCap: null }, '40'],
    [
      'a band',
      {
        id: 'f',
        label: 'Fee',
        how: 'graduated',
        on: 'orders',
        bands: [
          { upTo: '50', each: '0.1' },
          { upTo: null, each: null },
        ],
      },
      '0.3',
    ],
  ])('costs what it would if it were entered: %s', (_, charge, price) => {
    const file = withPlanB({ charges: [charge] });
    const future = futurePricing(file);
    future.prices.get('f')?.fill(Number(price));
    future.run();
    const entered = futurePricing(withPrice(file, 'f', price));
    entered.run();
    expect(future.canBeChosen).toEqual([true, true]);
    expect(future.totals[1]).toBeGreaterThan(1);
    expect(future.totals[1]).toBeCloseTo(entered.totals[1] ?? NaN, 9);
  });

  it('costs what it would if it were entered: a term that renews at it, in another currency, with tax', () => {
    const term = { id: 'm', months: 12, price: '100', renewal: { months: 6, price: null } };
    const file = withPlanB({ terms: [term], currency: 'GBP', taxExcluded: true }, { months: 30, rates: { GBP: '1.2' }, feeTax: '20' });
    const future = futurePricing(file);
    future.prices.get('pB term m')?.fill(70);
    future.run();
    // 100 for a year, then three times 70, all in pounds with a fifth on top.
    expect(future.totals[1]).toBeCloseTo((100 + 3 * 70) * 1.2 * 1.2, 6);
  });
});

describe('an answer that nobody knows', () => {
  const open = withPlanB({ terms: [{ id: 'm', months: 1, price: '4' }] }, { needs: [{ feature: 'blog', level: 'must' }] });
  const file = { ...open, offers: open.offers.map((offer) => (offer.id === 'oA' ? withBlog(offer) : offer)) };

  it('bars its candidate in as many futures as said', () => {
    const answers = ofKind(file, 'answer', { settings: { spreads: { 'answer:pB blog': '30' } } });
    expect(answers).toMatchObject([{ key: 'answer:pB blog', label: 'B B: blog', low: 30, isStated: true }]);
    const { candidates, best } = chancesOf(futuresOf(file, answers));
    const b = candidates.find(({ id }) => id === 'B');
    expect(b?.first).toBeCloseTo(0.3, 1);
    expect(b?.lacking).toBeCloseTo(0.7, 1);
    expect(b?.limit).toBeNull();
    expect(best).toBe('A');
  });

  it('is worth what the cheaper one saves where it is yes', () => {
    const answers = ofKind(file, 'answer');
    expect(answers[0]?.low).toBe(50);
    const [worth] = worthKnowing(futuresOf(file, answers));
    // Half of the time 6 less in each of twelve months.
    expect((worth?.worth ?? 0) / 36).toBeCloseTo(1, 1);
  });

  it.each([
    ['0', ['A']],
    ['100', ['B']],
  ])('is certain at %s', (likely, firsts) => {
    const answers = ofKind(file, 'answer', { settings: { spreads: { 'answer:pB blog': likely } } });
    const futures = futuresOf(file, answers);
    expect(
      chancesOf(futures)
        .candidates.filter(({ first }) => first === 1)
        .map(({ id }) => id),
    ).toEqual(firsts);
    expect(worthKnowing(futures)[0]?.worth).toBe(0);
  });
});

function withBlog(offer: DecisionFile['offers'][number]): DecisionFile['offers'][number] {
  return { ...offer, plans: offer.plans.map((plan) => ({ ...plan, features: { blog: true } })) };
}

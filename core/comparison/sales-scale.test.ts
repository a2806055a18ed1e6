import { readFileSync } from 'node:fs';
import { describe, expect, it } from 'vitest';
import { readDecisionFile } from '../decision-file/read';
import type { DecisionFile } from '../decision-file/schema';
import { preparePricing } from '../pricing/pricing';
import { kiteDecision } from '../tests/kite-decision';
import { salesAt, salesScale } from './sales-scale';

const file = readDecisionFile(JSON.parse(readFileSync(new URL('../cases/13-larkfell.json', import.meta.url), 'utf8')));
const scaleOf = (changed: DecisionFile) => salesScale(preparePricing(readDecisionFile(changed)));

/** The example with every plan limited to so many orders a month. */
function limited(orders: string): DecisionFile {
  return {
    ...file,
    offers: file.offers.map((offer) => ({ ...offer, plans: offer.plans.map((plan) => ({ ...plan, limits: { orders } })) })),
  };
}

describe('salesScale', () => {
  it('has the joints of the product’s sketch', () => {
    const stretches = scaleOf(file)?.stretches ?? [];
    expect(stretches.map(({ candidate }) => candidate)).toEqual(['D', 'A', 'E']);
    expect(stretches.slice(0, -1).map(({ salesTo }) => Math.round(Number(salesTo)))).toEqual([2325, 6958]);
  });

  it('has a stretch for nobody where every limit is exceeded', () => {
    const stretches = scaleOf(limited('500'))?.stretches ?? [];
    expect(stretches.at(-1)?.candidate).toBeNull();
    expect(stretches.filter(({ candidate }) => candidate === null)).toHaveLength(1);
    expect(scaleOf(limited('0'))?.stretches.map(({ candidate }) => candidate)).toEqual([null]);
  });

  it('has round figures within its ends', () => {
    const scale = scaleOf(file);
    expect(scale?.ticks.map(({ sales }) => sales)).toEqual(['1000', '2000', '5000', '10000', '20000', '50000']);
    for (const { sales, scale: at } of scale?.ticks ?? []) expect(Number(salesAt(preparePricing(file), at))).toBeCloseTo(Number(sales), 1);
  });

  it('is not there without sales or candidates', () => {
    expect(scaleOf({ ...file, forecast: { streams: [] }, offers: [], candidates: [], processors: [] })).toBeNull();
    expect(scaleOf({ ...file, candidates: [] })).toBeNull();
  });
});

describe('where the scale is in doubt', () => {
  const kites = (more: Partial<DecisionFile>) => scaleOf(kiteDecision(more));

  it('is nowhere as long as everything is known and nothing outgrown', () => {
    expect(kites({})?.doubtful).toEqual([]);
  });

  it('is where somebody cheaper is outgrown', () => {
    // Birch, the cheaper one from sales of 500 (half the forecast) on, goes to 300 orders: three times the forecast.
    const [alder, birch] = kiteDecision().offers;
    const found = kites({
      offers: [
        { ...alder },
        { ...birch, plans: birch?.plans.map((plan) => ({ ...plan, limits: { orders: '300' } })) },
      ] as DecisionFile['offers'],
    })?.doubtful;
    expect(found).toHaveLength(1);
    expect(found?.[0]).toMatchObject({ candidate: 'B', why: 'outgrown', to: 10 });
    expect(found?.[0]?.from).toBeCloseTo(3, 6);
  });

  it('is where somebody may be cheaper, a price of whom is not known', () => {
    const [alder, birch] = kiteDecision().offers;
    const found = kites({
      offers: [
        { ...alder },
        {
          ...birch,
          plans: birch?.plans.map((plan) => ({ ...plan, charges: [{ id: 'fb', label: 'Fee', how: 'per-order', percent: null }] })),
        },
      ] as DecisionFile['offers'],
    })?.doubtful;
    // Without its fee Birch is 360 against 120 + 600 k: cheaper from k = 0.4 on.
    expect(found?.map(({ candidate, why, to }) => [candidate, why, to])).toEqual([['B', 'not-known', 10]]);
    expect(found?.[0]?.from).toBeCloseTo(0.4, 6);
  });

  it('does not speak of whom a must rules out', () => {
    const [alder, birch] = kiteDecision().offers;
    const features = { 'gift-cards': true };
    expect(
      kites({
        needs: [{ feature: 'gift-cards', level: 'must' }],
        offers: [{ ...alder, plans: alder?.plans.map((plan) => ({ ...plan, features })) }, { ...birch }] as DecisionFile['offers'],
      })?.doubtful,
    ).toEqual([]);
  });
});

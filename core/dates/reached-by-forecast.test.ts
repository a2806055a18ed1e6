import { describe, expect, it } from 'vitest';
import { assembleDecisionFile } from '../assembly/assemble';
import { priceDecision } from '../comparison/decision-result';
import type { Plan } from '../decision-file/price-sheet-schema';
import type { Candidate } from '../decision-file/candidate-schema';
import type { DecisionFile } from '../decision-file/schema';
import { kiteDecision } from '../tests/kite-decision';
import { workbenchOf } from '../tests/workbench-of';
import { breakEvensReached, limitsReached } from './reached-by-forecast';

const kites = kiteDecision();
/** From 10 to 120 orders of 10 a month: sales of 500 in May. Hopeful sales are a quarter more: from 12.5 to 150 orders. */
const growing = {
  streams: [{ id: 'kites', label: 'Kites', kind: 'goods' as const, orders: { start: '10', add: '10' }, orderValue: '10' }],
};
const third: Candidate = { id: 'C', label: 'Birch again', plans: [{ plan: 'pb', term: 'm' }] };

function decision(more: Partial<DecisionFile> = {}, plan: Partial<Plan> = {}): DecisionFile {
  const offers = kites.offers.map((offer) => ({
    ...offer,
    plans: offer.plans.map((one) => (offer.id === 'b' ? { ...one, ...plan } : one)),
  }));
  return { ...kites, offers, forecast: growing, ...more };
}

const limits = (file: DecisionFile, ...candidates: string[]) => {
  const workbench = workbenchOf(file);
  const { pricing } = priceDecision(assembleDecisionFile(workbench).file);
  const used = candidates.map((candidate) => ({ candidate, from: 0, months: 12 }));
  return limitsReached(workbench, pricing, used).map(({ id, on, isIfHopeful, about }) => [id, on, isIfHopeful ?? false, about]);
};
const evens = (file: DecisionFile, ...candidates: string[]) =>
  breakEvensReached(
    priceDecision(file),
    candidates.map((candidate) => ({ candidate, from: 0, months: 12 })),
  );

describe('limits that sales reach', () => {
  it('are told once each, in the first month: those of the forecast, and those only hopeful sales reach', () => {
    const file = decision({}, { limits: { orders: '75', sales: '1400' } });
    expect(limits(file, 'B')).toEqual([
      ['limit-reached.B.orders', '2027-08-01', false, 'Birch'],
      ['limit-reached.B.sales', '2027-12-01', true, 'Birch'],
    ]);
  });

  it('are told of every candidate that is used, and of none that is gone', () => {
    const file = decision({}, { limits: { orders: '75' } });
    expect(limits(file, 'A', 'B', 'Z')).toEqual([['limit-reached.B.orders', '2027-08-01', false, 'Birch']]);
    expect(limits(decision(), 'B')).toEqual([]);
  });
});

describe('break-evens that sales reach', () => {
  it('are told with what is at stake from that month on', () => {
    // May to December: 8 × 20 more for Birch's plan, 4 % of sales of 6,800 less: 112.
    expect(evens(decision(), 'A')).toEqual([
      { id: 'break-even.A.B', kind: 'break-even', on: '2027-05-01', about: 'Birch', atStake: '112.00', detail: '500.00' },
    ]);
  });

  it('have nothing at stake where the other costs more over the months after all', () => {
    // Sales pass 500 in May alone: 4 % of 510 is 20.40 saved, against eight months at 20 more for the plan.
    const may = { streams: [{ ...growing.streams[0], orders: { start: '10', set: { '2027-05': '51' } } }] } as DecisionFile['forecast'];
    expect(evens(decision({ forecast: may }), 'A')).toMatchObject([{ on: '2027-05-01', atStake: null }]);
  });

  it('are those of the one that is used: not of two others, and not of a way with moves', () => {
    const ids = (...used: string[]) => evens(decision({ candidates: [...kites.candidates, third] }), ...used).map(({ id }) => id);
    expect(ids('A')).toEqual(['break-even.A.B', 'break-even.A.C']);
    expect(ids('B')).toEqual([]);
    expect(ids('A', 'B')).toEqual([]);
    expect(ids()).toEqual([]);
  });

  it('are not those with a candidate that cannot be used or whose price is not known', () => {
    const needs = [{ feature: 'stock', level: 'must' as const }];
    const stocked = kites.offers.map((offer) => ({
      ...offer,
      plans: offer.plans.map((plan) => (offer.id === 'a' ? { ...plan, features: { stock: true } } : plan)),
    }));
    expect(evens(decision({ needs, offers: stocked }), 'A')).toEqual([]);
    const unknownFee = { id: 'x', label: 'Handling', how: 'per-order' as const, fixed: null };
    const known = kites.offers[1]?.plans[0]?.charges ?? [];
    expect(evens(decision({}, { charges: [...known, unknownFee] }), 'A')).toEqual([]);
  });
});

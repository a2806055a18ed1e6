import { describe, expect, it } from 'vitest';
import type { Charge } from '../decision-file/price-sheet-schema';
import type { DecisionFile } from '../decision-file/schema';
import { kiteDecision } from '../tests/kite-decision';
import { creditPays } from './credit-pays';

/** Alder costs 10 a month and gives back a part of sales of 1,000 a month, over a year. */
function withCredit(credit: Partial<Extract<Charge, { how: 'per-order' }>>): DecisionFile {
  const kites = kiteDecision();
  const charge: Charge = { id: 'back', label: 'Credit', how: 'per-order', percent: '0.5', credit: true, ...credit };
  return {
    ...kites,
    offers: kites.offers.map((offer) =>
      offer.id === 'a' ? { ...offer, plans: offer.plans.map((plan) => ({ ...plan, charges: [...(plan.charges ?? []), charge] })) } : offer,
    ),
  };
}

describe('a credit that grows with sales', () => {
  it.each([
    ['as cash', {}],
    ['only against the plan', { against: 'plan' as const }],
  ])('pays for the plan from twice the sales on, where half is earned now: %s', (_name, more) => {
    const [pays, ...others] = creditPays(withCredit(more));
    expect(others).toEqual([]);
    expect(pays).toMatchObject({ vendor: 'Alder', candidate: 'A', plan: 'Plan', cost: '120.00', earned: '60.00' });
    // Half a cent less earned rounds up to enough.
    expect(Math.abs(Number(pays?.monthlySales) - 2000)).toBeLessThanOrEqual(1);
  });

  it('that pays already does so at the lowest level looked at', () => {
    expect(creditPays(withCredit({ percent: '50' }))[0]?.monthlySales).toBe('50.00');
  });

  it('that stays too small never pays', () => {
    expect(creditPays(withCredit({ percent: '0.01' }))[0]).toMatchObject({ earned: '1.20', monthlySales: null });
  });

  it('is not told of plans without one', () => {
    expect(creditPays(kiteDecision())).toEqual([]);
  });
});

import { describe, expect, it } from 'vitest';
import { preparePricing } from '../pricing/pricing';
import { kiteDecision } from '../tests/kite-decision';
import { lostByMoving } from './lost-subscribers';

describe('what moving loses', () => {
  const pricing = preparePricing(
    kiteDecision({
      months: 3,
      forecast: {
        streams: [
          {
            id: 'club',
            label: 'Club',
            kind: 'subscription',
            // 10.00 of 11.90 is net; half of it is left, and a tenth of that goes back.
            orderValue: '11.90',
            salesTax: '19',
            margin: '50',
            refunds: '10',
            subscribers: { start: '100', joins: '20', churn: '10', every: 2 },
          },
        ],
      },
    }),
  );

  it('is a share of those who subscribed the month before, with what each would have brought', () => {
    const lost = lostByMoving(pricing, '5');
    // Each month brings 10 × 0.5 × 0.9 ÷ 2 = 2.25. In month 1 two are left: 2.25 + 0.9 × 2.25; 5 % of 100 subscribers.
    expect(lost(1)).toBe(2138);
    // In month 2 the last one: 5 % of 100 × 0.9 + 20 = 110.
    expect(lost(2)).toBe(1238);
  });

  it('is nothing where nobody is lost', () => {
    expect(lostByMoving(pricing, '0')(1)).toBe(0);
  });
});

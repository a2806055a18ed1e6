import { expect, it } from 'vitest';
import { onePlan } from '../tests/one-plan';
import { forecastWith } from './pricing';
import { withPlan } from '../tests/one-plan';
import { keptMonths } from './kept-months';

it('is what net sales leave after goods and refunds, of all streams', () => {
  const pricing = onePlan({
    file: {
      months: 2,
      forecast: {
        streams: [
          {
            id: 's',
            label: 's',
            kind: 'goods',
            orders: { start: '10', add: '5' },
            orderValue: '12',
            salesTax: '20',
            margin: '50',
            refunds: '10',
          },
          { id: 'z', label: 'z', kind: 'digital', orders: '2', orderValue: '5' },
        ],
      },
    },
  });
  // 10 × 10 × 50 % × 90 % = 45, then 67.50; and 2 × 5.
  expect(keptMonths(forecastWith(pricing, withPlan())).map((kept) => kept.toFixed())).toEqual(['55', '77.5']);
});

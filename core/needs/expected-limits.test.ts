import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { priceDecision } from '../comparison/decision-result';
import { readDecisionFile } from '../decision-file/read';
import { expectedLimits } from './expected-limits';

const LIMITED = ['orders', 'sales', 'subscribers', 'visits'] as const;

/** One plan in another currency that limits one thing, and a forecast that grows and has a season. */
const fileArbitrary = fc
  .record({
    quantity: fc.constantFrom(...LIMITED),
    limit: fc.integer({ min: 1, max: 4000 }),
    growth: fc.integer({ min: -5, max: 12 }),
    start: fc.integer({ min: 1, max: 300 }),
    rate: fc.constantFrom('0.5', '1.25'),
    currency: fc.constantFrom('EUR', 'USD'),
  })
  .map(({ quantity, limit, growth, start, rate, currency }) =>
    readDecisionFile({
      format: 'venalis.decision',
      version: 1,
      name: 'q',
      currency: 'EUR',
      start: '2027-03',
      months: 20,
      rates: { USD: rate },
      forecast: {
        streams: [
          {
            id: 's',
            label: 's',
            kind: 'goods',
            orders: {
              start: String(start),
              growth: String(growth),
              season: ['1', '1', '0.5', '1', '2', '1', '1', '1', '1', '1', '1', '3'],
            },
            orderValue: '12.5',
          },
          { id: 'c', label: 'c', kind: 'subscription', orderValue: '9', subscribers: { start: String(start), joins: '4', churn: '3' } },
        ],
        drivers: { visits: { per: 'orders', ratio: '3.5' } },
      },
      offers: [
        {
          id: 'o',
          vendor: 'v',
          label: 'v',
          kind: 'k',
          plans: [
            {
              id: 'p',
              label: 'p',
              currency,
              terms: [{ id: 't', months: 1, price: '1' }],
              limits: { [quantity]: String(limit), 'nobody-counts-this': '1' },
            },
          ],
        },
      ],
      candidates: [{ id: 'A', label: 'A', plans: [{ plan: 'p', term: 't' }] }],
    }),
  );

describe('limits that come from expected sales', () => {
  it('are exceeded in the very month in which a candidate of that plan is outgrown', () => {
    fc.assert(
      fc.property(fileArbitrary, (file) => {
        const [result] = priceDecision(file).result.candidates;
        const limits = expectedLimits(file);
        expect(limits).toHaveLength(1);
        expect(limits[0]?.plans[0]?.outgrown ?? null).toBe(result?.outgrown?.month ?? null);
      }),
    );
  });

  it('have their largest month within the horizon', () => {
    fc.assert(
      fc.property(fileArbitrary, (file) => {
        const months = priceDecision(file).result.months;
        for (const { most, month } of expectedLimits(file)) {
          expect(months).toContain(month);
          expect(Number(most)).toBeGreaterThanOrEqual(0);
        }
      }),
      { numRuns: 30 },
    );
  });
});

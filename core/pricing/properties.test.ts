import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { decimal, sum } from '../amount/decimal';
import { breakdownOf } from '../comparison/breakdown';
import { priceDecision } from '../comparison/decision-result';
import { readDecisionFile } from '../decision-file/read';
import type { Charge } from '../decision-file/price-sheet-schema';
import type { DecisionFile } from '../decision-file/schema';
import { randomDecision } from '../tests/random-decision';

const price = (file: DecisionFile, scale?: string) =>
  priceDecision(readDecisionFile(file), scale === undefined ? undefined : decimal(scale));

describe('rules that hold for every decision', () => {
  it('a total is the sum of its buckets and of its months, and its breakdown adds up to it', () => {
    fc.assert(
      fc.property(randomDecision, (file) => {
        const priced = price(file);
        for (const { id, total, buckets, monthly } of priced.result.candidates) {
          expect(sum(Object.values(buckets).map(decimal)).toFixed(2)).toBe(total);
          expect(sum(monthly.map(decimal)).toFixed(2)).toBe(total);
          const breakdown = breakdownOf(priced, id);
          expect(sum((breakdown?.parts ?? []).map((part) => decimal(part.total))).toFixed(2)).toBe(total);
        }
      }),
      { numRuns: 60 },
    );
  });

  it('a limit more never makes a candidate usable', () => {
    fc.assert(
      fc.property(randomDecision, fc.integer({ min: 0, max: 400 }), (file, most) => {
        const usable = price(file).result.candidates.map((one) => one.usable);
        const offers = file.offers.map((offer) => ({
          ...offer,
          plans: offer.plans.map((plan) => ({ ...plan, limits: { ...plan.limits, contacts: String(most) } })),
        }));
        price({ ...file, offers }).result.candidates.forEach((one, index) => expect(one.usable && !usable[index]).toBe(false));
      }),
      { numRuns: 40 },
    );
  });

  it('a dearer renewal price never makes a total smaller', () => {
    fc.assert(
      fc.property(randomDecision, (file) => {
        const offers = file.offers.map((offer) => ({
          ...offer,
          plans: offer.plans.map((plan) => ({
            ...plan,
            terms: plan.terms.map((term) => ({
              ...term,
              price: decimal(term.price ?? 0)
                .plus(5)
                .toFixed(),
            })),
          })),
        }));
        const dearer = price({ ...file, offers }).result.candidates;
        price(file).result.candidates.forEach(({ total }, index) => expect(decimal(dearer[index]?.total ?? 0).gte(total)).toBe(true));
      }),
      { numRuns: 40 },
    );
  });

  it('a dearer rate never makes a total smaller', () => {
    fc.assert(
      fc.property(randomDecision, (file) => {
        const dearer = (charge: Charge): Charge => {
          if (charge.how === 'graduated' || charge.how === 'volume')
            return {
              ...charge,
              bands: charge.bands.map((band) => ({
                ...band,
                each: decimal(band.each ?? 0)
                  .plus('0.5')
                  .toFixed(),
              })),
            };
          return {
            ...charge,
            each: decimal(charge.each ?? 0)
              .plus('0.5')
              .toFixed(),
          };
        };
        const offers = file.offers.map((offer) => ({
          ...offer,
          plans: offer.plans.map((plan) => ({ ...plan, charges: (plan.charges ?? []).map(dearer) })),
        }));
        const after = price({ ...file, offers }).result.candidates;
        price(file).result.candidates.forEach(({ total }, index) => expect(decimal(after[index]?.total ?? 0).gte(total)).toBe(true));
      }),
      { numRuns: 40 },
    );
  });

  it('a purely proportional price grows with the scale', () => {
    fc.assert(
      fc.property(randomDecision, fc.integer({ min: 1, max: 12 }), (file, scale) => {
        const offers = file.offers.map((offer) => ({
          ...offer,
          plans: offer.plans.map((plan) => ({
            id: plan.id,
            label: plan.label,
            currency: 'EUR',
            terms: [{ id: 't', months: 0, price: '0' }],
            charges: [{ id: `${plan.id}-fee`, label: 'fee', how: 'per-order' as const, percent: '2.5', each: '0.3' }],
          })),
        }));
        const proportional = { ...file, hourValue: '0', feeTax: '0', offers };
        const scaled = price(proportional, String(scale)).result.candidates;
        price(proportional).result.candidates.forEach(({ total }, index) => {
          // Each of the months is rounded to the cent on its own.
          const difference = decimal(scaled[index]?.total ?? 0)
            .minus(decimal(total).times(scale))
            .abs();
          expect(
            difference.lte(
              decimal('0.005')
                .times(file.months)
                .times(scale + 1),
            ),
          ).toBe(true);
        });
      }),
      { numRuns: 40 },
    );
  });

  it('paid and spread agree where every payment ends within the horizon', () => {
    fc.assert(
      fc.property(randomDecision, (file) => {
        const offers = file.offers.map((offer) => ({
          ...offer,
          plans: offer.plans.map((plan) => ({
            ...plan,
            currency: 'EUR',
            taxExcluded: false,
            terms: [{ id: 't', months: 3, price: '100.01' }],
          })),
        }));
        const whole = { ...file, months: 24, offers };
        const total = (basis: 'paid' | 'spread') => price({ ...whole, basis }).result.candidates.map((one) => one.total);
        expect(total('spread')).toEqual(total('paid'));
      }),
      { numRuns: 30 },
    );
  });
});

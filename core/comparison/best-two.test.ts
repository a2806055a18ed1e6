import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import type { DecisionFile } from '../decision-file/schema';
import { kiteDecision } from '../tests/kite-decision';
import { randomDecision } from '../tests/random-decision';
import { readOrNull } from '../tests/read-or-null';
import { richDecision } from '../tests/rich-decision';
import { leadIn } from '../what-if/offers';
import { bestTwo } from './best-two';
import { priceDecision } from './decision-result';
import { versionTwoDecision } from '../tests/version-two-decision';

describe('the cheapest two', () => {
  it.each([
    ['with nearly everything the format has', richDecision],
    ['at random', randomDecision],
    ['of version 2', versionTwoDecision],
  ])(
    'are those that pricing everything gives: %s',
    (_name, made) => {
      fc.assert(
        fc.property(made, (one) => {
          const file = readOrNull(one);
          if (file) expect(bestTwo(file)).toEqual(leadIn(priceDecision(file)));
        }),
        { numRuns: 100 },
      );
    },
    60_000,
  );

  it('of many that differ by a cent', () => {
    const file = kiteDecision();
    const offers = file.offers.flatMap((offer) =>
      offer.id === 'a'
        ? Array.from({ length: 12 }, (_, index) => ({
            ...offer,
            id: `a${index}`,
            plans: offer.plans.map((plan) => ({
              ...plan,
              id: `p${index}`,
              terms: [{ id: 'm', months: 1, price: `1${index % 4}.0${(index * 7) % 10}` }],
              charges: plan.charges?.map((charge) => ({ ...charge, id: `f${index}` })),
            })),
          }))
        : [offer],
    );
    const candidates = Array.from({ length: 12 }, (_, index) => ({
      id: `C${index}`,
      label: `C${index}`,
      plans: [{ plan: `p${index}`, term: 'm' }],
    }));
    const many: DecisionFile = { ...file, offers, candidates };
    expect(bestTwo(many)).toEqual(leadIn(priceDecision(many)));
  });

  it('of equal ones the first in the file', () => {
    const file = kiteDecision();
    const twice = { ...file, candidates: [...file.candidates, { id: 'C', label: 'Birch again', plans: [{ plan: 'pb', term: 'm' }] }] };
    expect(bestTwo(twice)).toEqual({ first: 'B', total: '480.00', second: 'A', margin: '240.00' });
    const alone = { ...twice, candidates: twice.candidates.filter(({ id }) => id !== 'A') };
    expect(bestTwo(alone)).toEqual({ first: 'B', total: '480.00', second: 'C', margin: '0.00' });
  });

  it('where a package decides, exact arithmetic does', () => {
    const file = kiteDecision();
    const offers = file.offers.map((offer) =>
      offer.id === 'b'
        ? {
            ...offer,
            plans: offer.plans.map((plan) => ({
              ...plan,
              charges: [{ id: 'fb', label: 'Labels', how: 'package' as const, size: '33.333333333333333333', each: '100' }],
            })),
          }
        : offer,
    );
    // 100 orders are a hair more than three packages.
    expect(bestTwo({ ...file, offers })).toEqual(leadIn(priceDecision({ ...file, offers })));
  });

  it('is nobody where no candidate can be chosen', () => {
    expect(bestTwo(kiteDecision({ needs: [{ feature: 'unheard-of', level: 'must' }] }))).toBeNull();
    expect(bestTwo(kiteDecision({ candidates: [] }))).toBeNull();
  });
});

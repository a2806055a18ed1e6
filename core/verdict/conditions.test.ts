import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { decimal } from '../amount/decimal';
import { priceDecision } from '../comparison/decision-result';
import type { DecisionFile } from '../decision-file/schema';
import { kiteDecision } from '../tests/kite-decision';
import { randomDecision } from '../tests/random-decision';
import { readOrNull } from '../tests/read-or-null';
import { richDecision } from '../tests/rich-decision';
import { workbenchOf } from '../tests/workbench-of';
import { withChanges } from '../what-if/changes';
import { paidBy } from '../comparison/paid-by';
import { conditionsOf, type OtherVersion } from './conditions';
import type { Condition } from '../decision/conditions-schema';
import { conditionSchema, isOnSheetsOnly } from '../decision/conditions-schema';
import { verdictBasis } from './basis';
import { USUAL_MOVING } from '../route/moving-costs';
import { assumptionsOf } from '../what-if/assumption';

const of = (file: DecisionFile, names = {}, others: OtherVersion[] = []) =>
  conditionsOf({ workbench: workbenchOf(file), priced: priceDecision(file), others, names });
const kind = <Kind extends Condition['kind']>(all: readonly Condition[], wanted: Kind) =>
  all.filter((one): one is Extract<Condition, { kind: Kind }> => one.kind === wanted);

/** The kites with features on the plans of Alder and Birch. */
function featured(alder: Record<string, boolean>, birch: Record<string, boolean>, more: Partial<DecisionFile> = {}): DecisionFile {
  const file = kiteDecision(more);
  const features = [alder, birch];
  return {
    ...file,
    offers: file.offers.map((offer, index) => ({ ...offer, plans: offer.plans.map((plan) => ({ ...plan, features: features[index] })) })),
  };
}

describe('conditions, for Alder at 10 + 5 % and Birch at 30 + 1 %, sales of 1,000 a month', () => {
  it('the level of sales at which the cheaper one changes, in sales and orders', () => {
    expect(kind(of(kiteDecision()), 'sales')).toEqual([
      { kind: 'sales', from: null, to: { sales: '500.00', orders: '50.0000' }, isForecast: false, winner: 'A' },
      { kind: 'sales', from: { sales: '500.00', orders: '50.0000' }, to: null, isForecast: true, winner: 'B' },
    ]);
  });

  it('what only the dearer one has, and what can be done without', () => {
    const needs = [{ feature: 'stock', level: 'must' as const }];
    // Birch costs 480, Alder 720; Birch lacks stock, which is a must, and Alder lacks gift cards, which nobody asked for.
    const all = of(featured({ stock: true, gifts: false }, { stock: false, gifts: true }, { needs }), { stock: 'one stock' });
    expect(kind(all, 'need')).toEqual([]);
    expect(kind(all, 'without')).toEqual([{ kind: 'without', label: 'one stock', winner: 'B', total: '480.00', margin: '240.00' }]);
    const free = of(featured({ stock: true }, { stock: false }));
    expect(kind(free, 'need')).toEqual([
      { kind: 'need', label: 'stock', only: true, winner: 'sheet.a', plan: 'Alder Plan, by the year', total: '696.00' },
    ]);
  });

  it('what all plans paid in one way come to; who cannot be paid so is left out', () => {
    // By the year Alder costs 96 + 600; Birch has no yearly term.
    expect(kind(of(kiteDecision()), 'paid')).toEqual([
      { kind: 'paid', months: 1, winner: 'B', plan: 'Birch Plan', total: '480.00', margin: '240.00' },
      { kind: 'paid', months: 12, winner: 'A', plan: 'Alder Plan', total: '696.00' },
    ]);
  });

  it('without special offers, and only where there are any', () => {
    expect(kind(of(kiteDecision()), 'offers-gone')).toEqual([]);
    const file = kiteDecision();
    const offers = file.offers.map((offer) =>
      offer.id === 'b'
        ? offer
        : {
            ...offer,
            plans: offer.plans.map((plan) => ({
              ...plan,
              terms: [{ id: 'm', months: 1, price: '10', intro: { price: '0', periods: 12 } }],
              charges: [],
            })),
          },
    );
    // Alder costs nothing for a year, and 120 without its offer, still less than Birch's 480.
    expect(kind(of({ ...file, offers }), 'offers-gone')).toEqual([{ kind: 'offers-gone', winner: 'A', total: '120.00', margin: '360.00' }]);
  });

  it('the first year alone, and one’s own hours at nothing', () => {
    const candidates = [
      { id: 'A', label: 'Alder', plans: [{ plan: 'pa', term: 'm' }] },
      { id: 'B', label: 'Birch', plans: [{ plan: 'pb', term: 'm' }], hours: { setup: '20' } },
    ];
    // Over two years: Alder 1,440; Birch 960 and 20 hours at 20, so 1,360. In the first year Birch is at 880, Alder at 720.
    const all = of(kiteDecision({ months: 24, candidates }));
    expect(kind(all, 'first-year')).toEqual([{ kind: 'first-year', winner: 'A', total: '720.00', margin: '160.00' }]);
    expect(kind(all, 'hours-free')).toEqual([{ kind: 'hours-free', winner: 'B', total: '960.00', margin: '480.00' }]);
  });

  it('other versions of sales', () => {
    const file = kiteDecision();
    const cautious = withChanges(file, [{ key: 'orders:kites', value: '-60' }]);
    // 40 orders of 10: Alder 12 × (10 + 20) = 360, Birch 12 × (30 + 4) = 408.
    expect(kind(of(file, {}, [{ version: 'cautious', file: cautious }]), 'version')).toEqual([
      { kind: 'version', version: 'cautious', winner: 'A', total: '360.00', margin: '48.00' },
    ]);
  });

  it('says that no candidate can be chosen rather than nothing', () => {
    const all = of(kiteDecision({ needs: [{ feature: 'unheard-of', level: 'must' }] }));
    expect(kind(all, 'sales').map(({ winner }) => winner)).toEqual([null]);
    expect(kind(all, 'without')).toEqual([{ kind: 'without', label: 'unheard of', winner: 'B', total: '480.00', margin: '240.00' }]);
  });
});

describe('whatever a decision is like', () => {
  it.each([
    ['with nearly everything the format has', richDecision],
    ['at random', randomDecision],
  ])(
    'conditions can be kept, and name who costs least under them: %s',
    (_name, made) => {
      fc.assert(
        fc.property(made, (one) => {
          const file = readOrNull(one);
          if (!file) return;
          const all = of(file);
          for (const condition of all) expect(conditionSchema.safeParse(condition).error?.issues).toBeUndefined();
          for (const { months, winner, total } of kind(all, 'paid')) {
            const results = priceDecision(paidBy(file, months)).result.candidates.filter(
              ({ usable, unknown }) => usable && unknown.length === 0,
            );
            const own = results.find(({ id }) => id === winner)?.total;
            // What is on the sheets without being a candidate may be better than every candidate.
            if (winner === null || !isOnSheetsOnly(winner)) expect(total).toBe(winner === null ? undefined : (own ?? 'missing'));
            if (total !== undefined) expect(results.every((result) => decimal(result.total).gte(total))).toBe(true);
          }
          const varied = assumptionsOf(file).map((assumption) => ({ assumption, low: assumption.usual[0], high: assumption.usual[1] }));
          const { suits } = verdictBasis(file, { workbench: workbenchOf(file), others: [], varied, moving: USUAL_MOVING, names: {} });
          const winners = new Set(kind(all, 'sales').map(({ winner }) => winner));
          expect(Object.keys(suits).every((id) => winners.has(id))).toBe(true);
        }),
        { numRuns: 15 },
      );
    },
    60_000,
  );
});

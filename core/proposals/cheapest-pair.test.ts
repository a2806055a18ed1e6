import fc from 'fast-check';
import { expect, it } from 'vitest';
import { priceCandidate } from '../comparison/candidate-result';
import { readDecisionFile } from '../decision-file/read';
import { preparePricing, type Pricing } from '../pricing/pricing';
import { cheapestPair } from './cheapest-pair';
import { totalText } from './propose';

const FEATURES = ['a', 'b', 'c'];
const cents = fc.integer({ min: 100, max: 9000 }).map((value) => (value / 100).toFixed(2));
const has = fc.subarray(FEATURES).map((list) => Object.fromEntries(list.map((feature) => [feature, true])));
const planArbitrary = fc.record({
  prices: fc.array(fc.option(cents, { freq: 8 }), { minLength: 1, maxLength: 2 }),
  features: has,
  staff: fc.integer({ min: 1, max: 4 }),
  fee: fc.option(cents),
});
const offerArbitrary = fc.record({
  plans: fc.array(planArbitrary, { minLength: 1, maxLength: 2 }),
  addon: fc.option(fc.record({ price: cents, features: has })),
});

/** A decision of a few offers with two ways of paying each plan, one add-on each, and limits that may be exceeded. */
function pricingOf(
  offers: ReadonlyArray<{
    plans: ReadonlyArray<{ prices: ReadonlyArray<string | null>; features: object; staff: number; fee: string | null }>;
    addon: { price: string; features: object } | null;
  }>,
  staff: number,
  feeTax: number,
): Pricing {
  return preparePricing(
    readDecisionFile({
      format: 'venalis.decision',
      version: 1,
      name: 'q',
      currency: 'EUR',
      start: '2027-01',
      months: 5,
      feeTax: String(feeTax),
      forecast: { streams: [{ id: 's', label: 's', kind: 'goods', orders: '7', orderValue: '11.30' }], drivers: { staff: String(staff) } },
      needs: FEATURES.map((feature) => ({ feature, level: 'must' })),
      offers: offers.map(({ plans, addon }, o) => ({
        id: `o${o}`,
        vendor: 'v',
        label: 'v',
        kind: 'k',
        plans: plans.map(({ prices, features, staff: most, fee }, p) => ({
          id: `o${o}p${p}`,
          label: 'p',
          currency: 'EUR',
          taxExcluded: p === 0,
          terms: prices.map((price, t) => ({ id: `t${t}`, months: t === 0 ? 1 : 3, price })),
          charges: fee === null ? [] : [{ id: `o${o}p${p}c`, label: 'c', how: 'per-order', each: (Number(fee) / 100).toFixed(2) }],
          limits: { staff: String(most) },
          features,
        })),
        ...(addon
          ? {
              addons: [
                {
                  id: `o${o}a`,
                  label: 'a',
                  currency: 'EUR',
                  terms: [{ id: 't', months: 1, price: addon.price }],
                  features: addon.features,
                },
              ],
            }
          : {}),
      })),
      candidates: [],
    }),
  );
}

/** The cheapest of all pairs, tried out one by one as candidates. */
function leastTried(pricing: Pricing): string | null {
  const { offers } = pricing.file;
  let least: string | null = null;
  for (const [at, one] of offers.entries())
    for (const other of offers.slice(at + 1))
      for (const first of one.plans)
        for (const second of other.plans)
          for (const firstTerm of first.terms)
            for (const secondTerm of second.terms)
              for (const addons of subsets([...(one.addons ?? []), ...(other.addons ?? [])].map(({ id }) => ({ addon: id, term: 't' })))) {
                const { result } = priceCandidate(pricing, {
                  id: 'x',
                  label: 'x',
                  plans: [
                    { plan: first.id, term: firstTerm.id },
                    { plan: second.id, term: secondTerm.id },
                  ],
                  addons,
                });
                if (result.usable && result.unknown.length === 0 && (least === null || Number(result.total) < Number(least)))
                  least = result.total;
              }
  return least;
}

function subsets<Item>(items: readonly Item[]): Item[][] {
  return items.reduce<Item[][]>((all, item) => [...all, ...all.map((chosen) => [...chosen, item])], [[]]);
}

it('the cheapest pair is as cheap as the cheapest of all pairs tried out one by one', () => {
  fc.assert(
    fc.property(
      fc.array(offerArbitrary, { minLength: 2, maxLength: 3 }),
      fc.integer({ min: 0, max: 5 }),
      fc.constantFrom(0, 19, 7.7),
      (offers, staff, feeTax) => {
        const pricing = pricingOf(offers, staff, feeTax);
        const pair = cheapestPair(pricing, pricing.file.offers, () => ['own']);
        expect(pair ? totalText(pricing, pair.choice.total) : null).toBe(leastTried(pricing));
      },
    ),
    { numRuns: 60 },
  );
}, 60_000);

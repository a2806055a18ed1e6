import fc from 'fast-check';
import { expect, it } from 'vitest';
import { priceCandidate } from '../comparison/candidate-result';
import type { Candidate } from '../decision-file/candidate-schema';
import type { PriceSheet } from '../decision/price-sheet';
import type { Owned } from '../decision/owned-schema';
import { ownedExtra } from '../assembly/owned';
import type { Workbench } from '../decision/workbench';
import { assembleDecisionFile } from '../assembly/assemble';
import { withOpenCardFeesOfPlans } from '../assembly/card-fees';
import { preparePricing } from '../pricing/pricing';
import { smallDecision } from '../tests/small-decision';
import { decisionProposals, paymentsFor } from './decision-proposals';

const FEATURES = ['mailings', 'club'];
const amount = fc.integer({ min: 1, max: 60 }).map(String);
const features = fc.subarray(FEATURES).map((list) => Object.fromEntries(list.map((feature) => [feature, true])));
const plan = fc.record({ month: amount, year: fc.integer({ min: 10, max: 600 }).map(String), features, takesPayments: fc.boolean() });
const owned = fc.record({
  price: amount,
  months: fc.constantFrom(0, 1, 3, 12),
  until: fc.constantFrom(undefined, '2026-12', '2027-01', '2027-06', '2030-01'),
  features: fc.subarray(FEATURES, { minLength: 1 }),
});

const benchArbitrary: fc.Arbitrary<Workbench> = fc
  .record({
    plans: fc.array(plan, { minLength: 1, maxLength: 2 }),
    addon: fc.option(fc.record({ price: amount, features })),
    things: fc.array(owned, { maxLength: 2 }),
    hasProcessor: fc.boolean(),
    musts: fc.subarray(FEATURES),
  })
  .map(({ plans, addon, things, hasProcessor, musts }) => {
    const fee = (id: string, percent: string) => ({
      id,
      label: 'Card fee',
      bucket: 'payment' as const,
      how: 'per-order' as const,
      percent,
    });
    const offer: PriceSheet = {
      kind: 'offer',
      offer: {
        id: 'o',
        vendor: 'v',
        label: 'v',
        kind: 'k',
        plans: plans.map(({ month, year, features: has, takesPayments }, at) => ({
          id: `p${at}`,
          label: 'p',
          currency: 'EUR',
          terms: [
            { id: 'm', months: 1, price: month },
            { id: 'y', months: 12, price: year },
          ],
          features: has,
          ...(takesPayments ? { charges: [fee(`c${at}`, '2')] } : {}),
        })),
        ...(addon
          ? {
              addons: [
                { id: 'a', label: 'a', currency: 'EUR', terms: [{ id: 'm', months: 1, price: addon.price }], features: addon.features },
              ],
            }
          : {}),
      },
    };
    const processor: PriceSheet = { kind: 'processor', processor: { id: 'x', label: 'x', currency: 'EUR', charges: [fee('cx', '1')] } };
    const kept: Owned[] = things.map(({ price, months, until, features: list }, at) => ({
      id: `t${at}`,
      label: 't',
      features: list,
      amount: price,
      months,
      ...(until ? { paidUntil: until } : {}),
    }));
    const decision = smallDecision(
      { needs: musts.map((feature) => ({ feature, level: 'must' })), ...(kept.length > 0 ? { owned: kept } : {}) },
      '40',
    );
    return {
      decision,
      sheets: [offer, ...(hasProcessor ? [processor] : [])].map((sheet, index) => ({ id: `s${index}`, revision: 1, sheet })),
    };
  });

function subsets<Item>(items: readonly Item[]): Item[][] {
  return items.reduce<Item[][]>((all, item) => [...all, ...all.map((chosen) => [...chosen, item])], [[]]);
}

/** The least of all combinations, each part of what is owned going on or not. */
function leastTried(workbench: Workbench): number | null {
  const { file: assembled } = assembleDecisionFile({ ...workbench, decision: { ...workbench.decision, candidates: [] } });
  const file = withOpenCardFeesOfPlans(
    assembled,
    workbench.sheets.map(({ sheet }) => sheet),
  );
  const pricing = preparePricing(file);
  const totals = file.offers.flatMap((offer) =>
    offer.plans.flatMap((one) =>
      one.terms.flatMap((term) =>
        paymentsFor(file, offer).flatMap((payments) =>
          subsets(offer.addons ?? []).flatMap((addons) =>
            subsets(workbench.decision.owned ?? []).flatMap((going) => {
              const extras = going.flatMap((thing) => ownedExtra(thing, 'goes-on', file.start) ?? []);
              const candidate: Candidate = {
                id: 'x',
                label: 'x',
                plans: [{ plan: one.id, term: term.id }],
                payments,
                addons: addons.map(({ id }) => ({ addon: id, term: 'm' })),
                extras,
              };
              const { result } = priceCandidate(pricing, candidate);
              return result.usable && result.unknown.length === 0 ? [Number(result.total)] : [];
            }),
          ),
        ),
      ),
    ),
  );
  return totals.length === 0 ? null : Math.min(...totals);
}

it('with what is owned and every way of taking payments, what is proposed is the least of all combinations', () => {
  fc.assert(
    fc.property(benchArbitrary, (workbench) => {
      const [vendor] = decisionProposals(workbench).vendors;
      expect(vendor?.proposed ? Number(vendor.proposed.total) : null).toBe(leastTried(workbench));
    }),
    { numRuns: 150 },
  );
}, 60_000);

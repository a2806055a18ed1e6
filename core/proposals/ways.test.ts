import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import type { Candidate } from '../decision-file/candidate-schema';
import type { Addon, Offer, Plan, Term } from '../decision-file/price-sheet-schema';
import type { DecisionFile } from '../decision-file/schema';
import { readDecisionFile } from '../decision-file/read';
import { preparePricing } from '../pricing/pricing';
import { cheapestRoute } from '../route/cheapest-route';
import { charge, money } from '../tests/random-decision';
import { type Proposal, proposals } from './propose';
import { askedWays } from './ways';

const terms = (id: string): fc.Arbitrary<Term[]> =>
  fc
    .record({ monthly: money(40), yearly: money(300), intro: fc.boolean(), prorated: fc.boolean() })
    .map(({ monthly, yearly, intro, prorated }) => [
      { id: `${id}-m`, months: 1, price: monthly, ...(intro ? { intro: { price: '1.00', periods: 2 } } : {}) },
      { id: `${id}-y`, months: 6, price: yearly, prorated },
    ]);

const plan = (id: string): fc.Arbitrary<Plan> =>
  fc
    .record({
      terms: terms(id),
      charge: charge(`${id}-c`),
      limit: fc.constantFrom('60', '90', '200'),
      gift: fc.boolean(),
      once: money(40),
      taxExcluded: fc.boolean(),
    })
    .map(({ terms: sold, charge: fee, limit, gift, once, taxExcluded }) => ({
      id,
      label: id,
      currency: 'EUR',
      terms: sold,
      charges: [fee],
      limits: { orders: limit },
      features: { gift },
      once: [{ label: 'joining', amount: once }],
      taxExcluded,
    }));

const offer = (id: string): fc.Arbitrary<Offer> =>
  fc
    .record({
      plans: fc.tuple(plan(`${id}a`), plan(`${id}b`)),
      more: money(20),
      hours: fc.boolean(),
      lift: fc.constantFrom(undefined, '10'),
    })
    .map(({ plans, more, hours, lift }) => ({
      id,
      vendor: id,
      label: id,
      kind: 'store-platform',
      plans,
      addons: [
        {
          id: `${id}-more`,
          label: 'more',
          currency: 'EUR',
          terms: [{ id: 't', months: 1, price: more }],
          raises: { orders: '20' },
          features: { gift: true },
        },
      ],
      ...(hours ? { hours: { setup: '2', monthly: '0.5' } } : {}),
      ...(lift ? { lift } : {}),
    }));

/** Two vendors with two plans each, a must from some month on, orders that outgrow small plans. */
const decision: fc.Arbitrary<DecisionFile> = fc
  .record({
    offers: fc.tuple(offer('o'), offer('p')),
    months: fc.integer({ min: 2, max: 9 }),
    basis: fc.constantFrom('paid' as const, 'spread' as const),
    growth: fc.constantFrom('0', '6', '15'),
    gift: fc.constantFrom('2027-01', '2027-04', '2027-07', '2028-01'),
    within: fc.constantFrom('0', '7.5'),
    between: fc.constantFrom('0', '35'),
    loses: fc.constantFrom(undefined, '10'),
    by: fc.constantFrom('cost' as const, 'keep' as const),
  })
  .map(({ offers, months, basis, growth, gift, within, between, loses, by }) => ({
    format: 'venalis.decision',
    version: 2,
    name: 'ways',
    currency: 'EUR',
    start: '2027-01',
    months,
    basis,
    feeTax: '19',
    hourValue: '20',
    forecast: {
      streams: [
        { id: 'goods', label: 'goods', kind: 'goods', orders: { start: '50', growth }, orderValue: '30', margin: '40' },
        { id: 'club', label: 'club', kind: 'subscription', orderValue: '9', subscribers: { start: '8', joins: '1', churn: '4' } },
      ],
      drivers: { contacts: '120' },
    },
    needs: [{ feature: 'gift', level: 'must', from: gift }],
    offers,
    candidates: [],
    propose: { ways: { within, between, by, ...(loses ? { loses: { subscribers: loses } } : {}) } },
  }));

/** Every combination of an offer as a candidate of its own, with more of its add-on where the proposal has more. */
function combinationsOf({ id, plans, addons = [], hours, lift }: Offer, proposed: readonly Proposal[]): Candidate[] {
  const proposal = proposed.find(({ offer: of }) => of === id);
  const many = proposal?.total == null ? 0 : (proposal.addons[0]?.count ?? 0);
  const isProposed = (planId: string, term: string) =>
    many > 3 && proposal?.total != null && proposal.plan === planId && proposal.term === term;
  const [more] = addons as [Addon];
  return plans.flatMap((one) =>
    one.terms.flatMap((term) =>
      [0, 1, 2, 3, ...(isProposed(one.id, term.id) ? [many] : [])].map((count): Candidate => ({
        id: `${id}-${one.id}-${term.id}-${count}`,
        label: '',
        plans: [{ plan: one.id, term: term.id }],
        ...(count > 0 ? { addons: [{ addon: more.id, term: 't', count }] } : {}),
        ...(hours ? { hours } : {}),
        ...(lift ? { lift } : {}),
      })),
    ),
  );
}

/** The best route over all combinations of some offers, each written out as a candidate. */
function routed(file: DecisionFile, offers: readonly Offer[], proposed: readonly Proposal[], moves: number) {
  const candidates = offers.flatMap((one) => combinationsOf(one, proposed));
  const { ways } = file.propose ?? {};
  const route = {
    candidates: candidates.map(({ id }) => id),
    within: ways?.within ?? '0',
    between: ways?.between ?? '0',
    moves,
    ...(ways?.by ? { by: ways.by } : {}),
    ...(ways?.loses ? { loses: ways.loses } : {}),
  };
  return cheapestRoute(preparePricing(readDecisionFile({ ...file, candidates, route })));
}

const worth = (way: { total: string; kept?: string } | null | undefined) => way && (way.kept ?? way.total);

describe('best ways', () => {
  it('are those of a route over every combination written out', () => {
    fc.assert(
      fc.property(decision, (made) => {
        const file = readDecisionFile(made);
        const pricing = preparePricing(file);
        const proposed = proposals(pricing) ?? [];
        const ways = askedWays(pricing, proposed);
        file.offers.forEach((one, index) => expect(worth(ways?.ofOffers[index])).toEqual(worth(routed(file, [one], proposed, 0))));
        expect(worth(ways?.best)).toEqual(worth(routed(file, file.offers, proposed, 3)));
      }),
      { numRuns: 15 },
    );
  });
});

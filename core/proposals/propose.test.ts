import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { decimal } from '../amount/decimal';
import { priceCandidate } from '../comparison/candidate-result';
import type { Candidate } from '../decision-file/candidate-schema';
import type { Addon } from '../decision-file/price-sheet-schema';
import { readDecisionFile } from '../decision-file/read';
import type { DecisionFile } from '../decision-file/schema';
import { preparePricing, type Pricing } from '../pricing/pricing';
import { charge, money } from '../tests/random-decision';
import { type Proposal, proposals } from './propose';

/** More of one add-on than three is never needed in these decisions. */
const MOST = 3;

/** Every way of taking some of the add-ons, each with one of its terms and a count up to `most`. */
function addonWays(addons: readonly Addon[], most: number): NonNullable<Candidate['addons']>[] {
  return addons.reduce<NonNullable<Candidate['addons']>[]>(
    (ways, addon) =>
      ways.flatMap((way) => {
        const terms = addon.terms?.length ? addon.terms.map(({ id }) => ({ term: id })) : [{}];
        const taken = terms.flatMap((term) =>
          Array.from({ length: most }, (_, index) => [...way, { addon: addon.id, ...term, count: index + 1 }]),
        );
        return [way, ...taken];
      }),
    [[]],
  );
}

/** Tries every combination, by pricing each as a candidate of its own. */
function triedOut(pricing: Pricing, most: number): Array<{ offer: string; total: string | null; addons: number | null }> {
  const { file } = pricing;
  return file.offers.map((offer) => {
    const sold = [...(offer.addons ?? []), ...(file.addons ?? []).filter(({ worksWith }) => !worksWith || worksWith.includes(offer.id))];
    const ways = addonWays(sold, most);
    const totals = offer.plans.flatMap((plan) =>
      plan.terms.flatMap((term) =>
        (file.propose?.payments ?? ['own']).flatMap((payments) =>
          ways.flatMap((addons) => {
            const { result } = priceCandidate(pricing, { id: 'x', label: '', plans: [{ plan: plan.id, term: term.id }], addons, payments });
            return result.usable && result.unknown.length === 0 ? [{ total: result.total, addons: addons.length }] : [];
          }),
        ),
      ),
    );
    const cheapest = totals.sort((a, b) => decimal(a.total).cmp(b.total) || a.addons - b.addons)[0];
    return { offer: offer.id, total: cheapest?.total ?? null, addons: cheapest?.addons ?? null };
  });
}

const features = fc.record({ a: fc.constantFrom(true, false, null, '2'), b: fc.constantFrom(true, false) }, { requiredKeys: [] });
const term = (id: string) =>
  fc.record({
    id: fc.constant(id),
    months: fc.constantFrom(1, 6, 12, 0),
    price: fc.oneof({ weight: 9, arbitrary: money(60) }, { weight: 1, arbitrary: fc.constant(null) }),
  });
const addon = (id: string, isShared: boolean) =>
  fc
    .record({
      terms: fc.tuple(term(`${id}-t0`), term(`${id}-t1`)),
      features,
      raises: fc.record({ staff: fc.constantFrom('1', '2'), products: fc.constantFrom('10') }, { requiredKeys: [] }),
      taxExcluded: fc.boolean(),
      currency: fc.constantFrom('EUR', 'USD'),
      charges: fc.option(fc.tuple(charge(`${id}-c`), fc.boolean()), { nil: undefined, freq: 4 }),
      worksWith: fc.constantFrom(undefined, ['o0']),
    })
    .map(({ charges, worksWith, ...rest }) => ({
      id,
      label: id,
      ...rest,
      ...(charges ? { charges: [{ ...charges[0], ...(charges[1] ? { credit: true } : {}) }] } : {}),
      ...(isShared && worksWith ? { worksWith } : {}),
    }));

const plan = (id: string) =>
  fc
    .record({
      terms: fc.tuple(term('t0'), term('t1')),
      charges: fc.option(charge(`${id}-c`), { nil: undefined }),
      features,
      limits: fc.record({ staff: fc.constantFrom('1', '2', '9'), products: fc.constantFrom('20', '90') }, { requiredKeys: [] }),
      taxExcluded: fc.boolean(),
    })
    .map(({ charges, ...rest }) => ({ id, label: id, currency: 'EUR', ...rest, ...(charges ? { charges: [charges] } : {}) }));

const decision: fc.Arbitrary<DecisionFile> = fc
  .record({
    plans: fc.tuple(plan('p0'), plan('p1'), plan('p2')),
    addons: fc.tuple(addon('a0', false), addon('a1', false), addon('a2', true)),
    processor: charge('pc'),
    feeTax: fc.constantFrom('0', '19.5'),
    basis: fc.constantFrom('paid' as const, 'spread' as const),
    needs: fc.constantFrom([], ['a'], ['a', 'b']),
  })
  .map(({ plans: [p0, p1, p2], addons: [a0, a1, a2], processor, feeTax, basis, needs }) =>
    readDecisionFile({
      format: 'venalis.decision',
      version: 1,
      name: 'q',
      currency: 'EUR',
      start: '2027-01',
      months: 4,
      basis,
      feeTax,
      rates: { USD: '0.913' },
      forecast: {
        streams: [{ id: 's', label: 's', kind: 'goods', orders: { start: '90', growth: '3' }, orderValue: '21.3' }],
        drivers: { staff: { start: '2', add: '0.5' }, products: '40', contacts: '300' },
      },
      needs: needs.map((feature) => ({ feature, level: 'must' })),
      offers: [
        { id: 'o0', vendor: 'o0', label: 'o0', kind: 'k', plans: [p0, p1], addons: [a0, a1] },
        { id: 'o1', vendor: 'o1', label: 'o1', kind: 'k', plans: [p2] },
      ],
      addons: [a2],
      processors: [{ id: 'pay', label: 'pay', currency: 'EUR', charges: [processor] }],
      candidates: [],
      propose: { payments: ['own', 'pay'] },
    }),
  );

const brief = (all: readonly Proposal[] | undefined) =>
  all?.map((one) => ({ offer: one.offer, total: one.total, addons: one.total === null ? null : one.addons.length }));

describe('proposals', () => {
  it('are as cheap as the cheapest of all combinations tried out one by one', () => {
    fc.assert(
      fc.property(decision, (file) => {
        const pricing = preparePricing(file);
        expect(brief(proposals(pricing))).toEqual(triedOut(pricing, MOST));
      }),
      { numRuns: 5 },
    );
  });

  it('come to what the ledger says of the candidate they stand for', () => {
    fc.assert(
      fc.property(decision, (file) => {
        const pricing = preparePricing(file);
        for (const one of proposals(pricing) ?? []) {
          if (one.total === null) continue;
          const { result } = priceCandidate(pricing, {
            id: 'x',
            label: '',
            plans: [{ plan: one.plan, term: one.term }],
            addons: one.addons,
            payments: one.payments,
          });
          expect([result.total, result.usable, result.unknown]).toEqual([one.total, true, []]);
        }
      }),
      { numRuns: 60 },
    );
  });

  it('are asked for by offer, and refused for one that does not exist', () => {
    const [file] = fc.sample(decision, 1);
    if (!file) throw new Error('a decision is wanted');
    expect(proposals(preparePricing({ ...file, propose: { offers: ['o1'] } }))?.map(({ offer }) => offer)).toEqual(['o1']);
    const { propose: _none, ...silent } = file;
    expect(proposals(preparePricing(silent))).toBeUndefined();
    expect(() => readDecisionFile({ ...file, propose: { offers: ['gone'] } })).toThrow(/propose\.offers\[0\]/);
    expect(() => readDecisionFile({ ...file, propose: { payments: ['gone'] } })).toThrow(/propose\.payments\[0\]/);
  });
});

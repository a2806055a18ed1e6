import { describe, expect, it } from 'vitest';
import { newOffer } from '../price-sheet/edit-offer';
import type { Decision } from './decision-schema';
import {
  candidateName,
  nextCandidateId,
  withCandidatesForNewPlans,
  withCopiedCandidate,
  withOtherTerm,
  withoutCandidate,
  withRenamedCandidates,
} from './candidates';
import { candidateSummary } from '../wording/candidate-summary';
import type { OfferSheet } from './price-sheet';

const decision: Decision = { name: 'q', currency: 'EUR', start: '2027-01', months: 12, forecast: { streams: [] }, candidates: [] };

function ids() {
  let next = 0;
  return () => `id${next++}`;
}

function sheetWith(months: readonly number[]): OfferSheet {
  const newId = ids();
  const offer = { ...newOffer(newId, 'EUR'), label: 'Brindle' };
  return {
    kind: 'offer',
    offer: {
      ...offer,
      plans: offer.plans.map((plan) => ({
        ...plan,
        label: 'Shop',
        terms: months.map((length) => ({ id: newId(), months: length, price: '9' })),
      })),
    },
  };
}

describe('the name of a candidate', () => {
  it.each([
    ['Marlpit', 'Grow', 'Marlpit Grow'],
    ['Postmoor Letters', 'Letters', 'Postmoor Letters'],
    ['Postmoor Letters', 'letters', 'Postmoor Letters'],
    ['Postmoor', 'Moor', 'Postmoor Moor'],
    ['Marlpit', '', 'Marlpit'],
    ['', '', 'Unnamed plan'],
  ])('of %s with its plan %s is %s', (vendor, plan, name) => expect(candidateName(vendor, plan)).toBe(name));
});

describe('candidates', () => {
  it('are marked A to Z and then AA, after the highest that is in use', () => {
    const named = (...marks: string[]) => marks.map((id) => ({ id, label: '', plans: [] }));
    expect(nextCandidateId([])).toBe('A');
    expect(nextCandidateId(named('A', 'C'))).toBe('D');
    expect(nextCandidateId(named('Z'))).toBe('AA');
    expect(nextCandidateId(named('AZ'))).toBe('BA');
    expect(nextCandidateId(named('plus-y'))).toBe('A');
  });

  it('appear for each plan of a sheet that is priced for the first time, at its best, and not again once they are removed', () => {
    const first = withCandidatesForNewPlans(decision, null, sheetWith([1, 12]));
    expect(first.candidates).toMatchObject([{ id: 'A', label: 'Brindle Shop' }]);
    const [{ offer }] = [sheetWith([1])];
    expect(first.followed).toEqual([{ candidate: 'A', offer: offer.id, plan: offer.plans[0]?.id }]);
    expect(withCandidatesForNewPlans(first, null, sheetWith([1, 12, 24])).candidates).toHaveLength(1);
    const removed = { ...first, candidates: [] };
    expect(withCandidatesForNewPlans(removed, sheetWith([1, 12]), sheetWith([1, 12, 24])).candidates).toEqual([]);
    expect(withCandidatesForNewPlans(decision, sheetWith([]), sheetWith([1])).candidates).toHaveLength(1);
    expect(withCandidatesForNewPlans(decision, null, sheetWith([])).candidates).toEqual([]);
  });

  it('have the hours, extras and lift that their vendor takes', () => {
    const sheet = sheetWith([1]);
    const takes = { hours: { setup: '4' }, extras: [{ label: 'Theme', amount: '60', months: 0 }], lift: '5' };
    const [candidate] = withCandidatesForNewPlans(decision, null, { ...sheet, offer: { ...sheet.offer, ...takes } }).candidates;
    expect(candidate).toMatchObject(takes);
  });

  it('follow the names of vendor and plan as long as nobody renamed them', () => {
    const before = sheetWith([1]);
    const after: OfferSheet = { ...before, offer: { ...before.offer, label: 'Brindle Sites' } };
    const named = withCandidatesForNewPlans(decision, null, before);
    expect(withRenamedCandidates(named, before, after).candidates[0]?.label).toBe('Brindle Sites Shop');
    const own = { ...named, candidates: named.candidates.map((one) => ({ ...one, label: 'Our favourite' })) };
    expect(withRenamedCandidates(own, before, after).candidates[0]?.label).toBe('Our favourite');
  });

  it('say in a few words what they are put together from', () => {
    const sheet = sheetWith([12]);
    const { candidates } = withCandidatesForNewPlans(decision, null, sheet);
    const [candidate] = candidates;
    const workbench = { decision, sheets: [{ id: 's', revision: 1, sheet }] };
    expect(candidate && candidateSummary(workbench, { ...candidate, extras: [{ label: 'Theme', amount: '60', months: 0 }] })).toBe(
      'by the year, 1 extra',
    );
  });

  it('are copied under the next letter, and go with what they follow', () => {
    const candidates = [{ id: 'A', label: 'Shop', plans: [{ plan: 'p', term: 't' }], hours: { setup: '4' } }];
    const followed = [
      { candidate: 'A', offer: 'o', seen: { on: '2026-11-25', made: 'Shop', total: '1' } },
      { candidate: 'B', offer: 'o', seen: { on: '2026-11-25', made: 'Shop', total: '1' } },
    ];
    const copied = withCopiedCandidate({ ...decision, candidates, followed }, 'A');
    expect(copied.candidates[1]).toEqual({ id: 'B', label: 'Shop, a copy', plans: [{ plan: 'p', term: 't' }], hours: { setup: '4' } });
    expect(withCopiedCandidate(copied, 'Z')).toBe(copied);
    const without = withoutCandidate(copied, 'A');
    expect(without.candidates.map(({ id }) => id)).toEqual(['B']);
    expect(without.followed?.map(({ candidate }) => candidate)).toEqual(['B']);
    expect(withoutCandidate(without, 'B').followed).toBeUndefined();
  });
});

describe('another way of paying', () => {
  it('is one more candidate, with all else alike', () => {
    const one = {
      id: 'A',
      label: 'Brindle Shop',
      plans: [
        { plan: 'p', term: 'm' },
        { plan: 'q', term: 'x' },
      ],
      hours: { monthly: '2' },
    };
    const changed = withOtherTerm({ ...decision, candidates: [one] }, 'A', 'y');
    expect(changed.candidates).toEqual([
      one,
      {
        ...one,
        id: 'B',
        plans: [
          { plan: 'p', term: 'y' },
          { plan: 'q', term: 'x' },
        ],
      },
    ]);
    expect(withOtherTerm(decision, 'Z', 'y')).toBe(decision);
  });
});

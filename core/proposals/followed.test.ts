import { describe, expect, it } from 'vitest';
import { withoutCandidate } from '../decision/candidates';
import type { Workbench } from '../decision/workbench';
import { smallDecision } from '../tests/small-decision';
import { typedSheet } from '../tests/typed-sheet';
import { decisionProposals } from './decision-proposals';
import { candidateOf, followedChange, lacksHours, withFollower, withNoted, withPinned } from './edit-followed';
import { isMadeOf, nameOf, proposedFor, remade, withFollowed } from './followed';

const sheetAt = (price: string) => typedSheet('Tidewrack', { Small: `${price}/mo, gift cards: no`, Plus: '34/mo, gift cards: yes' });
const benchAt = (price: string, decision: Partial<Workbench['decision']> = {}): Workbench => ({
  decision: smallDecision(decision),
  sheets: [{ id: 's', revision: 1, sheet: sheetAt(price) }],
});
function proposedIn(workbench: Workbench) {
  const [vendor] = decisionProposals(workbench).vendors;
  if (!vendor?.proposed) throw new Error('a proposal is expected');
  return { offer: vendor.offer, ...vendor.proposed };
}

describe('following what is proposed', () => {
  const first = benchAt('10');
  const following = withFollower(first, proposedIn(first), '2026-11-25');

  it('makes a candidate of it, and remembers how it was', () => {
    expect(following.candidates).toMatchObject([{ id: 'A', label: 'Tidewrack Small', plans: [{ plan: 'tidewrack-small' }] }]);
    expect(following.followed).toEqual([
      { candidate: 'A', offer: 'tidewrack', seen: { on: '2026-11-25', made: 'Tidewrack Small, by the month', total: '120.00' } },
    ]);
    expect(candidateOf({ ...first, decision: following }, proposedIn(first))).toEqual({ id: 'A', follows: 'follows' });
  });

  it('takes over the hours of another candidate of the vendor, and says so where none states any', () => {
    const other = {
      id: 'A',
      label: 'Tidewrack Plus',
      plans: [{ plan: 'tidewrack-plus', term: 'tidewrack-1' }],
      hours: { setup: '14', monthly: '1' },
    };
    const withOther = benchAt('10', { candidates: [other], hourValue: '24' });
    const [, taken] = withFollower(withOther, proposedIn(withOther), '2026-11-25').candidates;
    expect(taken?.hours).toEqual({ setup: '14', monthly: '1' });
    const bare = { id: 'B', label: 'Bare', plans: other.plans };
    expect(lacksHours({ ...withOther.decision, candidates: [other, bare] }, bare)).toBe(true);
    expect(lacksHours({ ...withOther.decision, candidates: [other, bare] }, other)).toBe(false);
    expect(lacksHours({ ...withOther.decision, candidates: [bare] }, bare)).toBe(false);
    expect(lacksHours({ ...withOther.decision, hourValue: '0', candidates: [other, bare] }, bare)).toBe(false);
  });

  it('says what has changed, until it is taken note of', () => {
    const later = benchAt('10', { ...following, needs: [{ feature: 'gift-cards', level: 'must' }] });
    const proposed = proposedIn(later);
    const [followed] = later.decision.followed ?? [];
    if (!followed) throw new Error('a follower is expected');
    expect(followedChange(later, followed, proposed)).toMatchObject({
      from: 'Tidewrack Small, by the month',
      to: 'Tidewrack Plus, by the month',
      fromTotal: '120.00',
      toTotal: '408.00',
      by: '288',
    });
    const noted = { ...later, decision: withNoted(later, 'A', proposed, '2026-12-01') };
    const [taken] = noted.decision.followed ?? [];
    expect(noted.decision.candidates).toMatchObject([{ id: 'A', label: 'Tidewrack Plus' }]);
    expect(taken && followedChange(noted, taken, proposedIn(noted))).toBeNull();
  });

  it('says so too where only the total has changed', () => {
    const dearer = benchAt('11', following);
    const [followed] = following.followed ?? [];
    expect(followed && followedChange(dearer, followed, proposedIn(dearer))).toMatchObject({
      from: 'Tidewrack Small, by the month',
      to: 'Tidewrack Small, by the month',
      by: '12',
    });
  });

  it('ends while it is pinned, and goes with the candidate', () => {
    const pinned = withPinned(following, 'A', true);
    const later = benchAt('10', { ...pinned, needs: [{ feature: 'gift-cards', level: 'must' }] });
    expect(withFollowed(later, decisionProposals(later))).toBe(later);
    expect(candidateOf(later, proposedIn(later))).toEqual({ id: 'A', follows: 'pinned' });
    expect(withPinned(pinned, 'A', false).followed?.[0]?.pinned).toBeUndefined();
    expect(withoutCandidate(pinned, 'A').followed).toBeUndefined();
  });

  it('knows a candidate by hand that is just what is proposed', () => {
    const { followed: _followed, ...byHand } = following;
    expect(candidateOf({ ...first, decision: byHand }, proposedIn(first))).toEqual({ id: 'A', follows: 'by-hand' });
    expect(candidateOf(first, proposedIn(first))).toBeNull();
  });

  it('of a pair follows just that pair', () => {
    const proposals = decisionProposals(first);
    const pair = { offers: ['x', 'y'] as const, labels: ['X', 'Y'] as const, made: { plans: [] }, total: '1', above: null };
    expect(proposedFor({ ...proposals, pair }, { offer: 'x', with: 'y' })).toBe(pair);
    expect(proposedFor({ ...proposals, pair }, { offer: 'x', with: 'z' })).toBeNull();
  });
});

describe('what is proposed for a follower', () => {
  const made = (plan: string) => ({ made: { plans: [{ plan, term: 'm' }] }, total: '1.00' });
  const vendor = (offer: string, plans: string[]) => ({
    offer,
    label: offer,
    kind: 'k',
    proposed: plans[0] === undefined ? null : { ...made(plans[0]), above: '0.00' },
    plans: plans.map((plan) => ({ plan, label: plan, reason: { kind: 'proposed' as const }, best: made(plan) })),
    renewals: [],
  });
  const proposals = { vendors: [vendor('x', ['xa', 'xb']), vendor('y', ['ya']), vendor('z', [])], pair: null };

  it('is its vendor’s best, or the best of its plan', () => {
    expect(proposedFor(proposals, { offer: 'y' })).toMatchObject(made('ya'));
    expect(proposedFor(proposals, { offer: 'x', plan: 'xb' })).toEqual(made('xb'));
    expect(proposedFor(proposals, { offer: 'x', plan: 'ya' })).toBeNull();
    expect(proposedFor(proposals, { offer: 'z' })).toBeNull();
    expect(proposedFor(proposals, { offer: 'gone' })).toBeNull();
    expect(proposedFor(proposals, { offer: 'gone', plan: 'xb' })).toBeNull();
    expect(proposedFor(proposals, { offer: 'x', with: 'y' })).toBeNull();
  });

  it('is what it is made of; what is by hand, pinned or without a proposal stays', () => {
    const one = (id: string, plan: string) => ({ id, label: `own ${id}`, plans: [{ plan, term: 'm' }] });
    const candidates = [one('A', 'xb'), one('B', 'xb'), one('C', 'q'), one('D', 'q')];
    const followed = [
      { candidate: 'A', offer: 'x' },
      { candidate: 'C', offer: 'z' },
      { candidate: 'D', offer: 'y', pinned: true as const },
    ];
    const bench: Workbench = { decision: smallDecision({ candidates, followed }), sheets: [] };
    expect(withFollowed(bench, proposals).decision.candidates).toEqual([one('A', 'xa'), one('B', 'xb'), one('C', 'q'), one('D', 'q')]);
    expect(withFollowed(bench, null)).toBe(bench);
    const same: Workbench = {
      ...bench,
      decision: smallDecision({ candidates: [one('A', 'xa')], followed: [{ candidate: 'A', offer: 'x' }] }),
    };
    expect(withFollowed(same, proposals)).toBe(same);
  });
});

describe('what a candidate is made of', () => {
  const plans = [{ plan: 'p', term: 'm' }];
  it('is its plans, add-ons in their numbers and who takes the payments', () => {
    const bare = { id: 'A', label: 'A', plans };
    const candidate = { ...bare, addons: [{ addon: 'x', term: 't' }] };
    expect(isMadeOf(candidate, { plans, addons: [{ addon: 'x', term: 't', count: 1 }], payments: 'own' })).toBe(true);
    expect(isMadeOf(candidate, { plans, addons: [{ addon: 'x', term: 't', count: 2 }] })).toBe(false);
    expect(isMadeOf(candidate, { plans, addons: [{ addon: 'y', term: 't' }] })).toBe(false);
    expect(isMadeOf(candidate, { plans })).toBe(false);
    expect(isMadeOf(bare, { plans })).toBe(true);
    expect(isMadeOf(bare, { plans, payments: 'tally' })).toBe(false);
    expect(isMadeOf({ ...bare, payments: 'tally' }, { plans, payments: 'tally' })).toBe(true);
    expect(isMadeOf(bare, { plans: [{ plan: 'p', term: 'y' }] })).toBe(false);
  });

  it('goes on under a name of one’s own, or else under that of its plans', () => {
    const bench = benchAt('10');
    const smallPlans = [{ plan: 'tidewrack-small', term: 'm' }];
    const plusPlans = [{ plan: 'tidewrack-plus', term: 'm' }];
    const before = { id: 'A', label: 'Tidewrack Small', plans: smallPlans, addons: [{ addon: 'x' }], payments: 'tally', lift: '3' };
    expect(remade(bench, before, { plans: plusPlans })).toEqual({ id: 'A', label: 'Tidewrack Plus', plans: plusPlans, lift: '3' });
    expect(remade(bench, { ...before, label: 'Mine' }, { plans: plusPlans }).label).toBe('Mine');
    expect(nameOf(bench, { plans: [...smallPlans, { plan: 'gone', term: 'm' }, ...plusPlans] })).toBe(
      'Tidewrack Small with Tidewrack Plus',
    );
  });
});

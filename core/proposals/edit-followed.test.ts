import { describe, expect, it } from 'vitest';
import type { Offer } from '../decision-file/price-sheet-schema';
import type { PriceSheet } from '../decision/price-sheet';
import type { Workbench } from '../decision/workbench';
import { smallDecision } from '../tests/small-decision';
import { typedProcessor, typedSheet } from '../tests/typed-sheet';
import { candidateOf, followedChange, lacksHours, withFollower, withNoted, withPinned } from './edit-followed';

const withOffer = (sheet: PriceSheet, more: Partial<Offer>): PriceSheet =>
  sheet.kind === 'offer' ? { ...sheet, offer: { ...sheet.offer, ...more } } : sheet;
const fee = (label: string) => ({ label, amount: '9', months: 0 });
const tidewrack = withOffer(typedSheet('Tidewrack', { Small: '10/mo', Plus: '34/mo' }), { extras: [fee('Theme')] });
const oakum = withOffer(typedSheet('Oakum', { Shared: '3/mo', Quick: '5/mo' }), {
  extras: [fee('Plug-in')],
  hours: { setup: '7' },
  lift: '3',
});
const tally = typedProcessor('Tally', '1% + 10c per order', { answers: ['of each order, the fee for card payments'] });

const benchOf = (decision: Partial<Workbench['decision']> = {}, sheets = [tally, tidewrack, oakum]): Workbench => ({
  decision: smallDecision(decision),
  sheets: sheets.map((sheet, index) => ({ id: `s${index}`, revision: 1, sheet })),
});
const take = (plan: string) => ({ plan, term: 'm' });
const small = { offer: 'tidewrack', made: { plans: [take('tidewrack-small')] }, total: '120.00' };
const shared = { offer: 'oakum', made: { plans: [take('oakum-shared')] }, total: '36.00' };
const both = { offer: 'tidewrack', with: 'oakum', made: { plans: [take('tidewrack-small'), take('oakum-shared')] }, total: '156.00' };
const candidate = (id: string, plan: string, more: object = {}) => ({ id, label: id, plans: [take(plan)], ...more });
const follows = (id: string, offer: string, more: object = {}) => ({
  candidate: id,
  offer,
  seen: { on: '2026-11-25', made: 'as it was', total: '100.00' },
  ...more,
});

describe('a candidate that follows', () => {
  it('has what its vendor’s sheet states, and nothing of others', () => {
    expect(withFollower(benchOf(), small, '2026-11-25').candidates).toEqual([
      { id: 'A', label: 'Tidewrack Small', plans: small.made.plans, extras: [fee('Theme')] },
    ]);
    expect(withFollower(benchOf(), shared, '2026-11-25').candidates).toEqual([
      {
        id: 'A',
        label: 'Oakum Shared',
        plans: shared.made.plans,
        extras: [fee('Plug-in')],
        hours: { setup: '7', monthly: '0' },
        lift: '3',
      },
    ]);
  });

  it('of two vendors has what both state, and no lift', () => {
    const made = withFollower(benchOf(), both, '2026-11-25');
    expect(made.candidates).toEqual([
      {
        id: 'A',
        label: 'Tidewrack Small with Oakum Shared',
        plans: both.made.plans,
        extras: [fee('Theme'), fee('Plug-in')],
        hours: { setup: '7', monthly: '0' },
      },
    ]);
    expect(made.followed).toMatchObject([{ candidate: 'A', offer: 'tidewrack', with: 'oakum' }]);
  });

  it('takes the hours of the first candidate of its own vendor that states any', () => {
    const bench = benchOf({
      candidates: [
        candidate('A', 'oakum-quick', { hours: { setup: '99' } }),
        candidate('B', 'tidewrack-plus'),
        candidate('C', 'tidewrack-plus', { hours: { setup: '12' } }),
        candidate('D', 'tidewrack-plus', { hours: { setup: '50' } }),
      ],
    });
    expect(withFollower(bench, small, '2026-11-25').candidates.at(-1)).toMatchObject({ id: 'E', hours: { setup: '12' } });
    const none = benchOf({
      candidates: [candidate('A', 'oakum-quick', { hours: { setup: '99' } }), { id: 'B', label: 'bare', plans: [] }],
    });
    expect(withFollower(none, small, '2026-11-25').candidates.at(-1)).not.toHaveProperty('hours');
  });

  it('stands beside those that follow already', () => {
    const bench = benchOf({ candidates: [candidate('A', 'oakum-shared')], followed: [follows('A', 'oakum')] });
    expect(withFollower(bench, small, '2026-11-26').followed).toEqual([
      follows('A', 'oakum'),
      { candidate: 'B', offer: 'tidewrack', seen: { on: '2026-11-26', made: 'Tidewrack Small', total: '120.00' } },
    ]);
    expect(withFollower(benchOf(), small, '2026-11-26').followed).toStrictEqual([
      { candidate: 'A', offer: 'tidewrack', seen: { on: '2026-11-26', made: 'Tidewrack Small', total: '120.00' } },
    ]);
  });
});

describe('what a follower has changed', () => {
  it('is nothing where nothing is proposed any more, or nobody has looked yet', () => {
    const { seen: _seen, ...unseen } = follows('A', 'tidewrack');
    expect(followedChange(benchOf(), follows('A', 'tidewrack'), null)).toBeNull();
    expect(followedChange(benchOf(), unseen, small)).toBeNull();
    expect(followedChange(benchOf(), unseen, null)).toBeNull();
  });

  it('is its make-up or its total', () => {
    const as = (made: string, total: string) => follows('A', 'tidewrack', { seen: { on: '2026-11-25', made, total } });
    expect(followedChange(benchOf(), as('Tidewrack Small', '120.00'), small)).toBeNull();
    expect(followedChange(benchOf(), as('Tidewrack Small', '100.00'), small)).toMatchObject({ by: '20' });
    expect(followedChange(benchOf(), as('Tidewrack Plus', '120.00'), small)).toMatchObject({ to: 'Tidewrack Small', by: '0' });
  });

  it('is held against the beginning of a very long name', () => {
    const long = benchOf({}, [withOffer(tidewrack, { label: 'T'.repeat(400) })]);
    const seen = { on: '2026-11-25', made: 'T'.repeat(300), total: '120.00' };
    expect(followedChange(long, follows('A', 'tidewrack', { seen }), small)).toBeNull();
    expect(withFollower(long, small, '2026-11-25').followed?.[0]?.seen?.made).toBe('T'.repeat(300));
  });

  it('is taken note of for that one alone', () => {
    const bench = benchOf({
      candidates: [candidate('A', 'tidewrack-plus'), candidate('B', 'oakum-shared')],
      followed: [follows('A', 'tidewrack'), follows('B', 'oakum')],
    });
    const noted = withNoted(bench, 'A', small, '2026-12-01');
    expect(noted.candidates.map(({ plans }) => plans[0]?.plan)).toEqual(['tidewrack-small', 'oakum-shared']);
    expect(noted.followed).toEqual([
      { candidate: 'A', offer: 'tidewrack', seen: { on: '2026-12-01', made: 'Tidewrack Small', total: '120.00' } },
      follows('B', 'oakum'),
    ]);
    const { followed: _none, ...unfollowed } = bench.decision;
    expect(withNoted({ ...bench, decision: unfollowed }, 'A', small, '2026-12-01').followed).toEqual([]);
  });
});

describe('pinning', () => {
  it('is of one; the others stay pinned or not', () => {
    const decision = smallDecision({ followed: [follows('A', 'x'), follows('B', 'y', { pinned: true }), follows('C', 'z')] });
    const pinnedIn = (one: typeof decision) => one.followed?.flatMap(({ candidate: id, pinned }) => (pinned ? [id] : []));
    expect(pinnedIn(withPinned(decision, 'A', true))).toEqual(['A', 'B']);
    expect(pinnedIn(withPinned(decision, 'B', false))).toEqual([]);
    expect(withPinned(smallDecision(), 'A', true).followed).toEqual([]);
  });
});

describe('the candidate of a proposal', () => {
  const of = (followed: object, proposed = small) =>
    candidateOf(benchOf({ candidates: [candidate('A', 'oakum-quick')], followed: [follows('A', 'tidewrack', followed)] }), proposed);

  it('follows the same vendor, or the same pair', () => {
    expect(of({})).toEqual({ id: 'A', follows: 'follows' });
    expect(of({ pinned: true })).toEqual({ id: 'A', follows: 'pinned' });
    expect(of({ offer: 'oakum' })).toBeNull();
    expect(of({ with: 'oakum' })).toBeNull();
    expect(of({ with: 'oakum' }, both)).toEqual({ id: 'A', follows: 'follows' });
    expect(of({}, both)).toBeNull();
  });

  it('is found among others, and by one of the plans of a pair', () => {
    const candidates = [candidate('B', 'oakum-quick'), candidate('A', 'oakum-quick')];
    const found = (more: object, proposed: typeof small) =>
      candidateOf(benchOf({ candidates, followed: [follows('A', 'tidewrack', more)] }), proposed);
    expect(found({}, small)).toEqual({ id: 'A', follows: 'follows' });
    expect(found({ with: 'oakum', plan: 'oakum-shared' }, both)).toEqual({ id: 'A', follows: 'follows' });
  });

  it('keeps to its plan where it is to', () => {
    expect(of({ plan: 'tidewrack-small' })).toEqual({ id: 'A', follows: 'follows' });
    expect(of({ plan: 'tidewrack-plus' })).toBeNull();
  });

  it('is none that is gone', () => {
    expect(of({ candidate: 'Z' })).toBeNull();
    expect(candidateOf(benchOf({ candidates: [candidate('B', 'tidewrack-plus'), candidate('C', 'tidewrack-small')] }), small)).toEqual({
      id: 'C',
      follows: 'by-hand',
    });
  });
});

describe('hours that are lacking', () => {
  const hours = { setup: '5' };
  it.each([
    ['where others state theirs', '20', [candidate('B', 'x', { hours })], {}, true],
    ['not where others state none', '20', [candidate('B', 'x', { hours: { setup: '0', monthly: '0' } })], {}, false],
    ['not where an hour is worth nothing', undefined, [candidate('B', 'x', { hours })], {}, false],
    ['not where it states them by the month', '20', [candidate('B', 'x', { hours })], { hours: { monthly: '1' } }, false],
  ])('%s', (_name, hourValue, others, own, lacks) => {
    const one = candidate('A', 'y', own);
    expect(lacksHours(smallDecision({ candidates: [one, ...others], ...(hourValue ? { hourValue } : {}) }), one)).toBe(lacks);
  });
});

import { expect, it } from 'vitest';
import type { Workbench } from '../decision/workbench';
import { smallDecision } from '../tests/small-decision';
import { typedSheet } from '../tests/typed-sheet';
import { followedNow } from './followed-now';

const sheets = [{ id: 's', revision: 1, sheet: typedSheet('Tidewrack', { Small: '10/mo', Plus: '34/mo' }) }];
const candidate = { id: 'A', label: 'Mine', plans: [{ plan: 'tidewrack-plus', term: 'x' }] };
const bench = (followed?: Workbench['decision']['followed']): Workbench => ({
  decision: smallDecision({ candidates: [candidate], ...(followed ? { followed } : {}) }),
  sheets,
});

it('makes candidates that follow of what is proposed now, and leaves a decision without such as it is', () => {
  const follower = { candidate: 'A', offer: 'tidewrack' };
  expect(followedNow(bench([follower])).decision.candidates[0]?.plans[0]?.plan).toBe('tidewrack-small');
  for (const one of [bench(), bench([]), bench([{ ...follower, pinned: true }])]) expect(followedNow(one)).toBe(one);
  // One that is pinned stays, another follows.
  const two = bench([{ candidate: 'Z', offer: 'x', pinned: true }, follower]);
  expect(followedNow(two).decision.candidates[0]?.plans[0]?.plan).toBe('tidewrack-small');
});

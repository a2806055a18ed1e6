import { describe, expect, it } from 'vitest';
import { takeApart } from '../decision/take-apart';
import { withDecision, type Workbench } from '../decision/workbench';
import { kiteDecision } from '../tests/kite-decision';
import { assembleToPrice } from './assemble-to-price';
import { setAsideOf, withSetAside, withTakenBack } from './set-aside';

const both = {
  id: 'C',
  label: 'Both',
  plans: [
    { plan: 'pa', term: 'm' },
    { plan: 'pb', term: 'm' },
  ],
};
let next = 0;
const bench: Workbench = takeApart({ ...kiteDecision(), candidates: [...kiteDecision().candidates, both] }, () => `s${next++}`);
const without = (...offers: string[]) =>
  offers.reduce((one, offer) => withDecision(one, (decision) => withSetAside(decision, offer, 'no stall', '0', '2026-11-28')), bench);
const priced = (of: Workbench) => {
  const { file, heldBack } = assembleToPrice(of);
  return [file.candidates.map(({ id }) => id).join(' '), heldBack.length];
};

describe('a vendor that is set aside', () => {
  it('is not priced, nor is what is put together with it; the candidates are kept', () => {
    expect(priced(bench)).toEqual(['A B C', 0]);
    expect(priced(without('a'))).toEqual(['B', 0]);
    expect(priced(without('a', 'b'))).toEqual(['', 0]);
    expect(without('a').decision.candidates).toHaveLength(3);
  });

  it('is known by any of the plans', () => {
    expect(setAsideOf(both, bench)).toBeUndefined();
    expect(setAsideOf(both, without('b'))).toBe('b');
    expect(setAsideOf({ plans: [{ plan: 'pa', term: 'm' }] }, without('b'))).toBeUndefined();
    expect(setAsideOf({ plans: [] }, without('b'))).toBeUndefined();
  });

  it('has one reason, the last that was given, and none once it is considered again', () => {
    const again = withSetAside(without('a', 'b').decision, 'a', 'too dear', '12.50', '2026-12-01');
    expect(again.setAside).toEqual([
      { offer: 'b', on: '2026-11-28', reason: 'no stall', ahead: '0' },
      { offer: 'a', on: '2026-12-01', reason: 'too dear', ahead: '12.50' },
    ]);
    expect(withTakenBack(again, 'b').setAside?.map(({ offer }) => offer)).toEqual(['a']);
    expect(withTakenBack(withTakenBack(again, 'b'), 'a')).toEqual(bench.decision);
  });
});

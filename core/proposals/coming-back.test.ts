import { describe, expect, it } from 'vitest';
import { withSetAside } from '../assembly/set-aside';
import type { Workbench } from '../decision/workbench';
import { smallDecision } from '../tests/small-decision';
import { typedSheet } from '../tests/typed-sheet';
import { comingBack } from './coming-back';
import { decisionProposals } from './decision-proposals';
import { unseenBest } from './unseen-best';

/** Tidewrack at 9 a month and Oakum at a price a month, over a year; only Tidewrack is a candidate. */
function benchOf(oakum: string, ahead: string, aside: readonly string[] = ['oakum']): Workbench {
  const sheets = [typedSheet('Tidewrack', { Small: '9/mo' }), typedSheet('Oakum', { Shared: `${oakum}/mo` })].map((sheet, index) => ({
    id: `s${index}`,
    revision: 1,
    sheet,
  }));
  const [first] = sheets;
  const term = first?.sheet.kind === 'offer' ? first.sheet.offer.plans[0]?.terms[0]?.id : undefined;
  const decision = smallDecision({ candidates: [{ id: 'A', label: 'Tidewrack', plans: [{ plan: 'tidewrack-small', term: term ?? '' }] }] });
  return { sheets, decision: aside.reduce((one, offer) => withSetAside(one, offer, 'slow', ahead, '2026-05-03'), decision) };
}
const backOf = (bench: Workbench) => comingBack(bench, decisionProposals(bench));

describe('a vendor that was set aside', () => {
  it('comes back into view when it would be the best by now', () => {
    // 12 × 9 against 12 × 7.
    expect(backOf(benchOf('7', '0'))).toEqual({ offer: 'oakum', label: 'Oakum Shared', on: '2026-05-03', reason: 'slow', by: '24.00' });
    expect(backOf(benchOf('10', '0'))).toBeNull();
    expect(backOf(benchOf('7', '0', []))).toBeNull();
  });

  it('stays away as long as it is no further ahead than it was when it was set aside', () => {
    expect(backOf(benchOf('7', '24.00'))).toBeNull();
    expect(backOf(benchOf('6', '24.00'))).toMatchObject({ by: '36.00' });
  });

  it('comes back where nobody is left to choose', () => {
    expect(backOf(benchOf('10', '0', ['tidewrack', 'oakum']))).toMatchObject({ offer: 'tidewrack', by: null });
  });

  it('is not told as something that nobody has seen yet', () => {
    const bench = benchOf('7', '24.00');
    expect(unseenBest(bench, decisionProposals(bench))).toBeNull();
    const seen = benchOf('7', '24.00', []);
    expect(unseenBest(seen, decisionProposals(seen))).toMatchObject({ by: '24.00' });
  });
});

describe('of several vendors set aside', () => {
  const sheets = [
    typedSheet('Tidewrack', { Small: '9/mo' }),
    typedSheet('Oakum', { Shared: '7/mo' }),
    typedSheet('Brindle', { Shop: '5/mo' }),
    typedSheet('Fairlight', { Stall: 'price on request' }),
  ].map((sheet, index) => ({ id: `s${index}`, revision: 1, sheet }));
  const termOf = (at: number) => {
    const sheet = sheets[at]?.sheet;
    return sheet?.kind === 'offer' ? (sheet.offer.plans[0]?.terms[0]?.id ?? '') : '';
  };
  const tidewrackOnly = [{ id: 'A', label: 'Tidewrack', plans: [{ plan: 'tidewrack-small', term: termOf(0) }] }];
  const bench = (aside: readonly string[], candidates = tidewrackOnly): Workbench => ({
    sheets,
    decision: smallDecision({
      candidates,
      setAside: aside.map((offer) => ({ offer, on: '2026-05-03', reason: `why ${offer}`, ahead: '0' })),
    }),
  });

  it('the one that would be best by most comes back', () => {
    for (const aside of [
      ['oakum', 'brindle'],
      ['brindle', 'oakum'],
    ])
      expect(backOf(bench(aside))).toEqual({
        offer: 'brindle',
        label: 'Brindle Shop',
        on: '2026-05-03',
        reason: 'why brindle',
        by: '48.00',
      });
  });

  it('none does whose price is not known, or that is on no sheet', () => {
    expect(backOf(bench(['fairlight']))).toBeNull();
    expect(backOf(bench(['gone']))).toBeNull();
    expect(backOf(bench([]))).toBeNull();
  });

  it('one that is a candidate already is not put together anew', () => {
    const own = [...tidewrackOnly, { id: 'B', label: 'My Brindle', plans: [{ plan: 'brindle-shop', term: termOf(2) }] }];
    expect(backOf(bench(['brindle'], own))).toMatchObject({ label: 'My Brindle', by: '48.00' });
  });
});

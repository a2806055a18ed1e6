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

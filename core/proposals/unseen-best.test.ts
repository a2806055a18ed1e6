import { describe, expect, it } from 'vitest';
import type { Workbench } from '../decision/workbench';
import { smallDecision } from '../tests/small-decision';
import { typedSheet } from '../tests/typed-sheet';
import { decisionProposals } from './decision-proposals';
import { withFollower } from './edit-followed';
import { unseenBest } from './unseen-best';

const sheets = [typedSheet('Tidewrack', { Small: '9/mo', Plus: '34/mo' }), typedSheet('Oakum', { Shared: '12/mo or 60/yr' })].map(
  (sheet, index) => ({ id: `s${index}`, revision: 1, sheet }),
);
const termOf = (plan: string) =>
  sheets.flatMap(({ sheet }) => (sheet.kind === 'offer' ? sheet.offer.plans : [])).find(({ id }) => id === plan)?.terms[0]?.id ?? '';
const benchOf = (...plans: string[]): Workbench => ({
  decision: smallDecision({
    candidates: plans.map((plan, at) => ({ id: 'AB'[at] ?? 'C', label: plan, plans: [{ plan, term: termOf(plan) }] })),
  }),
  sheets,
});
const unseen = (bench: Workbench) => unseenBest(bench, decisionProposals(bench));

describe('what is best without being a candidate', () => {
  it('is named with how much better it would be', () => {
    // By the year Oakum takes 60, Tidewrack 12 × 9.
    expect(unseen(benchOf('tidewrack-small'))).toMatchObject({
      words: 'Oakum Shared, by the year',
      by: '48.00',
      proposed: { offer: 'oakum' },
    });
    expect(unseen(benchOf('tidewrack-small', 'oakum-shared'))).toMatchObject({ by: '48.00' });
  });

  it('is nothing once it is one, or where no vendor has anything better', () => {
    const bench = benchOf('tidewrack-plus');
    const found = unseen(bench);
    expect(found?.proposed.offer).toBe('oakum');
    if (!found) return;
    expect(unseen({ ...bench, decision: withFollower(bench, found.proposed, '2026-11-28') })).toBeNull();
  });

  it('has nothing to be set against where no candidate can be chosen', () => {
    expect(unseen(benchOf())).toMatchObject({ words: 'Oakum Shared, by the year', by: null });
  });
});

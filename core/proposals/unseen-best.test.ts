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

describe('of two vendors together', () => {
  const pairSheets = [
    typedSheet('Saltwort', { Shop: '6/mo, checkout: yes, own domain: no' }),
    typedSheet('Oakum', { Shared: '3/mo, own domain: yes, checkout: no' }),
  ].map((sheet, index) => ({ id: `s${index}`, revision: 1, sheet }));
  const bench = (more: Partial<Workbench['decision']> = {}): Workbench => ({
    decision: smallDecision({ needs: ['checkout', 'own-domain'].map((feature) => ({ feature, level: 'must' as const })), ...more }),
    sheets: pairSheets,
  });
  const aside = (offer: string) => ({ setAside: [{ offer, on: '2026-05-03', reason: 'slow', ahead: '0' }] });

  it('the pair is named, unless one of them was set aside or it is a candidate already', () => {
    expect(unseen(bench())).toMatchObject({ proposed: { offer: 'saltwort', with: 'oakum' }, by: null });
    expect(unseen(bench(aside('oakum')))).toBeNull();
    expect(unseen(bench(aside('saltwort')))).toBeNull();
    const found = unseen(bench());
    if (!found) throw new Error('a pair is expected');
    expect(unseen(bench(withFollower(bench(), found.proposed, '2026-11-28')))).toBeNull();
  });
});

describe('what is set aside or there already', () => {
  it('is not named again', () => {
    const aside = { setAside: [{ offer: 'oakum', on: '2026-05-03', reason: 'slow', ahead: '0' }] };
    const bench = benchOf('tidewrack-plus');
    // Tidewrack Small costs 12 × 25 less than Plus; Oakum would be cheaper still.
    expect(unseen({ ...bench, decision: { ...bench.decision, ...aside } })).toMatchObject({
      words: 'Tidewrack Small, by the month',
      by: '300.00',
    });
    const byTheYear = sheets
      .flatMap(({ sheet }) => (sheet.kind === 'offer' ? sheet.offer.plans : []))
      .find(({ id }) => id === 'oakum-shared')?.terms[1]?.id;
    const all = [
      { id: 'A', label: 'a', plans: [{ plan: 'tidewrack-small', term: termOf('tidewrack-small') }] },
      { id: 'B', label: 'b', plans: [{ plan: 'oakum-shared', term: byTheYear ?? '' }] },
    ];
    expect(unseen({ ...bench, decision: { ...bench.decision, candidates: all } })).toBeNull();
  });
});

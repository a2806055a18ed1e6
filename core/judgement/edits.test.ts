import fc from 'fast-check';
import { expect, it } from 'vitest';
import { withCopiedCandidate, withoutCandidate } from '../decision/candidates';
import { assembleDecisionFile } from '../assembly/assemble';
import { decisionSchema } from '../decision/decision-schema';
import { priceSheetSchema } from '../decision/price-sheet';
import type { Decision } from '../decision/decision-schema';
import { type Workbench, withDecision, withSheet } from '../decision/workbench';
import { readDecisionFile } from '../decision-file/read';
import { type GivenAnswer, withAnswer, withAnswerByAddon } from '../needs/edit-answers';
import { newNeed, withChangedNeed, withNeed } from '../needs/edit-needs';
import { needKey } from '../wording/need-words';
import { withStarterSets } from '../needs/starter-sets';
import { decisionProposals } from '../proposals/decision-proposals';
import { withFollower, withPinned } from '../proposals/edit-followed';
import { withFollowed } from '../proposals/followed';
import { withMarkGiven, withQualities, withTried, withVendor } from '../qualities/edit-qualities';
import { USUAL_QUALITIES } from '../qualities/usual-qualities';
import { smallDecision } from '../tests/small-decision';
import { typedSheet } from '../tests/typed-sheet';
import { judge } from './work-out';

const EDITS = { copy: withCopiedCandidate, remove: withoutCandidate, pin: (one: Decision, id: string) => withPinned(one, id, true) };

type Step = (workbench: Workbench) => Workbench;

const start: Workbench = {
  decision: smallDecision({ hourValue: '20' }),
  sheets: [
    {
      id: 's0',
      revision: 1,
      sheet: typedSheet('Tidewrack', { Small: '10/mo, 2 seats', Plus: '34/mo, 9 seats, gift cards: yes' }, { addons: { Club: '9/mo' } }),
    },
    { id: 's1', revision: 1, sheet: typedSheet('Oakum', { Shared: '3/mo', Roomy: 'price on request' }) },
  ],
};

const words = fc.constantFrom(
  'Gift cards',
  'seats',
  'gives books',
  'books',
  'without adverts',
  'adverts',
  'owned.x',
  'Überweisung',
  '***',
  'constructor',
  'languages',
);
const needAt = ({ decision: { needs = [] } }: Workbench, at: number) => needs[at % Math.max(1, needs.length)];

const steps: fc.Arbitrary<Step> = fc.oneof(
  fc.record({ words, kind: fc.constantFrom('yes-no' as const, 'at-least' as const, 'connects' as const, 'without' as const) }).map(
    ({ words: text, kind }): Step =>
      (workbench) =>
        withDecision(workbench, (one) => withNeed(one, newNeed(text, kind, []))),
  ),
  fc
    .record({
      at: fc.nat(9),
      change: fc.constantFrom(
        { level: 'must' as const },
        { level: 'want' as const },
        { least: '0' },
        { least: '7.5' },
        { from: '2027-06' },
        { from: '2035-01' },
        { direction: 'both' as const },
        { weight: '0' },
        { label: '' },
      ),
    })
    .map(({ at, change }): Step => (workbench) => {
      const need = needAt(workbench, at);
      return need
        ? withDecision(workbench, (one) => withChangedNeed(one, needKey(need), (former) => ({ ...former, ...change })))
        : workbench;
    }),
  fc.nat(9).map((at): Step => (workbench) => {
    const need = needAt(workbench, at);
    return need ? withDecision(workbench, (one) => withChangedNeed(one, needKey(need), () => null)) : workbench;
  }),
  fc
    .record({
      at: fc.nat(9),
      plan: fc.constantFrom('tidewrack-small', 'tidewrack-plus', 'oakum-shared'),
      answer: fc.constantFrom<GivenAnswer>(
        { kind: 'yes' },
        { kind: 'no' },
        { kind: 'not-known' },
        { kind: 'amount', amount: '4' },
        { kind: 'one-way', way: 'from' },
      ),
    })
    .map(({ at, plan, answer }): Step => (workbench) => {
      const need = needAt(workbench, at);
      return need
        ? withSheet(workbench, plan.startsWith('oakum') ? 's1' : 's0', (sheet) => withAnswer(sheet, plan, need, answer))
        : workbench;
    }),
  fc.nat(9).map((at): Step => (workbench) => {
    const need = needAt(workbench, at);
    return need ? withSheet(workbench, 's0', (sheet) => withAnswerByAddon(sheet, need, { id: 'tidewrack-club' })) : workbench;
  }),
  fc.constant<Step>((workbench) =>
    withDecision(workbench, (one) => ({ ...one, needs: withStarterSets(one.needs ?? [], ['goods', 'together', 'abroad']) })),
  ),
  fc.nat(3).map((at): Step => (workbench) => {
    const proposed = decisionProposals(workbench).vendors.flatMap(({ offer, proposed: found }) => (found ? [{ offer, ...found }] : []))[at];
    return proposed ? withDecision(workbench, () => withFollower(workbench, proposed, '2026-11-25')) : workbench;
  }),
  fc.record({ id: fc.constantFrom('A', 'B', 'C'), what: fc.constantFrom('copy' as const, 'remove' as const, 'pin' as const) }).map(
    ({ id, what }): Step =>
      (workbench) =>
        withDecision(workbench, (one) => EDITS[what](one, id)),
  ),
  fc.constant<Step>((workbench) =>
    withDecision(workbench, (one) =>
      withVendor(withQualities(one, USUAL_QUALITIES), 'tidewrack', (notes) =>
        withTried(withMarkGiven(notes, 'room', '4', '2026-11-25'), 't', { mark: '7' }),
      ),
    ),
  ),
  fc.constant<Step>((workbench) => ({ ...workbench, sheets: workbench.sheets.slice(0, 1) })),
);

it('whatever is done one after the other, the decision can be kept, computed and judged', () => {
  fc.assert(
    fc.property(fc.array(steps, { minLength: 1, maxLength: 10 }), (all) => {
      const workbench = all.reduce((changed, step) => step(changed), start);
      expect(decisionSchema.safeParse(workbench.decision).error?.issues).toBeUndefined();
      for (const { sheet } of workbench.sheets) expect(priceSheetSchema.safeParse(sheet).error?.issues).toBeUndefined();
      const proposals = decisionProposals(workbench);
      const live = withFollowed(workbench, proposals);
      expect(() => readDecisionFile(assembleDecisionFile(live).file)).not.toThrow();
      const { questions, firstPlaces } = judge(workbench, proposals);
      expect(questions.every(({ partLabel }) => partLabel.length > 0)).toBe(true);
      expect(firstPlaces.reduce((sum, { share }) => sum + share, 0)).toBeLessThanOrEqual(1 + 1e-9);
    }),
    { numRuns: 200 },
  );
}, 60_000);

import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import type { PriceSheet } from '../decision/price-sheet';
import { smallDecision } from '../tests/small-decision';
import { typedSheet } from '../tests/typed-sheet';
import { assembleDecisionFile } from '../assembly/assemble';
import { readDecisionFile } from '../decision-file/read';
import { priceDecision } from '../comparison/decision-result';
import { answerOf, askedVendors, isMet } from './answers';
import { withAnswer } from './edit-answers';
import type { GivenAnswer } from './edit-answers';
import type { DecisionNeed } from '../decision/need-schema';

const sheet = typedSheet('Tidewrack', { Small: '10/mo, 2 seats' });
const PLAN = 'tidewrack-small';

const needArbitrary: fc.Arbitrary<DecisionNeed> = fc.oneof(
  fc.record({ feature: fc.constantFrom('gift-cards', 'video'), level: fc.constant('must' as const), kind: fc.constant('yes-no' as const) }),
  fc.record({
    feature: fc.constantFrom('gift-cards', 'adverts'),
    level: fc.constant('must' as const),
    kind: fc.constant('yes-no' as const),
    without: fc.constant(true as const),
  }),
  fc.record({
    feature: fc.constantFrom('languages', 'staff'),
    level: fc.constant('must' as const),
    kind: fc.constant('at-least' as const),
    least: fc.constantFrom('1', '3', '12.5'),
  }),
  fc.record({
    feature: fc.constant('books'),
    level: fc.constant('must' as const),
    kind: fc.constant('connects' as const),
    to: fc.constant('books'),
    direction: fc.constantFrom('to' as const, 'from' as const, 'both' as const),
  }),
);

const givenArbitrary = (need: DecisionNeed): fc.Arbitrary<GivenAnswer> => {
  const plain = fc.constantFrom<GivenAnswer>({ kind: 'yes' }, { kind: 'no' }, { kind: 'not-known' });
  if (need.kind === 'at-least')
    return fc.oneof(plain, fc.constantFrom<GivenAnswer>(...['0', '2', '3', '40'].map((amount) => ({ kind: 'amount' as const, amount }))));
  return need.direction === 'both'
    ? fc.oneof(plain, fc.constantFrom<GivenAnswer>({ kind: 'one-way', way: 'to' }, { kind: 'one-way', way: 'from' }))
    : plain;
};
const arbitrary = needArbitrary.chain((need) => givenArbitrary(need).map((given) => ({ need, given })));

function answered(on: PriceSheet, need: DecisionNeed) {
  const asked = askedVendors([{ id: 's', sheet: on }])[0]?.plans[0];
  if (!asked) throw new Error('a plan is expected');
  return answerOf(need, asked);
}

describe('the matrix and the decision file agree', () => {
  it('a need is met in the one if the candidate is usable by the other, and not known in both or neither', () => {
    fc.assert(
      fc.property(arbitrary, ({ need, given }) => {
        const changed = withAnswer(sheet, PLAN, need, given);
        const answer = answered(changed, need);
        const plan = changed.kind === 'offer' ? changed.offer.plans[0] : undefined;
        const decision = smallDecision({
          needs: [need],
          candidates: [{ id: 'A', label: 'A', plans: [{ plan: PLAN, term: plan?.terms[0]?.id ?? '' }] }],
        });
        const { file } = assembleDecisionFile({ decision, sheets: [{ id: 's', revision: 1, sheet: changed }] });
        const [result] = priceDecision(readDecisionFile(file)).result.candidates;
        expect(isMet(answer, need)).toBe(result?.usable);
        if (answer.kind === 'not-known') expect(result?.unclear.length).toBeGreaterThan(0);
      }),
      { numRuns: 200 },
    );
  });

  it('an answer that is given twice is the same as given once, and the last one counts', () => {
    fc.assert(
      fc.property(
        arbitrary,
        fc.constantFrom<GivenAnswer>({ kind: 'yes' }, { kind: 'no' }, { kind: 'not-known' }),
        ({ need, given }, before) => {
          const once = withAnswer(sheet, PLAN, need, given);
          expect(answered(withAnswer(once, PLAN, need, given), need)).toEqual(answered(once, need));
          const isLimitKept = need.feature !== 'staff';
          if (isLimitKept)
            expect(answered(withAnswer(withAnswer(sheet, PLAN, need, before), PLAN, need, given), need)).toEqual(answered(once, need));
        },
      ),
    );
  });
});

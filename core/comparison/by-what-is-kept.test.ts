import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { assembleDecisionFile } from '../assembly/assemble';
import { takeApart } from '../decision/take-apart';
import { readDecisionFile } from '../decision-file/read';
import type { DecisionFile } from '../decision-file/schema';
import { kiteDecision } from '../tests/kite-decision';
import { readOrNull } from '../tests/read-or-null';
import { versionTwoDecision } from '../tests/version-two-decision';
import { inOrder } from './best';
import { bestTwo } from './best-two';
import { priceDecision } from './decision-result';
import { liftThatTurns } from './lift-that-turns';
import { lineUp } from './line-up';
import { salesScale } from './sales-scale';

/** Of the kites, Alder brings more orders: it costs 120 + 612 × k and leaves 5,508 × k − 120 at a lift of 2 %; Birch leaves 5,880 × k − 360. */
function lifted(lift: string, by: 'cost' | 'keep'): DecisionFile {
  const file = kiteDecision({ version: 2, cheapestAt: { by } });
  return { ...file, candidates: file.candidates.map((one) => (one.id === 'A' ? { ...one, lift } : one)) };
}

describe('candidates compared by what is kept', () => {
  it('stand by it, with their lead in it', () => {
    const byKeep = lineUp(priceDecision(lifted('30', 'keep')));
    expect(byKeep).toMatchObject({ by: 'keep', leader: { id: 'A' }, runnerUp: { column: { id: 'B' }, margin: '1380.00' } });
    expect(byKeep.columns.map(({ id, difference, keptDifference }) => [id, difference, keptDifference])).toEqual([
      ['A', null, null],
      ['B', '-420.00', '-1380.00'],
    ]);
    const byCost = lineUp(priceDecision(lifted('30', 'cost')));
    expect(byCost).toMatchObject({ by: 'cost', leader: { id: 'B' }, runnerUp: { column: { id: 'A' }, margin: '420.00' } });
  });

  it('have joints of their own on the scale of sales', () => {
    const jointOf = (by: 'cost' | 'keep') => salesScale(priceDecision(lifted('2', by)).pricing)?.stretches[0];
    expect(jointOf('keep')).toMatchObject({ candidate: 'A', to: expect.closeTo(240 / 372, 9) as number });
    expect(jointOf('cost')).toMatchObject({ candidate: 'A', to: expect.closeTo(240 / 492, 9) as number });
  });

  it('turn at a lift', () => {
    expect(liftThatTurns(priceDecision(lifted('30', 'keep')), 'A', 'B')).toBe('4.5');
    expect(liftThatTurns(priceDecision(lifted('4.45', 'keep')), 'A', 'B')).toBe('4.45');
    expect(liftThatTurns(priceDecision(lifted('2', 'keep')), 'A', 'B')).toBeNull();
    expect(liftThatTurns(priceDecision(lifted('0', 'keep')), 'A', 'B')).toBeNull();
    expect(liftThatTurns(priceDecision(lifted('30', 'keep')), 'A', 'nobody')).toBeNull();
  });

  it('turn at the first tenth of a percent at which more is left, whatever fees and limits do', () => {
    fc.assert(
      fc.property(versionTwoDecision, fc.integer({ min: 1, max: 400 }), (made, tenths) => {
        const stated = String(tenths / 10);
        const read = readOrNull({ ...made, version: 2 });
        const [one, other] = read?.candidates ?? [];
        if (!read || !one || !other) return;
        const keeps = (lift: string) => {
          const { candidates } = priceDecision({ ...read, candidates: [{ ...one, lift }, other] }).result;
          return [Number(candidates[0]?.keep), Number(candidates[1]?.keep)] as const;
        };
        const leavesMore = ([own, bar]: readonly [number, number]) => own > bar;
        const turns = liftThatTurns(priceDecision({ ...read, candidates: [{ ...one, lift: stated }, other] }), one.id, other.id);
        expect(turns !== null).toBe(leavesMore(keeps(stated)) && !leavesMore(keeps('0')));
        if (turns === null) return;
        expect(leavesMore(keeps(turns))).toBe(true);
        const before = Math.ceil(Number(turns) * 10 - 1e-9) - 1;
        expect(leavesMore(keeps(String(before / 10)))).toBe(false);
      }),
      { numRuns: 100 },
    );
  });

  it('have the best two that pricing everything gives', () => {
    fc.assert(
      fc.property(versionTwoDecision, (made) => {
        const file = readOrNull({ ...made, version: 2, cheapestAt: { by: 'keep' } });
        if (!file) return;
        const [first, second] = inOrder(priceDecision(file).result.candidates, 'keep');
        const found = bestTwo(file);
        expect([found?.first, found?.second]).toEqual([first?.id, first ? (second?.id ?? null) : undefined]);
      }),
      { numRuns: 100 },
    );
  }, 60_000);

  it('is a choice that goes with the decision into its file and back', () => {
    const workbench = takeApart(readDecisionFile(lifted('30', 'keep')), () => crypto.randomUUID());
    expect(workbench.decision.comparedBy).toBe('keep');
    expect(assembleDecisionFile(workbench).file.cheapestAt).toEqual({ by: 'keep' });
    expect(takeApart(kiteDecision(), () => 'x').decision).not.toHaveProperty('comparedBy');
  });
});

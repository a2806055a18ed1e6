import { describe, expect, it } from 'vitest';
import { kiteDecision } from '#core/tests/kite-decision';
import { assumptionsOf } from '#core/what-if/assumption';
import { turnsIt } from '#core/what-if/turns-it';
import type { DecisionFile } from '#core/decision-file/schema';
import { writerFor } from '../../locale/writer';
import { noGapWords, turnsSentence } from './words';

const write = writerFor('en-GB');
const nameOf = (id: string | null) => (id === null ? 'nobody' : ({ A: 'Alder', B: 'Birch' }[id] ?? id));

describe('what turns it, in a sentence', () => {
  const sentence = (file: DecisionFile, low: number) => {
    const varied = assumptionsOf(file).map((one) => ({
      assumption: one,
      low: one.key === 'orders:kites' ? low : one.usual[0],
      high: one.usual[1],
    }));
    return turnsSentence(turnsIt(file, varied), (key) => assumptionsOf(file).find((one) => one.key === key), nameOf, write);
  };

  it('names the strongest turning point', () => {
    expect(sentence(kiteDecision(), -80)).toBe(
      'Birch is ahead of Alder by 240. It turns with “Orders, Kites”: below 50 a month (−50%) Alder is cheapest.',
    );
  });

  it('says that nothing turns it, and that there is only one', () => {
    expect(sentence(kiteDecision(), -10)).toBe('Birch is ahead of Alder by 240. Nothing turns that, over the ranges stated.');
    expect(sentence(kiteDecision({ candidates: kiteDecision().candidates.slice(0, 1) }), -10)).toBe(
      'Alder is the only one that can be chosen. Nothing turns that, over the ranges stated.',
    );
  });

  it('does not say that nothing moves the gap where somebody drops out instead', () => {
    const end = { gap: null, winner: null };
    const turn = { key: 'quantity:visits', low: end, high: end, swing: 0, below: null, above: null };
    expect(noGapWords({ turns: [turn] })).toBe('Over the ranges stated, nothing moves the gap between the first and the second.');
    expect(noGapWords({ turns: [{ ...turn, above: { at: 20, winner: null } }] })).toContain('somebody can no longer be chosen');
  });
});

import { describe, expect, it } from 'vitest';
import type { Waited, WaitingAnswer } from '#core/chance/waiting';
import { writerFor } from '../../locale/writer';
import { beginningWords, savesWords, switchWords, waitingSentence } from './waiting-words';

const write = writerFor('en-GB', 'EUR');
const nameOf = (id: string) => ({ A: 'Marlpit Grow', B: 'Wharfside Trade' })[id] ?? id;
const month = (index: number) => `month ${index}`;
const now = { candidate: 'B', isByMonth: false };
const waited = (more: Partial<Waited> = {}): Waited => ({
  months: 3,
  begin: { candidate: 'A', isByMonth: true },
  saves: '81.40',
  bySeeing: '30.00',
  moves: 0.4,
  ...more,
});
const answerOf = (one: Waited | null, more: Partial<WaitingAnswer> = {}): WaitingAnswer => ({
  now,
  waits: one ? [one] : [],
  best: one ? 0 : null,
  ...more,
});

describe('what waiting is worth, in words', () => {
  it.each<[string, WaitingAnswer]>([
    [
      'Begin with Marlpit Grow by the month, and decide in month 3, after 3 months: that saves €81 on average beside choosing Wharfside Trade now, €30 of it because you’ll have seen by then how it sells.',
      answerOf(waited()),
    ],
    [
      'Begin with Wharfside Trade, and decide in month 1, after one month: that saves €81 on average beside staying with it whatever happens, because you’ll have seen by then how it sells.',
      answerOf(waited({ months: 1, begin: now, bySeeing: '81.40' })),
    ],
    [
      'Begin with Marlpit Grow, and decide in month 3, after 3 months: that saves €81 on average beside choosing Wharfside Trade now; it comes from the move alone, not from what you’ll have seen by then.',
      answerOf(waited({ begin: { candidate: 'A', isByMonth: false }, bySeeing: '0.20' })),
    ],
    [
      'Waiting does not pay: to begin with Marlpit Grow by the month and decide in month 3 costs €38 more on average than choosing Wharfside Trade now.',
      answerOf(waited({ saves: '-38.00' })),
    ],
    ['Waiting is worth nothing: Wharfside Trade now is as good as anything you could decide later.', answerOf(waited({ saves: '0.20' }))],
    ['These futures lie too far apart to say what waiting is worth.', answerOf(waited({ saves: '33047813911549570000000' }))],
    ['Nothing here can be paid by the month, so there is nothing to wait with: choose Wharfside Trade now.', answerOf(null)],
    ['There is nothing to wait for: no candidate can be used in nearly all of these futures.', answerOf(null, { now: null })],
  ])('%s', (words, answer) => {
    expect(waitingSentence(answer, nameOf, write, month)).toBe(words);
  });

  it.each([
    ['81.40', '€81'],
    ['0.30', 'nothing'],
    ['-12.00', 'costs €12 more'],
    ['33047813911549570000000', 'beyond measure'],
  ])('%s is said as %s', (amount, words) => {
    expect(savesWords(amount, write)).toBe(words);
  });

  it('says how often one switches', () => {
    expect([0, 0.004, 0.4, 1].map(switchWords)).toEqual(['never', 'in fewer than 1 of 100', 'in 40 of 100', 'always']);
  });

  it('names how it is paid', () => {
    expect(beginningWords({ candidate: 'A', isByMonth: true }, nameOf)).toBe('Marlpit Grow by the month');
  });
});

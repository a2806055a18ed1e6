import { describe, expect, it } from 'vitest';
import type { DecisionSummary } from '#core/judgement/decision-summary';
import { writerFor } from '../locale/writer';
import { answerWords, toFindOutWords, verdictWords } from './summary-words';

const write = writerFor('en');
const summary: DecisionSummary = {
  candidates: 3,
  by: 'cost',
  leader: 'Birch',
  total: '480.00',
  margin: '240.00',
  way: null,
  months: 12,
  currency: 'EUR',
  scale: null,
  toFindOut: 0,
  verdict: null,
};
const verdict: DecisionSummary['verdict'] = {
  name: 'Alder, then Birch',
  on: '2026-11-03',
  isTwo: false,
  since: { standing: 'holds', dearer: '12.00', then: null, now: null, isOtherMeasure: false },
};

describe('a decision in the list', () => {
  it('has its answer in a sentence', () => {
    expect(answerWords(summary, write)).toBe('Birch costs least: 480 over 12 months, 240 less than the next.');
    expect(answerWords({ ...summary, margin: null }, write)).toBe('Birch costs least: 480 over 12 months.');
    expect(answerWords({ ...summary, by: 'keep' }, write)).toBe('Birch leaves you most over 12 months, 240 more than the next.');
    expect(answerWords({ ...summary, leader: null, total: null }, write)).toBe('No answer yet.');
    const way = {
      parts: [
        { label: 'Alder', from: '2027-01' },
        { label: 'Birch', from: '2027-06' },
      ],
      total: '430.00',
      less: '50.00',
    };
    expect(answerWords({ ...summary, way }, write)).toBe(
      'Begin on Alder, move to Birch in June 2027: 430 over 12 months, 50 less than Birch throughout.',
    );
  });

  it('says how its verdict stands, or that there is none', () => {
    expect(verdictWords(summary, write)).toBe('No verdict yet, 3 candidates');
    expect(verdictWords({ ...summary, candidates: 1 }, write)).toBe('No verdict yet, 1 candidate');
    expect(verdictWords({ ...summary, verdict }, write)).toBe(
      'Verdict of 3 November 2026: Alder, then Birch is now 12 dearer; the verdict still holds.',
    );
    expect(verdictWords({ ...summary, verdict: { ...verdict, isTwo: true, name: 'Alder with Birch' } }, write)).toBe(
      'Verdict of 3 November 2026: Alder with Birch are now 12 dearer; the verdict still holds.',
    );
  });

  it('says how much is to find out', () => {
    expect(toFindOutWords(summary)).toBeNull();
    expect(toFindOutWords({ ...summary, toFindOut: 1 })).toBe('1 thing to find out');
    expect(toFindOutWords({ ...summary, toFindOut: 12 })).toBe('12 things to find out');
  });
});

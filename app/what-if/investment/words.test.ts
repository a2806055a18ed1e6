import { describe, expect, it } from 'vitest';
import { kiteDecision } from '#core/tests/kite-decision';
import { judgeInvestment } from '#core/what-if/investment';
import { writerFor } from '../../locale/writer';
import { investmentSentence } from './words';

const write = writerFor('en-GB');

describe('the bigger investment, in a sentence', () => {
  const sentence = (build: string, lift: string) => {
    const judged = judgeInvestment(kiteDecision(), {
      instead: 'A',
      on: 'A',
      build,
      photographs: '0',
      texts: '0',
      upkeep: '0',
      hours: { setup: '0', monthly: '0' },
      lift: { cautious: '0', expected: lift, hopeful: '0' },
    });
    return judged ? investmentSentence(judged, 12, write) : '';
  };

  it('says from which lift on it pays, and when it has paid for itself', () => {
    // Each percent more brings 60 of margin and costs 6 in fees: 540 at 10%, against 270 paid.
    expect(sentence('270', '10')).toBe(
      'It pays if it brings 5% more online orders. At the 10% that you expect it leaves you 270 more over 12 months, and has paid for itself in June 2027.',
    );
  });

  it('says that it costs more than it brings, or pays in any case', () => {
    expect(sentence('5400', '10')).toBe(
      'It pays if it brings 100% more online orders. At the 10% that you expect it leaves you 4,860 less over 12 months.',
    );
    expect(sentence('0', '10')).toMatch(/^It pays even without a single order more\./);
    expect(sentence('9000000', '10')).toMatch(/^It does not pay within this time, even with ten times the orders\./);
  });
});

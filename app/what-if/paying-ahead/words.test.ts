import { describe, expect, it } from 'vitest';
import { kiteDecision } from '#core/tests/kite-decision';
import { payingAhead } from '#core/what-if/paying-ahead';
import type { DecisionFile } from '#core/decision-file/schema';
import { writerFor } from '../../locale/writer';
import { payingSentence } from './words';

const write = writerFor('en-GB');

describe('paying ahead, in a sentence', () => {
  const sentence = (file: DecisionFile) => {
    const [paying] = payingAhead(file);
    return paying ? payingSentence(paying, 'Alder', file.months, write) : '';
  };

  it('says what is saved, what is lost by leaving, and from when on nothing is', () => {
    expect(sentence(kiteDecision())).toBe(
      'Paid by the year, Alder costs 24 less over 12 months. Leave after 1 month and 86 is lost; from month 10 on nothing is lost any more.',
    );
  });

  it('says that it saves nothing, as in a horizon of three months', () => {
    expect(sentence(kiteDecision({ months: 3 }))).toBe('Paying ahead saves nothing for Alder over 3 months: by the month costs least.');
  });
});

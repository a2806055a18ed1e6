import { describe, expect, it } from 'vitest';
import { withCurrencyQuestions } from './currency-questions';
import { statementSentence, withPoint } from './price-sentence';
import { readPhrase } from './read-phrase';

const inEuro = { currency: 'EUR', isPriced: true };

function read(text: string, plan: { currency: string; isPriced: boolean }) {
  return withCurrencyQuestions(readPhrase(text), plan).map((clause) => {
    const written = (statements: Parameters<typeof statementSentence>[0][]) =>
      statements.map((one) => statementSentence(one, withPoint)).join(', ');
    if (clause.kind === 'asked') return `? ${clause.options.map(({ statements }) => written([...statements])).join(' | ')}`;
    return clause.kind === 'read' ? written([...clause.statements]) : clause.text;
  });
}

describe('a figure in another currency than its plan', () => {
  it('is the plan’s where the phrase names none, or the same', () => {
    expect(read('27/mo', inEuro)).toEqual(['27 by the month']);
    expect(read('€27/mo', inEuro)).toEqual(['27 by the month']);
    expect(read('$27/mo', { currency: 'CAD', isPriced: true })).toEqual(['27 by the month']);
  });

  it('gives a plan without prices its currency', () => {
    expect(read('£27/mo', { currency: 'EUR', isPriced: false })).toEqual(['everything in GBP, 27 by the month']);
  });

  it('is asked about where the plan has prices already: one plan has one currency', () => {
    expect(read('£27/mo', inEuro)).toEqual(['? everything in GBP, 27 by the month | 27 by the month']);
  });

  it('which dollar is meant is asked', () => {
    expect(read('$27/mo', { currency: 'EUR', isPriced: false })).toEqual([
      '? everything in USD, 27 by the month | everything in CAD, 27 by the month | everything in AUD, 27 by the month | 27 by the month',
    ]);
  });

  it('is part of the answer where something else is asked already: no answer drops it in silence', () => {
    expect(read('£30/yr for something', inEuro)).toEqual(['? everything in GBP, 30 by the year | 30 by the year']);
    expect(read('€30 a year for something', inEuro)).toEqual(['? 30 by the year']);
    expect(read('$30', { currency: 'EUR', isPriced: false })[0]?.split(' | ')).toHaveLength(3 * 4);
  });

  it('leaves what is not understood as it is', () => {
    expect(read('pounds of love', inEuro)).toEqual(['pounds of love']);
  });
});

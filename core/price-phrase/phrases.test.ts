import { describe, expect, it } from 'vitest';
import { PHRASES } from '../tests/phrases';
import { statementSentence, withPoint } from './price-sentence';
import { readPhrase } from './read-phrase';
import type { Clause } from './statement';

function written(clause: Clause): string[] {
  if (clause.kind === 'not-understood') return [`× ${clause.text}`];
  if (clause.kind === 'read') return clause.statements.map((one) => statementSentence(one, withPoint));
  return [
    `? ${clause.options.map(({ statements }) => statements.map((one) => statementSentence(one, withPoint)).join(' and ')).join(' | ')}`,
  ];
}

describe('phrases of pricing pages', () => {
  it('are at least 150', () => {
    expect(PHRASES.length).toBeGreaterThanOrEqual(150);
    expect(new Set(PHRASES.map(([phrase]) => phrase)).size).toBe(PHRASES.length);
  });

  it.each(PHRASES.map(([phrase, ...readings]) => ({ phrase, readings })))('$phrase', ({ phrase, readings }) => {
    expect(readPhrase(phrase).flatMap(written)).toEqual(readings);
  });

  it.each([
    ['1.45 per label up to 600, 0.95 up to 100', 'the tier up to 100 comes after the one up to 600'],
    ['2% of each order, at least 5 per order, at most 3 per order', 'the least of an order is above the most'],
    ['120% off the first payment', 'more than 100% off'],
    ['5000 days free trial', 'more than ten years of days'],
  ])('%s cannot be, and says why', (phrase, why) => {
    const [clause] = readPhrase(phrase);
    expect(clause).toMatchObject({ kind: 'not-understood', why });
  });

  it('keep every character: what is not read is given back', () => {
    for (const [phrase] of PHRASES) {
      const covered = readPhrase(phrase).map(({ from, to }) => [from, to] as const);
      const rest = covered.reduceRight((text, [from, to]) => text.slice(0, from) + text.slice(to), phrase);
      expect(rest.replace(/\b(or|and|plus|then|just|only|but)\b/gi, ''), phrase).toMatch(/^[\s,;./()]*$/);
    }
  });
});

import { describe, expect, it } from 'vitest';
import { isoDate, monthAndYear, monthWords, writtenDate } from './date-rules';
import type { Rule } from './grammar';
import { tokensOf } from './tokens';

/** What a rule reads of a whole text; null where it does not read all of it. */
function readWith(rule: Rule<string>, text: string): string | null {
  const tokens = tokensOf(text);
  const match = rule(tokens, 0);
  return match?.next === tokens.length ? match.value : null;
}

describe('days on pricing pages', () => {
  it.each([
    ['3 March 2027', '2027-03-03'],
    ['3. Mar, 2027', '2027-03-03'],
    ['29 February 2028', '2028-02-29'],
    ['31 dec 2999', '2999-12-31'],
    ['29 February 2027', null],
    ['0 March 2027', null],
    ['32 March 2027', null],
    ['3 Ma 2027', null],
    ['3 March 27', null],
    ['3 March 1027', null],
    ['3 March 20270', null],
  ])('%s is %s', (text, day) => expect(readWith(writtenDate, text)).toBe(day));

  it.each([
    ['2027-03-09', '2027-03-09'],
    ['2027-11-30', '2027-11-30'],
    ['2027-13-01', null],
    ['2027-00-01', null],
    ['2027-02-30', null],
    ['2027-03-00', null],
    ['1999-03-01', null],
    ['20271-03-01', null],
  ])('%s is %s', (text, day) => expect(readWith(isoDate, text)).toBe(day));

  it.each([
    ['March 2027', '2027-03'],
    ['Mar. 2027', '2027-03'],
    ['2027-03', '2027-03'],
    ['2027-13', null],
    ['March 1899', null],
  ])('the month of %s is %s', (text, month) => expect(readWith(monthAndYear, text)).toBe(month));

  it('months are written so that they can be read back', () => {
    for (let month = 1; month <= 12; month++) {
      const text = `2027-${String(month).padStart(2, '0')}`;
      expect(readWith(monthAndYear, monthWords(text))).toBe(text);
    }
    expect(monthWords('2027-03')).toBe('March 2027');
  });
});

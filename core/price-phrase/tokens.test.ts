import { describe, expect, it } from 'vitest';
import { readTheOtherWay, type Token, tokensOf } from './tokens';

/** Tokens in a few characters each: numbers as they are read, words in capitals, signs, currencies in brackets. */
function brief(token: Token): string {
  switch (token.kind) {
    case 'number':
      return token.other === undefined ? token.value : `${token.value}|${token.other}`;
    case 'word':
      return token.text.toUpperCase();
    case 'currency':
      return `[${token.code}]`;
    case 'quoted':
      return `“${token.text}”`;
    case 'line':
      return '⏎';
    case 'sign':
      return token.text;
  }
}

const cut = (text: string) => tokensOf(text).map(brief).join(' ');

describe('tokens of a phrase', () => {
  it.each([
    ['27/mo', '27 / MO'],
    ['€27.50', '[EUR] 27.50'],
    ['27,50 €', '27.50 [EUR]'],
    ['CHF 12 or 12 francs', '[CHF] 12 OR 12 [CHF]'],
    ['all plans', 'ALL PLANS'],
    ['14-day trial', '14 DAY TRIAL'],
    ['set-up fee – 50', 'SET UP FEE - 50'],
    ['2 thousand and 10k', '2000 AND 10000'],
    ['two months', '2 MONTHS'],
    ['25c + .5', '25 C + 0.5'],
    ['“Card: fee”: 2', '“Card: fee” : 2'],
    ['1\n2', '1 ⏎ 2'],
    ['1’234.5', '1234.5'],
    ['1 234 567', '1234567'],
    ['12.34.56', '12.34.56'],
  ])('%s', (text, tokens) => {
    expect(cut(text)).toBe(tokens);
  });

  it('a number that can be read two ways keeps both readings, until another shows which sign is the decimal sign', () => {
    expect(cut('1,200')).toBe('1200|1.200');
    expect(cut('1,200 and 0.16')).toBe('1200 AND 0.16');
    expect(cut('1.200 and 0,16')).toBe('1200 AND 0.16');
    expect(cut('1.234 and 0.16')).toBe('1.234 AND 0.16');
    expect(cut('1,200.50')).toBe('1200.50');
    expect(cut('0,065')).toBe('0.065');
    expect(readTheOtherWay(tokensOf('1,200')).map(brief)).toEqual(['1.200']);
  });

  it.each([
    ['1,234,567.5', '1200 AND 1234567.5'],
    ['1,234.50', '1200 AND 1234.50'],
    ['12,234.5', '1200 AND 12234.5'],
    ['123,234.5', '1200 AND 123234.5'],
    ['1.234,50', '1.200 AND 1234.50'],
    ['12.234,5', '1.200 AND 12234.5'],
    ['1.234.567,8', '1.200 AND 1234567.8'],
    ['1.5 and 2,5', '1200|1.200 AND 1.5 AND 2.5'],
    ['7', '1200|1.200 AND 7'],
  ])('beside %s it is read as %s', (shown, read) => expect(cut(`1,200 and ${shown}`)).toBe(read));

  it('keeps the place of every token, so that nothing of the text is lost', () => {
    const text = 'Basic: €27/mo, then “x” 1,200';
    for (const { from, to } of tokensOf(text)) expect(text.slice(from, to).trim()).toBe(text.slice(from, to));
    expect(
      tokensOf(text)
        .map(({ from, to }) => text.slice(from, to))
        .join('').length,
    ).toBe(text.replace(/\s/g, '').length);
  });
});

import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { readTypedNumber } from './typed-number';

const range = { wanted: 'an amount in EUR' };

describe('readTypedNumber', () => {
  it.each([
    ['27', '27'],
    ['27.50', '27.50'],
    ['27,50', '27.50'],
    [' 1.234,50 ', '1234.50'],
    ['1,234.50', '1234.50'],
    ['1 234 567', '1234567'],
    ['1’234.5', '1234.5'],
    ['1.234.567', '1234567'],
    ['0,065', '0.065'],
    ['.5', '0.5'],
    ['007', '7'],
    ['12345,678', '12345.678'],
  ])('reads %s as %s', (typed, value) => {
    expect(readTypedNumber(typed, range)).toEqual({ ok: true, value });
  });

  it.each(['', 'abc', '1e5', '1,2,3', '12.34.56', '--1', 'Infinity', 'NaN', '1,23,456'])('refuses %j and says what is wanted', (typed) => {
    const read = readTypedNumber(typed, range);
    expect(read).toMatchObject({ ok: false, problem: expect.stringContaining('Enter an amount in EUR') as string });
  });

  it('asks rather than guesses where a separator can be of thousands or of decimals', () => {
    expect(readTypedNumber('1,234', range)).toEqual({ ok: false, problem: '“1,234” can be read two ways: write 1234 or 1.2340.' });
  });

  it('holds bounds and whole numbers', () => {
    const share = { least: 0, most: 100, wanted: 'a percentage' };
    expect(readTypedNumber('100', share).ok).toBe(true);
    expect(readTypedNumber('100,01', share)).toMatchObject({ ok: false });
    expect(readTypedNumber('-0.01', share)).toMatchObject({ ok: false });
    expect(readTypedNumber('2.5', { whole: true, wanted: 'a number of payments' })).toMatchObject({ ok: false });
  });

  it.each([
    [{ wanted: 'a percentage', least: 0, most: 100 }, 'Enter a percentage from 0 to 100.'],
    [{ wanted: 'a percentage from 0 to 100', least: 0, most: 100 }, 'Enter a percentage from 0 to 100.'],
    [{ wanted: 'hours', least: 201 }, 'Enter hours, 201 or more.'],
    [{ wanted: 'days', most: 90 }, 'Enter days, at most 90.'],
    [{ wanted: 'orders', least: 9999 }, 'Enter orders, 9999 or more.'],
    [{ wanted: 'orders', least: 12345678 }, 'Enter orders, 12\u202f345\u202f678 or more.'],
  ])('says what to enter instead of 200: %j', (bounds, problem) => {
    expect(readTypedNumber('200', bounds)).toEqual({ ok: false, problem });
  });

  it('reads every decimal the same with point and comma', () => {
    const decimals = fc.tuple(fc.nat(999_999), fc.nat(99)).map(([whole, part]) => `${whole}.${String(part).padStart(2, '0')}`);
    fc.assert(
      fc.property(decimals, (text) => {
        expect(readTypedNumber(text, range)).toEqual({ ok: true, value: text });
        expect(readTypedNumber(text.replace('.', ','), range)).toEqual({ ok: true, value: text });
      }),
    );
  });
});

import { describe, expect, it } from 'vitest';
import { readTypedNumber } from '#core/amount/typed-number';
import { localeOf } from '../server/locale.server';
import { writerFor } from './writer';

describe('writerFor', () => {
  it('writes money exactly, with the digits of its currency', () => {
    expect(writerFor('en-GB').money('12345678901234567.89', 'EUR')).toBe('12,345,678,901,234,567.89');
    expect(writerFor('de-DE').money('1234.5', 'EUR')).toBe('1.234,50');
    expect(writerFor('en-GB').money('1234', 'JPY')).toBe('1,234');
  });

  it('writes differences with their sign', () => {
    expect(writerFor('en-GB').difference('107.03')).toBe('+107');
    expect(writerFor('en-GB').difference('-107.03')).toBe('-107');
  });

  it.each(['27', '27.5', '1.125', '0.065', '12345.678', '999.999'])('what it puts into a field is read back as %s', (decimal) => {
    for (const locale of ['en-GB', 'de-DE']) {
      const read = readTypedNumber(writerFor(locale).field(decimal), { wanted: 'a number' });
      expect(read.ok && Number(read.value)).toBe(Number(decimal));
    }
  });
});

describe('localeOf', () => {
  it.each([
    ['de-AT,de;q=0.9,en;q=0.8', 'de-AT'],
    ['*', 'en-GB'],
    [null, 'en-GB'],
    ['<script>,fr', 'fr'],
  ])('%s is %s', (header, locale) => {
    expect(localeOf(header)).toBe(locale);
  });
});

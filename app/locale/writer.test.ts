import { describe, expect, it } from 'vitest';
import { readTypedNumber } from '#core/amount/typed-number';
import { localeOf } from '../server/locale.server';
import { writerFor } from './writer';

describe('writerFor', () => {
  it.each([
    ['180.4', '180'],
    ['9.4', '9.4'],
    ['1', '1'],
    ['0.3', '0.3'],
    ['0.083333', '0.083'],
    ['0.0004', '0.0004'],
    ['0', '0'],
  ])('%s orders are written as %s: a part of an order is not none', (decimal, words) => {
    expect(writerFor('en-GB').orders(decimal)).toBe(words);
  });

  it('writes money exactly, with the digits of its currency', () => {
    expect(writerFor('en-GB').money('12345678901234567.89', 'EUR')).toBe('12,345,678,901,234,567.89');
    expect(writerFor('de-DE').money('1234.5', 'EUR')).toBe('1.234,50');
    expect(writerFor('en-GB').money('1234', 'JPY')).toBe('1,234');
  });

  it('writes differences with their sign', () => {
    expect(writerFor('en-GB').difference('107.03')).toBe('+107');
    expect(writerFor('en-GB').difference('-107.03')).toBe('−107');
  });

  it.each(['27', '27.5', '1.125', '0.065', '12345.678', '999.999'])('what it puts into a field is read back as %s', (decimal) => {
    for (const locale of ['en-GB', 'de-DE']) {
      const read = readTypedNumber(writerFor(locale).field(decimal), { wanted: 'a number' });
      expect(read.ok && Number(read.value)).toBe(Number(decimal));
    }
  });
});

describe('sentences', () => {
  it.each([
    ['en-GB', 'EUR', '€2,940', '€49.00', '2.6%', '4.4%'],
    ['de-DE', 'EUR', '2.940\u00a0€', '49,00\u00a0€', '2,6\u00a0%', '4,4\u00a0%'],
    ['en-GB', 'JPY', '¥2,940', '¥49', '2.6%', '4.4%'],
    ['en-GB', 'SEK', 'kr\u00a02,940', 'kr\u00a049.00', '2.6%', '4.4%'],
  ])('carry the currency of the decision and percent as %s writes them in %s', (locale, currency, amount, price, percent, share) => {
    const write = writerFor(locale, currency);
    expect([write.amount('2939.51'), write.price('49', currency), write.percent('2.6'), write.share('4.42')]).toEqual([
      amount,
      price,
      percent,
      share,
    ]);
  });

  it('write a loss with a minus sign, not with a hyphen', () => {
    const write = writerFor('en-GB', 'EUR');
    expect([write.amount('-30'), write.percent('-3'), write.number('-1.5'), write.money('-2', 'EUR')]).toEqual([
      '−€30',
      '−3%',
      '−1.5',
      '−2.00',
    ]);
    // What is typed into a field again stays as a keyboard writes it.
    expect(write.field('-1.5')).toBe('-1.5');
  });

  it('have no currency where the decision is not known', () => {
    expect(writerFor('en-GB').amount('2939.51')).toBe('2,940');
  });

  it('have their figures written as the person’s locale does, but for dates and names', () => {
    const text = 'Grow 2 costs 18.00 a month and 2.6% of 1,200.50; from 100 orders on 0.70.';
    expect(writerFor('de-DE').figuresOf(text)).toBe('Grow 2 costs 18,00 a month and 2,6% of 1.200,50; from 100 orders on 0,70.');
    expect(writerFor('en-GB').figuresOf(text)).toBe(text);
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

describe('months and days', () => {
  it('are written in full, the same each time, and told apart', () => {
    const write = writerFor('en-GB');
    const year = Array.from({ length: 12 }, (_, index) => `2027-${String(index + 1).padStart(2, '0')}`);
    const first = year.map((month) => write.month(month));
    expect(first[0]).toBe('January 2027');
    expect(first[11]).toBe('December 2027');
    expect(new Set(first).size).toBe(12);
    // Written again, and the same month of another year, which is kept apart.
    expect(year.map((month) => write.month(month))).toEqual(first);
    expect(write.month('2028-01')).toBe('January 2028');
    expect(write.day('2028-02-29')).toBe('29 February 2028');
  });
});

describe('differences', () => {
  it('carry their sign, but for what rounds to nothing', () => {
    const write = writerFor('en-GB');
    expect(['205.42', '-205.42', '0.00', '-0.3', '1234567.5'].map((amount) => write.difference(amount))).toEqual([
      '+205',
      '−205',
      '0',
      '0',
      '+1,234,568',
    ]);
  });

  it('are grouped as the person’s locale groups', () => {
    expect(writerFor('de-DE').difference('-1234.4')).toBe('−1.234');
    expect(writerFor('de-DE').money('1234.5', 'EUR')).toBe('1.234,50');
    expect(writerFor('de-DE').money('1234.5', 'JPY')).toBe('1.235');
  });

  it.each([
    ['en-GB', '4000', 'EUR', false, '€4,000'],
    ['en-GB', '-12.5', 'GBP', false, '−£12.50'],
    ['en-GB', '400', 'EUR', true, '+€400'],
    ['en-GB', '0', 'EUR', true, '€0'],
    ['de-DE', '4000', 'EUR', false, '4.000\u00a0€'],
  ])('writes an amount on an axis with its currency: %s %s %s', (locale, amount, currency, isDifference, written) => {
    expect(writerFor(locale).onAxis(amount, currency, isDifference)).toBe(written);
  });
});

import { describe, expect, it } from 'vitest';
import { currencyCodes, inBaseCurrency, isCurrency, minorDigits, moneyText, roundMoney } from './currencies';
import { decimal, fixed } from './decimal';

describe('rounding to the minor unit', () => {
  it.each([
    ['1.005', 'EUR', '1.01'],
    ['-1.005', 'EUR', '-1.01'],
    ['2.675', 'USD', '2.68'],
    ['0.5', 'JPY', '1'],
    ['1.2345', 'KWD', '1.235'],
    ['-0.004', 'EUR', '0.00'],
  ])('%s in %s is %s', (amount, currency, rounded) => {
    expect(moneyText(roundMoney(decimal(amount), currency), currency)).toBe(rounded);
  });
});

describe('a number written with so many places', () => {
  it.each([
    ['-0.00004', 4, '0.0000'],
    ['-0.00005', 4, '-0.0001'],
    ['12.34565', 4, '12.3457'],
    ['3', 2, '3.00'],
  ])('%s to %i is %s', (value, places, written) => {
    expect(fixed(decimal(value), places)).toBe(written);
  });
});

describe('every currency', () => {
  it('has the digits of its minor unit, and an amount is written with just so many', () => {
    for (const code of currencyCodes) {
      const digits = minorDigits(code);
      const written = moneyText(decimal('1234.5'), code);
      expect(isCurrency(code), code).toBe(true);
      expect(written, code).toBe(decimal('1234.5').toFixed(digits));
      expect((written.split('.')[1] ?? '').length, code).toBe(digits);
    }
  });

  it('is one that the standard lists, in capitals, or none', () => {
    expect(['EUR', 'KWD', 'JPY'].map(isCurrency)).toEqual([true, true, true]);
    expect(['eur', 'EURO', '', 'XXX'].map(isCurrency)).toEqual([false, false, false, false]);
    expect(() => minorDigits('XXX')).toThrow('XXX is not an ISO 4217 currency code');
  });

  it('converts to the base currency and is rounded there; the base currency itself stays as it is', () => {
    expect(inBaseCurrency(decimal('10.01'), 'USD', decimal('0.925'), 'EUR').toFixed()).toBe('9.26');
    expect(inBaseCurrency(decimal('1000'), 'JPY', decimal('0.0061'), 'EUR').toFixed()).toBe('6.1');
    expect(inBaseCurrency(decimal('10.01'), 'EUR', decimal('1'), 'EUR').toFixed()).toBe('10.01');
    expect(inBaseCurrency(decimal('10'), 'USD', decimal('147.35'), 'JPY').toFixed()).toBe('1474');
  });
});

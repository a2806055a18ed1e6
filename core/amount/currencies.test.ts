import { describe, expect, it } from 'vitest';
import { moneyText, roundMoney } from './currencies';
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

import { describe, expect, it } from 'vitest';
import { moneyText, roundMoney } from './currencies';
import { decimal } from './decimal';

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

import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { inBaseCurrency } from './currencies';
import { decimal, sum } from './decimal';
import { MinorAmount, MinorConversion, MinorSum } from './minor-amount';

const HUGE = '12345678901234567890.12';

describe('an amount in minor units', () => {
  it('is the same as units and as a decimal', () => {
    expect(MinorAmount.ofUnits(-1205, 2).decimal.toFixed()).toBe('-12.05');
    expect(MinorAmount.of(decimal('1.15'), 2).units).toBe(115);
    expect(MinorAmount.of(decimal('-7'), 0).units).toBe(-7);
    expect(MinorAmount.of(decimal('0.001'), 3).units).toBe(1);
  });

  it('stays exact where a number cannot hold it', () => {
    const amount = MinorAmount.of(decimal(HUGE), 2);
    expect(amount.units).toBeNaN();
    expect(amount.decimal.toFixed()).toBe(HUGE);
    expect(amount.negated().decimal.toFixed()).toBe(`-${HUGE}`);
  });

  it('can be taken the other way round, nothing without a sign', () => {
    expect(MinorAmount.ofUnits(5, 2).negated().units).toBe(-5);
    expect(Object.is(MinorAmount.ofUnits(0, 2).negated().units, 0)).toBe(true);
  });
});

describe('conversion', () => {
  it('rounds in the other currency as exact decimals do, at halves too', () => {
    const cents = fc.integer({ min: -1e9, max: 1e9 });
    const rate = fc.integer({ min: 1, max: 3_000_000 }).map((parts) => decimal(parts).div(10_000).toFixed());
    fc.assert(
      fc.property(cents, rate, (units, text) => {
        const converted = new MinorConversion(decimal(text), 0, 2).of(MinorAmount.ofUnits(units, 0));
        expect(converted.decimal.toFixed()).toBe(inBaseCurrency(decimal(units), 'JPY', decimal(text), 'EUR').toFixed());
      }),
    );
    const half = new MinorConversion(decimal('0.5'), 2, 2);
    expect(half.of(MinorAmount.ofUnits(1, 2)).units).toBe(1);
    expect(half.of(MinorAmount.ofUnits(-3, 2)).units).toBe(-2);
  });

  it('converts what a number cannot hold', () => {
    expect(new MinorConversion(decimal('0.5'), 2, 2).of(MinorAmount.of(decimal(HUGE), 2)).decimal.toFixed()).toBe('6172839450617283945.06');
  });
});

describe('a sum', () => {
  const summed = (amounts: readonly string[]) => {
    const found = new MinorSum(2);
    for (const amount of amounts) found.add(MinorAmount.of(decimal(amount), 2));
    return found;
  };

  it('is exact, whatever the sizes', () => {
    const amount = fc.oneof(fc.integer({ min: -1e7, max: 1e7 }), fc.maxSafeInteger()).map((units) => decimal(units).div(100).toFixed(2));
    fc.assert(
      fc.property(fc.array(amount), (amounts) => {
        const found = summed(amounts);
        expect(found.text).toBe(sum(amounts.map(decimal)).toFixed(2));
        expect(found.decimal.eq(sum(amounts.map(decimal)))).toBe(true);
      }),
    );
  });

  it('knows when it comes to nothing', () => {
    expect(summed([]).isZero).toBe(true);
    expect(summed(['1.00', '-1.00']).isZero).toBe(true);
    expect(summed([HUGE, `-${HUGE}`]).isZero).toBe(true);
    expect(summed([HUGE]).isZero).toBe(false);
    expect(summed(['0.01']).text).toBe('0.01');
    expect(summed([HUGE, '0.01']).text).toBe('12345678901234567890.13');
  });
});

import fc from 'fast-check';
import { expect, it } from 'vitest';
import { decimal } from '../amount/decimal';
import { type FeeTerms, orderFee } from './order-fee';

/** The fee in exact decimals, as decision file §11 says it. */
function plainFee(terms: FeeTerms, value: string): number {
  let fee = decimal(value).div(terms.contained).div(terms.rate).times(terms.percent).div(100).plus(terms.each);
  if (terms.least !== null && fee.lt(terms.least)) fee = decimal(terms.least);
  if (terms.most !== null && fee.gt(terms.most)) fee = decimal(terms.most);
  return fee.times(decimal(10).pow(terms.minorDigits)).toDecimalPlaces(0).toNumber();
}

const decimals = (most: number, places: number) =>
  fc.tuple(fc.integer({ min: 0, max: most }), fc.integer({ min: 0, max: places })).map(([whole, digits]) => {
    const unit = 10 ** digits;
    return decimal(whole).div(unit).toFixed(digits);
  });

const terms = fc.record({
  percent: decimals(9_999, 4),
  each: decimals(500, 3),
  least: fc.option(decimals(300, 3)),
  most: fc.option(decimals(9_000, 3)),
  minorDigits: fc.constantFrom(0, 2, 3),
  rate: fc.constantFrom('1', '0.92', '1.17342', '0.006173'),
  contained: fc.constantFrom('1', '1.2', '1.19', '1.077'),
});

it('is what exact decimals come to, also where halves, long rates and taxes meet', () => {
  fc.assert(
    fc.property(terms, fc.integer({ min: 1, max: 3_000_000 }), fc.integer({ min: 0, max: 6 }), (of, units, digits) => {
      const value = decimal(units).div(decimal(10).pow(digits)).toFixed(digits);
      expect(orderFee(of, digits, units)(units)).toBe(plainFee(of, value));
      // As part of a file with an order so large that 53 bits do not do.
      expect(orderFee(of, digits, Number.MAX_SAFE_INTEGER)(units)).toBe(plainFee(of, value));
    }),
    { numRuns: 500 },
  );
});

it.each([
  ['half a cent goes up', '50.00', { percent: '1.01', each: '0' }, 51],
  ['a hair less goes down', '49.50', { percent: '1', each: '0' }, 50],
  ['least', '1.00', { percent: '2', each: '0.05', least: '0.25' }, 25],
  ['most', '900.00', { percent: '2', each: '0.05', most: '4.995' }, 500],
  ['without the tax it contains', '120.00', { percent: '2.5', each: '0.1', contained: '1.2' }, 260],
])('%s', (_name, value, stated, fee) => {
  const all = { least: null, most: null, minorDigits: 2, rate: '1', contained: '1', ...stated };
  expect(orderFee(all, 2, 1e7)(Number(value) * 100)).toBe(fee);
});

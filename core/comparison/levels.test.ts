import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { decimal } from '../amount/decimal';
import { minorText, roundedProduct, roundedWhole } from '../amount/minor-units';
import type { DecisionFile } from '../decision-file/schema';
import { randomDecision } from '../tests/random-decision';
import { richDecision } from '../tests/rich-decision';
import { priceDecision } from './decision-result';
import { levelsOf } from './levels';
import { readOrNull } from '../tests/read-or-null';
import { versionTwoDecision } from '../tests/version-two-decision';

const anyScale = fc.oneof(
  fc.double({ min: 0.1, max: 10, noNaN: true }).map((scale) => Number(scale.toPrecision(6))),
  fc.constantFrom(0.1, 0.25, 0.5, 1, 1.01, 1.5, 2, 3, 5, 10),
);

function sameAsExact(file: DecisionFile, scales: readonly number[]): void {
  const read = readOrNull(file);
  if (!read) return;
  const levels = levelsOf(read);
  for (const scale of scales) expect(levels.at(scale).result).toEqual(priceDecision(read, decimal(scale)).result);
}

describe('a level of sales', () => {
  it('for decisions of version 2', () => {
    fc.assert(fc.property(versionTwoDecision, fc.array(anyScale, { minLength: 1, maxLength: 3 }), sameAsExact), { numRuns: 60 });
  });

  it('is to the cent what exact pricing gives, for nearly everything the format has', () => {
    fc.assert(fc.property(richDecision, fc.array(anyScale, { minLength: 1, maxLength: 4 }), sameAsExact), { numRuns: 120 });
  });

  it('is to the cent what exact pricing gives, for every kind of charge over up to thirty months', () => {
    fc.assert(fc.property(randomDecision, fc.array(anyScale, { minLength: 1, maxLength: 3 }), sameAsExact), { numRuns: 80 });
  });

  it('gives the ledger of that level when a figure is opened', () => {
    const file = readOrNull(fc.sample(randomDecision, { numRuns: 1, seed: 5 })[0] as DecisionFile);
    if (!file) throw new Error('a decision is expected');
    const [priced] = levelsOf(file).at(1.5).candidates;
    const [exact] = priceDecision(file, decimal(1.5)).candidates;
    expect(priced?.ledger.lines).toEqual(exact?.ledger.lines);
  });
});

describe('whole minor units', () => {
  it.each([
    [181.0651, 181],
    [-181.7, -182],
    [0.5, null],
    [-2.500000001, null],
    [-0.2, 0],
    [1e9 + 0.3, 1e9],
    [1e12 + 0.3, null],
  ])('%d rounds to %s', (value, whole) => {
    expect(roundedWhole(value)).toBe(whole);
  });

  it('times a factor are exact, also at a half', () => {
    const half = { exact: decimal('0.125'), number: 0.125 };
    expect(roundedProduct(4, half)).toBe(1);
    expect(roundedProduct(-4, half)).toBe(-1);
    fc.assert(
      fc.property(fc.integer({ min: -1e9, max: 1e9 }), fc.integer({ min: 1, max: 99_999_999 }), (units, ten) => {
        const exact = decimal(ten).div(1_000_000);
        expect(roundedProduct(units, { exact, number: exact.toNumber() })).toBe(
          decimal(units).times(exact).toDecimalPlaces(0).toNumber() + 0,
        );
      }),
    );
  });

  it.each([
    [-1205, 2, '-12.05'],
    [7, 2, '0.07'],
    [0, 2, '0.00'],
    [1500, 0, '1500'],
    [-5, 3, '-0.005'],
  ])('%i with %i digits are %s', (units, digits, text) => {
    expect(minorText(units, digits)).toBe(text);
  });
});

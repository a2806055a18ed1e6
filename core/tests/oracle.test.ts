import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { priceDecision } from '../comparison/decision-result';
import type { DecisionFile } from '../decision-file/schema';
import { oracle } from './oracle';
import { randomDecision } from './random-decision';
import { ceiling, compare, rational, rounded, written } from './rational';
import { richDecision } from './rich-decision';
import { versionTwoDecision } from './version-two-decision';
import { readOrNull } from './read-or-null';

function compareWithOracle(file: DecisionFile): void {
  const read = readOrNull(file);
  if (!read) return;
  const expected = oracle(read);
  for (const { id, ...result } of priceDecision(read).result.candidates) expect(result, id).toEqual(expected[id]);
}

describe('the rules, written down a second time with fractions, give the same to the cent', () => {
  it('for decisions that use nearly everything the format has', () => {
    fc.assert(fc.property(richDecision, compareWithOracle), { numRuns: 120 });
  });

  it('for decisions of version 2', () => {
    fc.assert(fc.property(versionTwoDecision, compareWithOracle), { numRuns: 120 });
  });

  it.each([
    ['of version 1', richDecision],
    ['of version 2', versionTwoDecision],
  ])('of which hardly any is refused, %s', (_version, decisions) => {
    const tried = fc.sample(decisions, 60);
    expect(tried.filter((file) => readOrNull(file)).length).toBeGreaterThan(50);
  });

  it('for decisions with every kind of charge over up to thirty months', () => {
    fc.assert(fc.property(randomDecision, compareWithOracle), { numRuns: 60 });
  });
});

describe('the oracle’s own fractions', () => {
  it.each([
    ['1.005', 2, '1.01'],
    ['-1.005', 2, '-1.01'],
    ['0.5', 0, '1'],
    ['-0.004', 2, '0.00'],
    ['1234.5', 3, '1234.500'],
  ])('%s to %i places is %s', (text, places, expected) => {
    expect(written(rational(text), places)).toBe(expected);
  });

  it('round up to whole numbers, and stay on them', () => {
    expect(compare(ceiling(rational('2.0001')), rational(3))).toBe(0);
    expect(compare(ceiling(rational('2')), rational(2))).toBe(0);
    expect(compare(rounded(rational('0.125'), 2), rational('0.13'))).toBe(0);
  });
});

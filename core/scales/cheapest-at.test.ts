import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { plainValues, randomCompiled } from '../tests/random-form';
import { cheapestStretches } from './cheapest-at';
import type { CompiledCandidate } from './compiled-candidate';
import type { Form } from './level-form';

const [FROM, TO] = [0.05, 20];
const SCALES = Array.from({ length: 60 }, (_, index) => FROM * (TO / FROM) ** ((index + 0.377) / 60));

/** So much always, and so much for the sales of the forecast. */
const candidate = (id: string, fixed: number, growing: number, usableUpTo = Infinity): CompiledCandidate => ({
  id,
  fixed: Float64Array.from([fixed]),
  charges: [{ form: { is: 'line', fixed: null, growing: Float64Array.from([growing]) }, weight: 1 }],
  usableUpTo,
});
const told = (...candidates: CompiledCandidate[]) =>
  cheapestStretches(candidates, FROM, TO).map(({ from, to, candidate: id }) => [
    Math.round(from * 1e6) / 1e6,
    Math.round(to * 1e6) / 1e6,
    id,
  ]);

function plainTotal({ fixed, charges }: CompiledCandidate, scale: number): number {
  const charged = charges.map(({ form, weight }) => weight * plainValues(form, scale).reduce((sum, value) => sum + value, 0));
  return [...fixed, ...charged].reduce((sum, value) => sum + value, 0);
}

describe('who is cheapest at which scale', () => {
  it('is the one with the lowest total there, of those that can be used', () => {
    fc.assert(
      fc.property(fc.tuple(...['A', 'B', 'C', 'D'].map(randomCompiled)), (candidates) => {
        const stretches = cheapestStretches(candidates, FROM, TO);
        const wrong = SCALES.filter((scale) => {
          const winner = stretches.find(({ from, to }) => from < scale && scale <= to)?.candidate;
          const usable = candidates.filter(({ usableUpTo }) => scale <= usableUpTo);
          const least = Math.min(...usable.map((one) => plainTotal(one, scale)));
          const chosen = usable.find(({ id }) => id === winner);
          return chosen ? plainTotal(chosen, scale) > least + 1e-6 * (Math.abs(least) + 1) : winner !== null || usable.length > 0;
        });
        expect(wrong).toEqual([]);
        expect([stretches[0]?.from, stretches.at(-1)?.to]).toEqual([FROM, TO]);
        for (const [index, { from, candidate: id }] of stretches.slice(1).entries()) {
          expect(from).toBe(stretches[index]?.to);
          expect(id).not.toBe(stretches[index]?.candidate);
        }
      }),
      { numRuns: 120 },
    );
  });

  it('changes where lines cross, by turns', () => {
    // 10 k, 20 + 5 k and 50 + k: equal at 4 and at 7.5.
    expect(told(candidate('A', 0, 10), candidate('B', 20, 5), candidate('C', 50, 1))).toEqual([
      [0.05, 4, 'A'],
      [4, 7.5, 'B'],
      [7.5, 20, 'C'],
    ]);
    // The middle one is never the cheapest where the others cross below it.
    expect(told(candidate('A', 0, 10), candidate('B', 40, 5), candidate('C', 50, 1))).toEqual([
      [0.05, 5.555556, 'A'],
      [5.555556, 20, 'C'],
    ]);
  });

  it('of several that are equal is the first given, unless another is cheaper right behind', () => {
    expect(told(candidate('A', 5, 1), candidate('B', 5, 1))).toEqual([[0.05, 20, 'A']]);
    expect(told(candidate('B', 5, 1), candidate('A', 5, 1), candidate('C', 9, 1))).toEqual([[0.05, 20, 'B']]);
  });

  it('is another once it is outgrown, and nobody where all are', () => {
    expect(told(candidate('A', 0, 1, 3), candidate('B', 100, 0, 8))).toEqual([
      [0.05, 3, 'A'],
      [3, 8, 'B'],
      [8, 20, null],
    ]);
    expect(told(candidate('A', 0, 1, 0))).toEqual([[0.05, 20, null]]);
    expect(told()).toEqual([[0.05, 20, null]]);
    expect(told(candidate('A', 0, 1, 20), candidate('B', 1, 1, 0.05))).toEqual([[0.05, 20, 'A']]);
  });

  it('is found at jumps too', () => {
    const packages = (id: string, size: number, each: number): CompiledCandidate => {
      const of: Form = { is: 'line', fixed: null, growing: Float64Array.from([10]) };
      return { ...candidate(id, 0, 0), charges: [{ form: { is: 'packages', of, size }, weight: each }] };
    };
    // 30 for every 50 begun, against 62 always: dearer from the third package on, at k = 10.
    expect(told(packages('A', 50, 30), candidate('B', 62, 0))).toEqual([
      [0.05, 10, 'A'],
      [10, 20, 'B'],
    ]);
  });

  it('is found among more packages than can be looked at one by one', () => {
    const of: Form = { is: 'line', fixed: null, growing: Float64Array.from([1e6]) };
    const many: CompiledCandidate = { ...candidate('A', 0, 0), charges: [{ form: { is: 'packages', of, size: 0.01 }, weight: 0.01 }] };
    const [first, second, ...others] = cheapestStretches([many, candidate('B', 3_000_000.5, 0)], FROM, TO);
    expect([first?.candidate, second?.candidate, others.length]).toEqual(['A', 'B', 0]);
    expect(first?.to).toBeCloseTo(3.0000005, 6);
  });
});

import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { preparePricing } from '../pricing/pricing';
import { randomDecision } from '../tests/random-decision';
import { readOrNull } from '../tests/read-or-null';
import { richDecision } from '../tests/rich-decision';
import { statedAssumptions } from './pricing-assumptions';
import { compileAt, compileCandidates } from './compile';
import { totalAt } from './compiled-candidate';
import { evaluator } from './evaluate';
import { prepareCandidates } from './prepare';
import { versionTwoDecision } from '../tests/version-two-decision';

const scales = fc.array(fc.double({ min: 0.05, max: 12, noNaN: true }), { minLength: 1, maxLength: 5 });

describe('totals at many points', () => {
  it('are those of the compiled form at the same scale, whichever was looked at before', () => {
    fc.assert(
      fc.property(fc.oneof(richDecision, randomDecision, versionTwoDecision), scales, (made, at) => {
        const file = readOrNull(made);
        if (!file) return;
        const pricing = preparePricing(file);
        const compiled = compileCandidates(pricing);
        const points = evaluator(pricing, prepareCandidates(pricing));
        points.assume(statedAssumptions(pricing.file));
        for (const scale of at) {
          const { totals, usable } = points.at(scale);
          compiled.forEach((candidate, index) => {
            const expected = totalAt(candidate, scale);
            expect(Math.abs((totals[index] ?? NaN) - expected)).toBeLessThanOrEqual(1e-7 * (Math.abs(expected) + 1));
            expect(usable[index]).toBe(candidate.usableUpTo > 0 && scale <= candidate.usableUpTo ? 1 : 0);
          });
        }
      }),
      { numRuns: 80 },
    );
  });

  it('follow the level that was set last, and the one before when it is set again', () => {
    fc.assert(
      fc.property(randomDecision, (made) => {
        const file = readOrNull(made);
        if (!file) return;
        const pricing = preparePricing(file);
        const prepared = prepareCandidates(pricing);
        const points = evaluator(pricing, prepared);
        const stated = statedAssumptions(pricing.file);
        const dearer = {
          ...stated,
          hourValue: stated.hourValue + 10,
          rate: (currency: string) => stated.rate(currency) * (currency === 'USD' ? 2 : 1),
        };
        points.assume(stated);
        const before = [...points.at(1).totals];
        points.assume(dearer);
        const expected = compileAt(pricing, prepared, dearer).map((one) => totalAt(one, 1));
        points
          .at(1)
          .totals.forEach((total, index) =>
            expect(Math.abs(total - (expected[index] ?? NaN))).toBeLessThanOrEqual(1e-7 * (Math.abs(total) + 1)),
          );
        points.assume(stated);
        expect([...points.at(1).totals]).toEqual(before);
      }),
      { numRuns: 40 },
    );
  });
});

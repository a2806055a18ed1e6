import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { decimal } from '../amount/decimal';
import { priceCandidate } from '../comparison/candidate-result';
import { compileCandidates } from './compile';
import { readDecisionFile } from '../decision-file/read';
import { preparePricing } from '../pricing/pricing';
import { randomDecision } from '../tests/random-decision';
import { readOrNull } from '../tests/read-or-null';
import { versionTwoDecision } from '../tests/version-two-decision';
import { crossingsOf } from './break-even';
import { cheapestStretches } from './cheapest-at';
import { boundsBetween } from './bounds';
import { type CompiledCandidate, monthsAt, totalAt } from './compiled-candidate';
import { valuesAt } from './form-values';
import type { Form, NumberBand } from './level-form';
import { piecesBetween, totalCurve } from './piecewise';

const [FROM, TO] = [0.05, 20];
const scaleText = fc.integer({ min: 500, max: 200_000 }).map((tenThousandths) => (tenThousandths / 10_000).toFixed(4));
const readable = versionTwoDecision.filter((file) => readOrNull(file) !== null);
const pricingOf = fc.oneof(randomDecision, readable).map((file) => preparePricing(readDecisionFile(file)));
const compiledOf = pricingOf.map((pricing) => compileCandidates(pricing));

/** Scales over the whole range, evenly by their logarithm. */
const SAMPLES = Array.from({ length: 240 }, (_, index) => FROM * (TO / FROM) ** ((index + 0.37) / 240));

describe('the compiled form', () => {
  it('is within half a minor unit per ledger line of the exact ledger, at any scale', () => {
    fc.assert(
      fc.property(pricingOf, scaleText, (pricing, scale) => {
        compileCandidates(pricing).forEach((compiled, index) => {
          const candidate = pricing.file.candidates[index];
          if (!candidate) throw new Error('a candidate is expected');
          const { result, ledger } = priceCandidate(pricing, candidate, decimal(scale));
          // Rounded in the vendor's currency, converted, rounded again; tax takes a fifth of all that on top.
          const tolerance = (ledger.lines.length + 1) * 0.005 * 2.2;
          expect(Math.abs(totalAt(compiled, Number(scale)) - Number(result.total))).toBeLessThanOrEqual(tolerance);
          const months = monthsAt(compiled, Number(scale));
          expect(months.reduce((sum, month) => sum + month, 0)).toBeCloseTo(totalAt(compiled, Number(scale)), 6);
        });
      }),
      { numRuns: 70 },
    );
  });

  it('is unusable exactly where the exact result says outgrown', () => {
    fc.assert(
      fc.property(pricingOf, scaleText, (pricing, scale) => {
        compileCandidates(pricing).forEach(({ usableUpTo }, index) => {
          const candidate = pricing.file.candidates[index];
          if (!candidate) return;
          const { usable, unknown } = priceCandidate(pricing, candidate, decimal(scale)).result;
          expect(usableUpTo > 0 && Number(scale) <= usableUpTo).toBe(usable && unknown.length === 0);
        });
      }),
      { numRuns: 80 },
    );
  });
});

describe('curves', () => {
  it('run where the compiled form says, and within its bounds', () => {
    fc.assert(
      fc.property(compiledOf, (all) => {
        for (const candidate of all) {
          if (piecesBetween(candidate, FROM, TO) > 50_000) continue;
          const { starts, values, slopes } = totalCurve(candidate, FROM, TO);
          const [least, most] = boundsBetween(candidate, FROM, TO);
          for (const scale of SAMPLES) {
            const piece = starts.findLastIndex((start) => start <= scale);
            const value = (values[piece] ?? NaN) + (slopes[piece] ?? NaN) * (scale - (starts[piece] ?? NaN));
            expect(Math.abs(value - totalAt(candidate, scale))).toBeLessThan(1e-6 * (Math.abs(value) + 1));
            expect(value).toBeGreaterThanOrEqual(least - 1e-6 * (Math.abs(value) + 1));
            expect(value).toBeLessThanOrEqual(most + 1e-6 * (Math.abs(value) + 1));
          }
        }
      }),
      { numRuns: 20 },
    );
  });
});

describe('break-evens', () => {
  it('tell the cheaper one between them at every sampled scale', () => {
    fc.assert(
      fc.property(compiledOf, (all) => {
        const [a, b] = all;
        if (!a || !b) return;
        const crossings = crossingsOf(a, b, FROM, TO);
        crossings.slice(1).forEach((crossing, index) => expect(crossing.cheaperBelow).toBe(-(crossings[index]?.cheaperBelow ?? 0)));
        for (const scale of SAMPLES) {
          const difference = totalAt(a, scale) - totalAt(b, scale);
          if (Math.abs(difference) < 1e-6) continue;
          const next = crossings.find((crossing) => crossing.scale >= scale);
          const last = crossings.at(-1);
          const behind = last ? -last.cheaperBelow : null;
          const sign = next ? next.cheaperBelow : behind;
          if (sign !== null && crossings.every((crossing) => Math.abs(crossing.scale - scale) > 1e-9))
            expect(Math.sign(difference)).toBe(sign);
          if (sign === null)
            expect(Math.sign(difference)).toBe(Math.sign(totalAt(a, TO * 0.999) - totalAt(b, TO * 0.999)) || Math.sign(difference));
        }
      }),
      { numRuns: 80 },
    );
  });

  /** Over one month: 100 counted at the scale 1. */
  const counted: Form = { is: 'line', fixed: null, growing: new Float64Array([100]) };
  const times = (of: Form, by: number): Form => ({ is: 'scaled', of, by: new Float64Array([by]) });
  const banded = (how: 'graduated' | 'volume', bands: readonly NumberBand[]): Form => ({ is: 'bands', of: counted, how, bands });
  const candidate = (id: string, fixed: number, forms: Form[]): CompiledCandidate => ({
    id,
    fixed: new Float64Array([fixed]),
    charges: forms.map((form) => ({ form, weight: 1 })),
    usableUpTo: Infinity,
  });

  it('are found at every step of packages, however close together', () => {
    // 10 for every 10 begun against 1 each and 5 more: the packages are dearer right behind every step, cheaper before the next.
    const packages = candidate('packages', 0, [times({ is: 'packages', of: counted, size: 10 }, 10)]);
    const each = candidate('each', 5, [counted]);
    const found = crossingsOf(packages, each, 0.05, 1.001);
    // Steps at 0.1, 0.2 … 1.0, and between them at 0.15, 0.25 …, where 100 k + 5 reaches the step's price.
    const expected = [0.05, 0.1, 0.15, 0.2, 0.25, 0.3, 0.35, 0.4, 0.45, 0.5, 0.55, 0.6, 0.65, 0.7, 0.75, 0.8, 0.85, 0.9, 0.95, 1].slice(1);
    expect(found.map(({ scale }) => Math.round(scale * 1e9) / 1e9)).toEqual(expected);
  });

  it('are found among millions of packages without looking at each', () => {
    const many: Form = { is: 'line', fixed: null, growing: new Float64Array([1e6]) };
    const packages = candidate('packages', 0, [times({ is: 'packages', of: many, size: 0.001 }, 0.001)]);
    const flat = candidate('flat', 3_000_000.5, []);
    const found = crossingsOf(packages, flat, 0.05, 20);
    expect(found).toHaveLength(1);
    expect(found[0]?.scale).toBeCloseTo(3.0000005, 7);
  });

  it('count the start of a stretch in which both are equal, and no touch without a change', () => {
    const flat = candidate('flat', 100, []);
    const rising = (bands: readonly NumberBand[]) => candidate('rising', 0, [banded('graduated', bands)]);
    // 100 k counted: 1 each up to 100, nothing more up to 300, then 1 each again: equal to 100 from k = 1 to 3.
    const through = rising([
      { upTo: 100, rate: 1, flat: 0 },
      { upTo: 300, rate: 0, flat: 0 },
      { upTo: Infinity, rate: 1, flat: 0 },
    ]);
    expect(crossingsOf(through, flat, FROM, TO)).toEqual([{ scale: 1, cheaperBelow: -1 }]);
    // Never more than 100: equal from k = 1 on, and never the dearer one.
    expect(
      crossingsOf(
        rising([
          { upTo: 100, rate: 1, flat: 0 },
          { upTo: Infinity, rate: 0, flat: 0 },
        ]),
        flat,
        FROM,
        TO,
      ),
    ).toEqual([]);
    expect(crossingsOf(flat, candidate('same', 100, []), FROM, TO)).toEqual([]);
  });

  it('are found at jumps', () => {
    const volume = candidate('volume', 0, [
      banded('volume', [
        { upTo: 200, rate: 1, flat: 0 },
        { upTo: Infinity, rate: 0.4, flat: 0 },
      ]),
    ]);
    // 100 k, and from k = 2 on 40 k, against 150: dearer from 1.5, cheaper again from the jump at 2 to 3.75.
    expect(crossingsOf(volume, candidate('flat', 150, []), FROM, TO)).toEqual([
      { scale: 1.5, cheaperBelow: -1 },
      { scale: 2, cheaperBelow: 1 },
      { scale: 3.75, cheaperBelow: -1 },
    ]);
  });
});

describe('who is cheapest at which scale', () => {
  it('is nobody dearer than any other that is usable, and neighbours differ', () => {
    fc.assert(
      fc.property(compiledOf, (all) => {
        const stretches = cheapestStretches(all, FROM, TO);
        expect(stretches[0]?.from).toBe(FROM);
        expect(stretches.at(-1)?.to).toBe(TO);
        stretches.slice(1).forEach((stretch, index) => {
          expect(stretch.from).toBe(stretches[index]?.to);
          expect(stretch.candidate).not.toBe(stretches[index]?.candidate);
        });
        for (const scale of SAMPLES) {
          const stretch = stretches.find(({ from, to }) => from < scale && scale <= to);
          const usable = all.filter(({ usableUpTo }) => scale <= usableUpTo);
          const chosen = usable.find(({ id }) => id === stretch?.candidate);
          expect(chosen === undefined).toBe(usable.length === 0);
          const least = Math.min(...usable.map((one) => totalAt(one, scale)));
          if (chosen) expect(totalAt(chosen, scale)).toBeLessThanOrEqual(least + 1e-6 * (Math.abs(least) + 1));
        }
      }),
      { numRuns: 60 },
    );
  });
});

describe('values of a form', () => {
  it('stand on an edge that floating point puts a hair off', () => {
    const third: Form = { is: 'packages', of: { is: 'line', fixed: null, growing: new Float64Array([0.1 + 0.2]) }, size: 0.3 };
    expect([...valuesAt(third, 1, 1)]).toEqual([1]);
  });
});

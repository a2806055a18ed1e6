import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { type Decimal, decimal, sum } from '../amount/decimal';
import { BUCKETS } from '../pricing/ledger-line';
import { randomDecision } from '../tests/random-decision';
import { readOrNull } from '../tests/read-or-null';
import { richDecision } from '../tests/rich-decision';
import { bucketLines } from './bucket-lines';
import { coursesOf } from './course';
import { type PricedDecision, priceDecision } from './decision-result';
import { keptParts } from './kept';
import { setAgainst } from './pairwise';
import { versionTwoDecision } from '../tests/version-two-decision';

const anyDecision = fc.oneof(richDecision, randomDecision, versionTwoDecision);

function holds(check: (priced: PricedDecision) => void, numRuns = 60): void {
  fc.assert(
    fc.property(anyDecision, (made) => {
      const file = readOrNull(made);
      if (file) check(priceDecision(file));
    }),
    { numRuns },
  );
}

const added = (amounts: readonly string[]): Decimal => sum(amounts.map((amount) => decimal(amount)));

describe('every figure that is taken apart adds up to the cent', () => {
  it('buckets from their lines', () => {
    holds((priced) => {
      for (const one of priced.candidates)
        for (const bucket of BUCKETS)
          expect(
            added(bucketLines(one, bucket, priced.pricing.file.currency).map(({ amount }) => amount)).eq(one.result.buckets[bucket] ?? '0'),
          ).toBe(true);
    });
  });

  it('the cost so far to the total', () => {
    holds((priced) => {
      const { courses } = coursesOf(
        priced,
        priced.candidates.map(({ candidate }) => candidate.id),
      );
      courses.forEach(({ cumulative }, index) => expect(cumulative.at(-1)).toBe(priced.candidates[index]?.result.total));
    });
  });

  it('what is left, from what streams leave and the total', () => {
    holds((priced) => {
      for (const { candidate, result } of priced.candidates) {
        const { kept, streams } = keptParts(priced.pricing, candidate);
        expect(decimal(kept).minus(result.total).eq(result.keep)).toBe(true);
        // Each stream is rounded on its own.
        expect(
          added(streams.map((stream) => stream.kept))
            .minus(kept)
            .abs()
            .toNumber(),
        ).toBeLessThanOrEqual(0.005 * (streams.length + 1));
      }
    });
  });

  it('the differences of two candidates to the difference of their totals, and the lines to the buckets', () => {
    holds((priced) => {
      const [one, other] = priced.candidates;
      if (!one || !other) return;
      const pair = setAgainst(priced, one.candidate.id, other.candidate.id);
      expect(added((pair?.money ?? []).map(({ difference }) => difference)).eq(pair?.total.difference ?? 'NaN')).toBe(true);
      for (const { a, b, lines } of pair?.money ?? []) {
        expect(added(lines.filter(({ of }) => of === 'a').map(({ amount }) => amount)).eq(a)).toBe(true);
        expect(added(lines.filter(({ of }) => of === 'b').map(({ amount }) => amount)).eq(b)).toBe(true);
      }
      const mirrored = setAgainst(priced, other.candidate.id, one.candidate.id);
      expect(
        decimal(mirrored?.total.difference ?? 'NaN')
          .neg()
          .eq(pair?.total.difference ?? 'NaN'),
      ).toBe(true);
      expect(mirrored?.answers.map(({ feature }) => feature)).toEqual(pair?.answers.map(({ feature }) => feature));
    });
  });
});

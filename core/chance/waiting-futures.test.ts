import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { minorDigits } from '../amount/currencies';
import { ONE } from '../amount/decimal';
import type { DecisionFile } from '../decision-file/schema';
import { unknownPrices } from '../pricing/ledger';
import { preparePricing } from '../pricing/pricing';
import { segmentDues, type SegmentDues, taxOn } from '../route/segment-dues';
import { richDecision } from '../tests/rich-decision';
import { waitingFutures } from './waiting-futures';

/** The other writing: exact dues of a stay, as ways through the horizon have them. */
function stayCost(pricing: ReturnType<typeof preparePricing>, dues: SegmentDues, to: number): number {
  const left = dues.leaving(to);
  const taxed = dues.sumTo(to, 'taxExcluded') + left.taxExcluded;
  return (dues.sumTo(to, 'all') + left.all + taxOn(pricing)(taxed)) / 10 ** minorDigits(pricing.file.currency);
}

function expectSame(file: DecisionFile, months: number) {
  const pricing = preparePricing(file);
  const futures = waitingFutures(file, [], { seed: 1, most: 1, after: [months] });
  futures.add();
  const [wait] = futures.waits;
  // Lines are rounded there, each by half a cent at most, and not here.
  const near = (found: number | undefined, exact: number) =>
    expect(Math.abs((found ?? NaN) - exact)).toBeLessThanOrEqual(0.06 * file.months + 1e-6 * Math.abs(exact));
  file.candidates.forEach((candidate, place) => {
    if (unknownPrices(pricing, candidate).length > 0) return;
    const of = segmentDues(pricing, candidate, { paid: candidate, counts: () => true });
    near(wait?.before.cost[place], stayCost(pricing, of.joinedIn(0, false), months));
    near(wait?.after.cost[place], stayCost(pricing, of.joinedIn(months, false), file.months));
    near(wait?.moved.cost[place], stayCost(pricing, of.joinedIn(months, true), file.months));
  });
}

describe('the months before and after deciding later', () => {
  it('cost what they cost on a way with a move, for nearly everything the format has', () => {
    fc.assert(
      fc.property(richDecision, fc.integer({ min: 1, max: 12 }), (file, months) => {
        if (months < file.months) expectSame(file, months);
      }),
      { numRuns: 150 },
    );
  }, 120_000);

  it('see the sales of the months before', () => {
    fc.assert(
      fc.property(richDecision, (file) => {
        if (file.months < 3) return;
        const futures = waitingFutures(file, [], { seed: 1, most: 1, after: [1, 2] });
        futures.add();
        const sales = preparePricing(file)
          .forecastAt(ONE)
          .sales.map((one) => one.toNumber());
        expect(futures.waits[0]?.seen[0]).toBeCloseTo(sales[0] ?? NaN, 4);
        expect(futures.waits[1]?.seen[0]).toBeCloseTo((sales[0] ?? NaN) + (sales[1] ?? NaN), 4);
      }),
      { numRuns: 30 },
    );
  }, 60_000);
});

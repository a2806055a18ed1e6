import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import type { DecisionFile } from '../decision-file/schema';
import { preparePricing } from '../pricing/pricing';
import { evaluator } from '../scales/evaluate';
import { prepareCandidates } from '../scales/prepare';
import { statedAssumptions } from '../scales/pricing-assumptions';
import { readOrNull } from '../tests/read-or-null';
import { openPrices, withPrice } from '../what-if/open-prices';
import { randomDecision } from '../tests/random-decision';
import { richDecision } from '../tests/rich-decision';
import { futurePricing } from './future-pricing';

/** The other writing: totals at one point, as maps have them. */
function atPoint(file: DecisionFile, scale: number) {
  const pricing = preparePricing(file);
  const other = evaluator(pricing, prepareCandidates(pricing));
  other.assume(statedAssumptions(file));
  return other.at(scale);
}

/** A price at which nothing is rounded, for all that are not known. */
const PRICE = 1000;

function expectSame(file: DecisionFile, scale: number) {
  const future = futurePricing(file);
  for (const price of future.prices.values()) price.fill(PRICE);
  for (const stream of future.world.streams) {
    stream.orders.forEach((orders, month) => (stream.orders[month] = orders * scale));
    stream.subscribers?.forEach((count, month) => stream.subscribers && (stream.subscribers[month] = count * scale));
  }
  future.run();
  const entered = openPrices(file).reduce((filled, { id }) => withPrice(filled, id, String(PRICE)), file);
  const { totals, usable } = atPoint(entered, scale);
  const isAnswered = ({ id }: DecisionFile['candidates'][number]) => !future.answers.some(({ candidates }) => candidates.includes(id));
  totals.forEach((total, place) => {
    expect(Math.abs((future.totals[place] ?? NaN) - total)).toBeLessThanOrEqual(1e-8 * (Math.abs(total) + 1));
    const one = file.candidates[place];
    if (future.canBeChosen[place] && one && isAnswered(one)) expect((future.outgrown[place] ?? 0) < 0).toBe(usable[place] === 1);
  });
}

describe('a future as it is expected', () => {
  it('costs what it costs at that level, for nearly everything the format has', () => {
    fc.assert(
      fc.property(richDecision, fc.constantFrom(1, 0.37, 2.6), (file, scale) => expectSame(file, scale)),
      { numRuns: 120 },
    );
  }, 120_000);

  it('and by what is kept', () => {
    fc.assert(
      fc.property(fc.oneof(richDecision, randomDecision), (made) => {
        const file = readOrNull({ ...made, version: 2, cheapestAt: { by: 'keep' } });
        if (file) expectSame(file, 1);
      }),
      { numRuns: 60 },
    );
  }, 120_000);

  it('is the same however often it is run', () => {
    fc.assert(
      fc.property(richDecision, (file) => {
        const future = futurePricing(file);
        future.run();
        const first = future.totals.slice();
        future.run();
        expect(future.totals).toEqual(first);
      }),
      { numRuns: 40 },
    );
  }, 60_000);
});

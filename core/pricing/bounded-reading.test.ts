import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { roundLine } from '../amount/currencies';
import { decimal } from '../amount/decimal';
import { minorAmount } from '../amount/minor-units';
import type { DecisionFile } from '../decision-file/schema';
import { forecastMonths } from '../forecast/forecast';
import { randomDecision } from '../tests/random-decision';
import { kiteDecision } from '../tests/kite-decision';
import { richDecision } from '../tests/rich-decision';
import { readOrNull } from '../tests/read-or-null';
import { versionTwoDecision } from '../tests/version-two-decision';
import { minorDigits } from '../amount/currencies';
import { boundedReading } from './bounded-reading';
import { candidateCharges } from './candidate-charges';
import { exactReading } from './exact-reading';
import { preparePricing } from './pricing';

/** Every line of every charge, from bounded values and from exact decimals alone; null where the former cannot say. */
function bothReadings(given: DecisionFile) {
  const file = readOrNull(given);
  if (!file) return [];
  const pricing = preparePricing(file);
  const forecast = forecastMonths(file.forecast, file.start, file.months);
  const world = { forecast, rate: pricing.rate };
  const [quick, exact] = [boundedReading(world), exactReading(world)];
  return file.candidates.flatMap((candidate) =>
    candidateCharges(pricing, candidate).flatMap(({ rule, owner: { currency } }) => {
      const units = quick.rounded(rule.amount, currency);
      return exact.of(rule.amount).map((amount, month) => ({
        quick: minorAmount(units[month] ?? NaN, minorDigits(currency))?.toFixed() ?? null,
        exact: roundLine(amount, currency).toFixed(),
      }));
    }),
  );
}

describe('rounding lines from floating point', () => {
  it.each([
    ['simple decisions', randomDecision],
    ['decisions with everything in them', richDecision],
    ['decisions of version 2', versionTwoDecision],
  ])('agrees with exact decimals wherever it says something: %s', (_, decisions) => {
    fc.assert(
      fc.property(decisions, (file) => {
        for (const { quick, exact } of bothReadings(file)) if (quick !== null) expect(quick).toBe(exact);
      }),
      { numRuns: 150 },
    );
  });

  it('says something of nearly all lines of an ordinary decision, and nothing of one on a half', () => {
    const growing = bothReadings(kiteDecision());
    expect(growing.filter(({ quick }) => quick !== null).length).toBeGreaterThan(growing.length * 0.8);
    const half = kiteDecision();
    const [offer] = half.offers;
    const plan = offer?.plans[0];
    if (!offer || !plan) throw new Error('The decision has a plan');
    plan.charges = [{ id: 'half', label: '', how: 'per-order', each: '0.005' }];
    half.forecast.streams = half.forecast.streams.map((stream) => ({ ...stream, orders: '1' }));
    const lines = bothReadings(half).filter(({ exact }) => decimal(exact).eq('0.01'));
    expect(lines.every(({ quick }) => quick === null)).toBe(true);
  });
});

import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import type { DecisionFile } from '../decision-file/schema';
import { monthlyPlans } from '../tests/monthly-plans';
import { richDecision } from '../tests/rich-decision';
import { chancesOf } from './chances';
import { worthKnowing } from './finding-out';
import { FutureRun } from './futures';
import { normalAt } from './normal';
import { factorOf, pointsAt, type Uncertain, uncertainsOf } from './uncertain';

/** Only the level of sales is uncertain, evenly in logarithms: half as much again is as likely as two thirds. */
const level: Uncertain = {
  key: 'level',
  kind: 'level',
  of: null,
  label: 'Orders',
  unit: 'percent',
  low: 100 / 3,
  high: 50,
  isStated: true,
};
const SIGMA = Math.log(1.5) / 1.2815515655446004;
/** The normal distribution, by its series (Abramowitz and Stegun 26.2.10). */
function normalBelow(x: number): number {
  let [term, sum] = [x, x];
  for (let n = 1; n < 60; n++) sum += term *= (-x * x * (2 * n - 1)) / (2 * n * (2 * n + 1));
  return 0.5 + sum / Math.sqrt(2 * Math.PI);
}
/** The mean of what a lognormal level is above k, by its closed form. */
const meanAbove = (k: number) =>
  Math.exp(SIGMA ** 2 / 2) * normalBelow((SIGMA ** 2 - Math.log(k)) / SIGMA) - k * normalBelow(-Math.log(k) / SIGMA);

function futuresOf(file: DecisionFile, uncertain: readonly Uncertain[], count = 10_000, seed = 7) {
  const run = new FutureRun(file, uncertain, seed, count);
  run.add(count);
  return run.sofar();
}

describe('draws', () => {
  it.each([
    [0.5, 0],
    [0.975, 1.959963985],
    [0.1, -1.2815515655],
    [0.001, -3.0902323062],
    [0.999, 3.0902323062],
  ])('a standard normal number lies below with probability %d', (probability, number) => {
    expect(normalAt(probability)).toBeCloseTo(number, 7);
  });

  it('come out at the ends one time in ten, and in the middle as expected', () => {
    const spread = { low: 25, high: 40 };
    expect([-1.2815515655446, 0, 1.2815515655446].map((drawn) => factorOf(spread)(drawn))).toEqual([
      expect.closeTo(0.75, 10),
      1,
      expect.closeTo(1.4, 10),
    ]);
    expect(pointsAt({ low: 1, high: 3 }, 1.2815515655446)).toBeCloseTo(0.03, 12);
    expect(pointsAt({ low: 1, high: 3 }, -1.2815515655446)).toBeCloseTo(-0.01, 12);
  });

  it('never come out as nothing, nor beyond all measure', () => {
    expect(factorOf({ low: 1000, high: 1000 })(-6)).toBe(0.001);
    expect(Number.isFinite(factorOf({ low: 1000, high: 1000 })(6))).toBe(true);
  });
});

describe('two candidates that cross at one level', () => {
  // A: 10 % of 1,000 k a month; B: 60 and 4 %. They cost the same at k = 1 exactly; here B is a little dearer: k = 1.1.
  const file = monthlyPlans({ A: ['0', '10'], B: ['66', '4'] });
  const crossing = 1.1;
  const futures = futuresOf(file, [level]);
  const { candidates, best, safest } = chancesOf(futures);
  const of = (id: string) => candidates.find((one) => one.id === id);

  it('come first as often as the level lies on their side', () => {
    const above = 1 - normalBelow(Math.log(crossing) / SIGMA);
    expect(Math.abs((of('B')?.first ?? 0) - above)).toBeLessThan(4 * (of('B')?.error ?? 0));
    expect((of('A')?.first ?? 0) + (of('B')?.first ?? 0)).toBeCloseTo(1, 12);
  });

  it('give away on average what the closed form says, and one in twenty the end of it', () => {
    // A costs 60 a month more for each k above the crossing, over 12 months.
    const lost = 12 * 60 * meanAbove(crossing);
    expect((of('A')?.givesAway ?? 0) / lost).toBeCloseTo(1, 1);
    const worst = 12 * 60 * (Math.exp(1.6448536 * SIGMA) - crossing);
    expect((of('A')?.atWorst ?? 0) / worst).toBeCloseTo(1, 1);
  });

  it('cost in eight of ten futures what the level does', () => {
    expect((of('A')?.low ?? 0) / ((1200 * 2) / 3)).toBeCloseTo(1, 1);
    expect((of('A')?.middle ?? 0) / 1200).toBeCloseTo(1, 1);
    expect((of('A')?.high ?? 0) / 1800).toBeCloseTo(1, 1);
  });

  it('make the level worth knowing for as much as the better of them gives away', () => {
    const least = Math.min(of('A')?.givesAway ?? 0, of('B')?.givesAway ?? 0);
    const [known] = worthKnowing(futures);
    expect(known?.key).toBe('level');
    expect((known?.worth ?? 0) / least).toBeGreaterThan(0.9);
    expect((known?.worth ?? 0) / least).toBeLessThan(1.02);
    expect([best, safest].every((id) => id === 'A' || id === 'B')).toBe(true);
  });

  it('agree with ten times as many futures within what is said of the error', () => {
    const many = futuresOf(file, [level], 100_000);
    const chances = chancesOf(many);
    const one = chances.candidates.find(({ id }) => id === 'A');
    expect(Math.abs((one?.first ?? 0) - (of('A')?.first ?? 0))).toBeLessThan(4 * (of('A')?.error ?? 0));
    expect((one?.givesAway ?? 0) / (of('A')?.givesAway ?? 0)).toBeCloseTo(1, 1);
    expect((one?.atWorst ?? 0) / (of('A')?.atWorst ?? 0)).toBeCloseTo(1, 1);
    expect((worthKnowing(many)[0]?.worth ?? 0) / (worthKnowing(futures)[0]?.worth ?? 1)).toBeCloseTo(1, 1);
  }, 60_000);
});

describe('futures', () => {
  const file = monthlyPlans({ A: ['0', '10'], B: ['66', '4'] });

  it('are the same in whatever pieces they are looked at, and others with another seed', () => {
    const uncertain = uncertainsOf(file);
    const pieces = new FutureRun(file, uncertain, 7, 300);
    pieces.add(1);
    pieces.add(120);
    pieces.add(500);
    expect(pieces.sofar().totals).toEqual(futuresOf(file, uncertain, 300).totals);
    expect(futuresOf(file, uncertain, 300, 8).totals).not.toEqual(futuresOf(file, uncertain, 300).totals);
  });

  it('scatter as counts do', () => {
    const scatter: Uncertain = { ...level, key: 'scatter', kind: 'scatter', low: 100, high: 100 };
    const { totals, count } = futuresOf(monthlyPlans({ A: ['0', '10'] }), [scatter], 4_000);
    const mean = totals.reduce((sum, total) => sum + total, 0) / count;
    const variance = totals.reduce((sum, total) => sum + (total - mean) ** 2, 0) / count;
    // 1,200 orders of 10, a tenth of each: mean 1,200, and a variance of 1,200.
    expect(mean / 1200).toBeCloseTo(1, 2);
    expect(variance / 1200).toBeGreaterThan(0.9);
    expect(variance / 1200).toBeLessThan(1.1);
  });

  it('say how often a limit is reached, and in which month', () => {
    const limited = monthlyPlans({ A: ['0', '10'], B: ['66', '4'] });
    const [offer] = limited.offers;
    const [plan] = offer?.plans ?? [];
    if (!offer || !plan) throw new Error('a plan is expected');
    const file130 = { ...limited, offers: [{ ...offer, plans: [{ ...plan, limits: { orders: '130' } }] }, ...limited.offers.slice(1)] };
    const { candidates } = chancesOf(futuresOf(file130, [level]));
    const one = candidates.find(({ id }) => id === 'A');
    const beyond = 1 - normalBelow(Math.log(1.3) / SIGMA);
    expect(Math.abs((one?.limit?.part ?? 0) - beyond)).toBeLessThan(0.02);
    expect(one?.limit?.month).toBe(0);
    expect(one?.usable).toBeCloseTo(1 - (one?.limit?.part ?? 0), 12);
  });

  it('hold only figures, however uncertain everything is', () => {
    fc.assert(
      fc.property(richDecision, fc.constantFrom('0', '1000'), (rich, spread) => {
        const wide = uncertainsOf(rich).map((one) => ({ ...one, low: Number(spread), high: Number(spread) }));
        const { totals } = futuresOf(rich, wide, 12);
        expect([...totals].every((total) => Number.isFinite(total))).toBe(true);
      }),
      { numRuns: 40 },
    );
  }, 60_000);
});

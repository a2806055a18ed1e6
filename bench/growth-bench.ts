import { priceDecision } from '../core/comparison/decision-result';
import { readDecisionFile } from '../core/decision-file/read';
import type { DecisionFile } from '../core/decision-file/schema';
import { preparePricing } from '../core/pricing/pricing';
import { cheapestRoute } from '../core/route/cheapest-route';
import { cheapestStretches } from '../core/scales/cheapest-at';
import { compileCandidates } from '../core/scales/compile';
import { benchDecision } from './bench-decision';
import { time } from './timing';

/** The decision with moves between all of its candidates. */
export const withRoute = (file: DecisionFile): DecisionFile => ({
  ...file,
  route: { candidates: file.candidates.map(({ id }) => id), within: '20', between: '150' },
});

/** All candidates compiled, nothing of an earlier time used again. */
export function compileAnew(file: DecisionFile) {
  return compileCandidates(preparePricing(file));
}

type Size = Parameters<typeof benchDecision>[0];

function growth(
  what: string,
  sizeOf: (size: number) => Size,
  sizes: readonly number[],
  unit: string,
  run: (file: DecisionFile) => void,
): void {
  let before: number | null = null;
  for (const size of sizes) {
    const file = readDecisionFile(benchDecision(sizeOf(size)));
    const measured = time(5, () => run(file));
    console.log(
      `${what.padEnd(14)} ${String(size).padStart(4)} ${unit.padEnd(11)} ${measured.toFixed(1).padStart(9)} ms ${before === null ? '' : `× ${(measured / before).toFixed(2)}`}`,
    );
    before = measured;
  }
}

/** How the time grows with months, candidates and charges. */
export function runGrowthBench(): void {
  console.log('\nGrowth: median milliseconds, and how much more than the row before\n');
  growth(
    'exact result',
    (size) => ({ candidates: 10, months: size, charges: 6 }),
    [12, 24, 48, 96],
    'months',
    (one) => void priceDecision(one),
  );
  growth(
    'exact result',
    (size) => ({ candidates: size, months: 24, charges: 6 }),
    [5, 10, 20, 40],
    'candidates',
    (one) => void priceDecision(one),
  );
  growth(
    'exact result',
    (size) => ({ candidates: 10, months: 24, charges: size }),
    [3, 6, 12, 24],
    'charges',
    (one) => void priceDecision(one),
  );
  growth(
    'cheapest-at',
    (size) => ({ candidates: size, months: 24, charges: 6 }),
    [5, 10, 20, 40],
    'candidates',
    (one) => void cheapestStretches(compileAnew(one), 0.05, 20),
  );
  growth(
    'route',
    (size) => ({ candidates: 8, months: size, charges: 6 }),
    [12, 24, 48, 96],
    'months',
    (one) => void cheapestRoute(preparePricing(withRoute(one))),
  );
  growth(
    'route',
    (size) => ({ candidates: size, months: 24, charges: 6 }),
    [4, 8, 16, 32],
    'candidates',
    (one) => void cheapestRoute(preparePricing(withRoute(one))),
  );
}

import { readFileSync } from 'node:fs';
import { priceDecision } from '../core/comparison/decision-result';
import { readPricePage } from '../core/price-page/read-price-page';
import { readPhrase } from '../core/price-phrase/read-phrase';
import { PHRASES } from '../core/tests/phrases';
import { workbenchOf } from '../core/tests/workbench-of';
import { readDecisionFile, readDecisionText } from '../core/decision-file/read';
import type { DecisionFile } from '../core/decision-file/schema';
import { preparePricing } from '../core/pricing/pricing';
import { decisionProposals, vendorProposals } from '../core/proposals/decision-proposals';
import { proposals } from '../core/proposals/propose';
import { randomNumbers, firstPlaces } from '../core/fit/stability';
import { turningWeights } from '../core/fit/turning-weights';
import type { FitTable } from '../core/fit/criteria';
import { cheapestRoute } from '../core/route/cheapest-route';
import { crossingsOf } from '../core/scales/break-even';
import { cheapestStretches } from '../core/scales/cheapest-at';
import { compileCandidates } from '../core/scales/compile';
import { totalAt } from '../core/scales/compiled-candidate';
import { spreadsheetOf } from './spreadsheet';
import { chancesOf } from '../core/chance/chances';
import { worthKnowing } from '../core/chance/finding-out';
import { FutureRun } from '../core/chance/futures';
import { uncertainsOf } from '../core/chance/uncertain';
import { differencesOf, inVersion } from '../core/forecast/versions';
import { verdictBasis } from '../core/verdict/basis';
import { conditionsOf } from '../core/verdict/conditions';
import { assumptionsOf } from '../core/what-if/assumption';
import { USUAL_MOVING } from '../core/route/moving-costs';
import { benchDecision } from './bench-decision';
import { pastOrdersOf } from '../core/replay/past-orders';
import { replay } from '../core/replay/replay';
import { manyOrders } from './many-orders';
import { compileAnew, runGrowthBench, withRoute } from './growth-bench';
import { row, time } from './timing';
import { pageHtml, pageText } from './page-text';
import { bestWays } from '../core/proposals/ways';
import { proposalBenchDecision } from './proposal-decision';

export { proposalBenchDecision };

/** Everything the core promises to be quick at, each beside the spreadsheet engine where that can do the same. */
export function runCoreBench(): void {
  const file = readDecisionFile(benchDecision({ candidates: 20, months: 36, charges: 6 }));
  const pricing = preparePricing(file);
  const compiled = compileCandidates(pricing);

  const sheet = spreadsheetOf(file);
  const ours = priceDecision(file).result.candidates.map(({ total }) => Number(total));
  sheet.totals().forEach((total, index) => {
    if (Math.abs(total - (ours[index] ?? NaN)) > 0.005)
      throw new Error(`The spreadsheet's total of candidate ${index} is ${total}, ours ${ours[index]}`);
  });
  console.log('Spreadsheet and core give the same totals for all 20 candidates, to the cent.\n');

  let orders = 100;
  const recalculation = time(15, () => sheet.setOrders(String((orders += 1))));
  const exact = time(15, () => priceDecision(file));
  const fast = time(200, () => compiled.map((candidate) => totalAt(candidate, 1.37)));
  row('exact result, 20 candidates × 36 months × 6 charges', exact, 150);
  row('  spreadsheet engine, recalculated after one input changed', recalculation, null, `${(recalculation / exact).toFixed(1)} × ours`);
  row('totals at one scale, compiled', fast, 0.3);
  row(
    '  spreadsheet engine, the same recalculation',
    recalculation,
    null,
    `${Math.round(recalculation / fast)} × ours (at least 50 wanted)`,
  );
  row(
    'compiling 20 candidates',
    time(15, () => compileAnew(file)),
    null,
  );
  row(
    'cheapest-at, scales 0.05 to 20, 20 candidates',
    time(
      15,
      (fresh) => cheapestStretches(fresh, 0.05, 20),
      () => compileAnew(file),
    ),
    60,
  );
  row(
    '  with compiling',
    time(15, () => cheapestStretches(compileAnew(file), 0.05, 20)),
    null,
  );
  row(
    'all break-evens between 20 candidates (190 pairs)',
    time(
      7,
      (fresh) => allPairs(fresh),
      () => compileAnew(file),
    ),
    250,
  );
  row(
    '  with compiling',
    time(7, () => allPairs(compileAnew(file))),
    null,
  );
  const route = readDecisionFile(withRoute(benchDecision({ candidates: 12, months: 36, charges: 6 })));
  row(
    'route over 12 candidates and 36 months',
    time(7, () => cheapestRoute(preparePricing(route))),
    300,
  );

  replaysOfOrders(readDecisionFile(benchDecision({ candidates: 20, months: 12, charges: 6 })));
  chances(file);

  const many = readDecisionFile(proposalBenchDecision());
  const asked = preparePricing(many);
  console.log(`    ${proposals(asked)?.filter(({ total }) => total !== null).length} of 30 platforms have a proposal`);
  row(
    'proposals, 30 platforms × 5 plans × 4 terms × 8 add-ons, 36 months',
    time(
      5,
      (fresh) => proposals(fresh),
      () => preparePricing(many),
    ),
    1500,
  );
  row(
    '  with the reason for every plan that is passed over',
    time(
      5,
      (fresh) => vendorProposals(fresh),
      () => preparePricing(many),
    ),
    1500,
  );
  const demo = workbenchOf(readDecisionText(readFileSync('demo/larkfell-kites.json', 'utf8')));
  row(
    'first answer in the demo: every vendor at its best',
    time(7, () => decisionProposals({ ...demo })),
    150,
  );
  const found = proposals(asked) ?? [];
  row(
    'best ways inside and across 30 such platforms',
    time(
      3,
      (fresh) => bestWays(fresh, found, { moving: { within: 2000, between: 50_000, moves: 2 }, by: 'cost', paymentsOf: () => ['own'] }),
      () => preparePricing(many),
    ),
    3000,
  );
  const table = fitBenchTable(20, 20);
  row(
    'stability of fit, 20 candidates × 20 criteria × 10,000 weightings',
    time(9, () => firstPlaces(table)),
    300,
  );
  row(
    '  the weight that turns it, every criterion',
    time(50, () => turningWeights(table)),
    5,
  );

  const others = (['cautious', 'hopeful'] as const).map((version) => ({
    version,
    file: { ...file, forecast: inVersion(file.forecast, differencesOf(undefined, version)) },
  }));
  const workbench = workbenchOf(file);
  const varied = assumptionsOf(file).map((assumption) => ({ assumption, low: assumption.usual[0], high: assumption.usual[1] }));
  row(
    'verdict: the table of conditions, 20 candidates × 36 months × 6 charges',
    time(5, () => conditionsOf({ workbench, priced: priceDecision(file), others, names: {} })),
    500,
  );
  row(
    '  with what would change it, and the way through the horizon',
    time(3, () => verdictBasis(file, { workbench, others, varied, moving: USUAL_MOVING, names: {} })),
    null,
  );

  const phrases = PHRASES.map(([phrase]) => phrase);
  row('reading a phrase, the corpus of tests, mean', time(9, () => phrases.map((phrase) => readPhrase(phrase))) / phrases.length, 5);
  row('  the slowest of them, median of 9', Math.max(...phrases.map((phrase) => time(9, () => readPhrase(phrase)))), 5);

  const [text, html] = [pageText(300), pageHtml(2_000_000)];
  row(
    'reading a pricing page of 300 lines',
    time(15, () => readPricePage(text)),
    150,
  );
  row(
    'reading 2 MB of HTML',
    time(9, () => readPricePage(html)),
    1_000,
  );
  runGrowthBench();
}

/** Ten thousand futures, with all that is answered from them. */
function chances(file: DecisionFile): void {
  const uncertain = uncertainsOf(file);
  const futuresOf = (count: number) => {
    const run = new FutureRun(file, uncertain, 1, count);
    run.add(count);
    return { chances: chancesOf(run.sofar()), worth: worthKnowing(run.sofar()) };
  };
  row(
    'chance: 10,000 futures × 20 candidates × 36 months',
    time(3, () => futuresOf(10_000)),
    1_500,
  );
  row(
    '  a coarse answer from 600',
    time(5, () => futuresOf(600)),
    200,
  );
}

/** Past orders, replayed through twenty candidates. */
function replaysOfOrders(file: DecisionFile): void {
  for (const [count, rounds, target] of [
    [10_000, 5, 150],
    [1_000_000, 1, 5_000],
  ] as const) {
    const orders = pastOrdersOf(manyOrders(count));
    if (orders)
      row(
        `${count.toLocaleString('en')} past orders × 20 candidates, order by order`,
        time(rounds, () => replay(file, orders)),
        target,
      );
  }
}

function allPairs(compiled: ReturnType<typeof compileCandidates>): number {
  let count = 0;
  compiled.forEach((a, index) => compiled.slice(index + 1).forEach((b) => (count += crossingsOf(a, b, 0.05, 20).length)));
  return count;
}

/** A made-up table of candidates and criteria. */
function fitBenchTable(candidates: number, criteria: number): FitTable {
  const random = randomNumbers(3);
  return {
    criteria: Array.from({ length: criteria }, (_, at) => ({
      key: `c${at}`,
      label: `Criterion ${at}`,
      kind: 'quality',
      weight: 1 + (at % 5),
    })),
    rows: Array.from({ length: candidates }, (_, at) => ({
      candidate: `C${at}`,
      label: `Candidate ${at}`,
      points: Array.from({ length: criteria }, () => Math.round(random() * 100)),
    })),
  };
}

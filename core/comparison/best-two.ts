import { minorDigits } from '../amount/currencies';
import { comparedBy } from '../decision-file/compared-by';
import type { DecisionFile } from '../decision-file/schema';
import { candidateCharges } from '../pricing/candidate-charges';
import { preparePricing, type Pricing } from '../pricing/pricing';
import { compileCandidates } from '../scales/compile';
import { type CompiledCandidate, totalAt } from '../scales/compiled-candidate';
import { isNearEdge } from '../scales/form-values';
import { leadOver, scoreOf } from './best';
import { canBeChosen, type CandidateResult, priceCandidate } from './candidate-result';
import { runnerUpOf, vendorsOf } from './vendors';

/** Who is best of those that can be chosen, to the cent, and by how much better than the next of another vendor. */
export interface BestTwo {
  readonly first: string;
  /** What it costs, base currency. */
  readonly total: string;
  readonly second: string | null;
  readonly margin: string | null;
}

/** How far floating point could be off where a limit decides who can be chosen, in parts of the level of sales. */
const DUST = 1e-9;

/**
 * The best candidate that can be chosen and the next, by what the decision compares by, as pricing all of them exactly gives (decision file §7), but
 * quicker: floating point says who is in question, and only those are priced exactly.
 *
 * @returns null where no candidate can be chosen
 */
export function bestTwo(file: DecisionFile): BestTwo | null {
  const pricing = preparePricing(file);
  const by = comparedBy(file);
  const slack = 2 * roundingOf(pricing);
  const compiled = compileCandidates(pricing, by)
    .map((one, index) => ({ index, total: hasEdge(one, file.months) ? -Infinity : totalAt(one, 1), usableUpTo: one.usableUpTo }))
    .filter(({ usableUpTo }) => usableUpTo >= 1 - DUST)
    .sort((a, b) => a.total - b.total);
  const vendors = vendorsOf(file);
  const vendorAt = (index: number) => vendors.get(file.candidates[index]?.id ?? '');
  // Where all are of one vendor, the next is simply the second.
  const isOneVendor = new Set(compiled.map(({ index }) => vendorAt(index))).size < 2;
  const exact: Array<{ index: number; result: CandidateResult }> = [];
  for (const { index, total } of compiled) {
    const ordered = exact.map((one) => ({ ...one, score: scoreOf(one.result, by).toNumber() })).sort((a, b) => a.score - b.score);
    const [first, ...others] = ordered;
    const next = others.find((one) => isOneVendor || vendorAt(one.index) !== vendorAt(first?.index ?? -1));
    if (next !== undefined && total > next.score + slack) break;
    const candidate = file.candidates[index];
    const result = candidate && priceCandidate(pricing, candidate).result;
    if (result && canBeChosen(result)) exact.push({ index, result });
  }
  // The first in file order wins a tie.
  exact.sort((a, b) => scoreOf(a.result, by).cmp(scoreOf(b.result, by)) || a.index - b.index);
  const results = exact.map(({ result }) => result);
  const [first] = results;
  if (!first) return null;
  const second = runnerUpOf(results, vendors);
  return {
    first: first.id,
    total: first.total,
    second: second?.id ?? null,
    margin: second ? leadOver(first, second, by, file.currency) : null,
  };
}

/** Close to a step, floating point could be off by a whole package; then only exact arithmetic says. */
function hasEdge({ charges }: CompiledCandidate, months: number): boolean {
  return charges.some(({ form }) => isNearEdge(form, months, 1));
}

/** By how much the rounding of lines can put a candidate's total away from its unrounded one, base currency. */
function roundingOf(pricing: Pricing): number {
  const { file } = pricing;
  const units = [file.currency, ...Object.keys(file.rates ?? {})].map(
    (currency) => 10 ** -minorDigits(currency) * pricing.rate(currency).toNumber(),
  );
  const lines = Math.max(
    0,
    ...file.candidates.map(
      (candidate) =>
        candidateCharges(pricing, candidate).length +
        candidate.plans.length +
        (candidate.addons?.length ?? 0) +
        (candidate.extras?.length ?? 0),
    ),
  );
  // One more for own time, one for tax; a line is rounded twice, and taxed.
  return file.months * (lines + 2) * 2 * Math.max(...units) * (1 + Number(file.feeTax ?? '0') / 100);
}

import { type Decimal, decimal } from '../amount/decimal';
import { moneyText } from '../amount/currencies';
import { type ComparedBy, comparedBy } from '../decision-file/compared-by';
import { canBeChosen, type CandidateResult } from './candidate-result';
import type { PricedDecision } from './decision-result';

/** What candidates are ordered by, lower being better: what is paid, or less than nothing what is kept. */
export function scoreOf({ total, keep }: Pick<CandidateResult, 'total' | 'keep'>, by: ComparedBy): Decimal {
  return by === 'keep' ? decimal(keep).negated() : decimal(total);
}

/** The candidate that is best by what the decision compares by; null where no candidate can be chosen. */
export function bestCandidate({ pricing, result }: Pick<PricedDecision, 'pricing' | 'result'>): string | null {
  return comparedBy(pricing.file) === 'keep' ? result.mostKept : result.cheapest;
}

/**
 * By how much one is better than another: what it costs less, or keeps more; less than nothing where it is worse.
 *
 * @returns a decimal in the given currency
 */
export function leadOver(
  one: Pick<CandidateResult, 'total' | 'keep'>,
  other: Pick<CandidateResult, 'total' | 'keep'>,
  by: ComparedBy,
  currency: string,
): string {
  return moneyText(scoreOf(other, by).minus(scoreOf(one, by)), currency);
}

/** Those that can be chosen and are known in full, the best first; the first in file order of equals. */
export function inOrder(results: readonly CandidateResult[], by: ComparedBy): CandidateResult[] {
  return results.filter(canBeChosen).sort((a, b) => scoreOf(a, by).cmp(scoreOf(b, by)));
}

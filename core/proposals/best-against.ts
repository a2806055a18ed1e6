import { assembleToPrice } from '../assembly/assemble-to-price';
import { bestCandidate, leadOver } from '../comparison/best';
import { priceDecision } from '../comparison/decision-result';
import { comparedBy } from '../decision-file/compared-by';
import type { Workbench } from '../decision/workbench';

/** Who is best among more candidates than are compared now, and by how much better than the best of those. */
export interface BestAgainst {
  readonly candidate: string;
  /** Base currency; null where none of those compared now can be chosen. */
  readonly by: string | null;
}

/** The day on which something follows a proposal just to be priced: what it comes to does not depend on it. */
export const ANY_DAY = '2000-01-01';

/** The best candidate of a workbench with more candidates, against the best of the workbench as it is; null where none can be chosen. */
export function bestAgainst(withMore: Workbench, now: Workbench): BestAgainst | null {
  const bestOf = (workbench: Workbench) => {
    const priced = priceDecision(assembleToPrice(workbench).file);
    const id = bestCandidate(priced);
    return { file: priced.pricing.file, result: priced.result.candidates.find((one) => one.id === id) };
  };
  const { file, result } = bestOf(withMore);
  if (!result) return null;
  const { result: leader } = bestOf(now);
  return { candidate: result.id, by: leader ? leadOver(result, leader, comparedBy(file), file.currency) : null };
}

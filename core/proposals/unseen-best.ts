import { assembleToPrice } from '../assembly/assemble-to-price';
import { bestCandidate, leadOver } from '../comparison/best';
import { priceDecision } from '../comparison/decision-result';
import type { Workbench } from '../decision/workbench';
import { comparedBy } from '../decision-file/compared-by';
import type { DecisionProposals } from './decision-proposals';
import { candidateOf, type Followable, madeWords, withFollower } from './edit-followed';

/** Something on the sheets that is better than every candidate, without being one. */
export interface UnseenBest {
  readonly proposed: Followable;
  /** "Tidewrack Trade, by the month". */
  readonly words: string;
  /** By how much it is better than the best candidate, base currency; null where none can be chosen. */
  readonly by: string | null;
}

/** Whoever looks does not matter for what it would come to. */
const ANY_DAY = '2000-01-01';

/**
 * Puts what is proposed for every vendor beside the candidates, with the hours, extras and lift it would have as one, and
 * says whether one that is none yet would be the best of all.
 */
export function unseenBest(workbench: Workbench, { vendors, pair }: Pick<DecisionProposals, 'vendors' | 'pair'>): UnseenBest | null {
  const all: Followable[] = [
    ...vendors.flatMap(({ offer, proposed }) => (proposed ? [{ offer, ...proposed }] : [])),
    ...(pair ? [{ offer: pair.offers[0], with: pair.offers[1], made: pair.made, total: pair.total }] : []),
  ];
  const aside = new Set(workbench.decision.setAside?.map(({ offer }) => offer));
  const isConsidered = ({ offer, with: other = offer }: Followable) => !aside.has(offer) && !aside.has(other);
  const missing = all.filter((proposed) => isConsidered(proposed) && candidateOf(workbench, proposed) === null);
  if (missing.length === 0) return null;
  const added = new Map<string, Followable>();
  const decision = missing.reduce((changed, proposed) => {
    const next = withFollower({ ...workbench, decision: changed }, proposed, ANY_DAY);
    const id = next.candidates.at(-1)?.id;
    if (id !== undefined) added.set(id, proposed);
    return next;
  }, workbench.decision);
  const priced = priceDecision(assembleToPrice({ ...workbench, decision }).file);
  const best = bestCandidate(priced);
  const proposed = best === null ? undefined : added.get(best);
  const result = priced.result.candidates.find(({ id }) => id === best);
  if (!proposed || !result) return null;
  const before = priceDecision(assembleToPrice(workbench).file);
  const leader = before.result.candidates.find(({ id }) => id === bestCandidate(before));
  const { file } = priced.pricing;
  return {
    proposed,
    words: madeWords(workbench, proposed.made),
    by: leader ? leadOver(result, leader, comparedBy(file), file.currency) : null,
  };
}

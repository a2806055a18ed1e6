import type { Workbench } from '../decision/workbench';
import { ANY_DAY, bestAgainst } from './best-against';
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
  const best = bestAgainst({ ...workbench, decision }, workbench);
  const proposed = best ? added.get(best.candidate) : undefined;
  return best && proposed ? { proposed, words: madeWords(workbench, proposed.made), by: best.by } : null;
}

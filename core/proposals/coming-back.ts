import { decimal } from '../amount/decimal';
import { setAsideOf, withTakenBack } from '../assembly/set-aside';
import type { Workbench } from '../decision/workbench';
import { ANY_DAY, bestAgainst } from './best-against';
import type { DecisionProposals } from './decision-proposals';
import { candidateOf, withFollower } from './edit-followed';

/** A vendor that was set aside and would be the best by now. */
export interface ComingBack {
  readonly offer: string;
  /** What of it would be the best. */
  readonly label: string;
  /** The day on which it was set aside, and why. */
  readonly on: string;
  readonly reason: string;
  /** By how much it would be better than the best of those considered, base currency; null where none of them can be chosen. */
  readonly by: string | null;
}

/**
 * The vendor set aside that would be the best now, by more than it was when it was set aside: what changed since then
 * made it so. Of several the one that would be best by most.
 */
export function comingBack(workbench: Workbench, { vendors }: Pick<DecisionProposals, 'vendors'>): ComingBack | null {
  const { setAside = [] } = workbench.decision;
  if (setAside.length === 0) return null;
  const found = setAside.flatMap(({ offer, on, reason, ahead }): ComingBack[] => {
    const bench = broughtBack(workbench, offer, vendors);
    const best = bestAgainst(bench, workbench);
    const candidate = bench.decision.candidates.find(({ id }) => id === best?.candidate);
    if (!best || !candidate || setAsideOf(candidate, workbench) !== offer) return [];
    const { by } = best;
    return by !== null && decimal(by).lte(ahead) ? [] : [{ offer, label: candidate.label, on, reason, by }];
  });
  const lead = ({ by }: ComingBack) => Number(by ?? Infinity);
  return found.reduce<ComingBack | null>((most, one) => (most === null || lead(one) > lead(most) ? one : most), null);
}

/** A vendor considered again, with what is proposed for it among the candidates. */
function broughtBack(workbench: Workbench, offer: string, vendors: DecisionProposals['vendors']): Workbench {
  const bench = { ...workbench, decision: withTakenBack(workbench.decision, offer) };
  const proposed = vendors.find((vendor) => vendor.offer === offer)?.proposed;
  if (!proposed || candidateOf(bench, { offer, ...proposed }) !== null) return bench;
  return { ...bench, decision: withFollower(bench, { offer, ...proposed }, ANY_DAY) };
}

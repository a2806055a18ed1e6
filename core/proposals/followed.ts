import type { Candidate } from '../decision-file/candidate-schema';
import type { Followed } from '../decision/followed-schema';
import { candidateName } from '../decision/candidates';
import type { Workbench } from '../decision/workbench';
import type { DecisionProposals, MakeUp } from './decision-proposals';

/** What is proposed now for a candidate that follows; null where nothing is. */
export function proposedFor(
  { vendors, pair }: DecisionProposals,
  { offer, plan, with: second }: Pick<Followed, 'offer' | 'plan' | 'with'>,
): { made: MakeUp; total: string } | null {
  if (second !== undefined) return pair && pair.offers[0] === offer && pair.offers[1] === second ? pair : null;
  const vendor = vendors.find((one) => one.offer === offer);
  return (plan === undefined ? vendor?.proposed : vendor?.plans.find((one) => one.plan === plan)?.best) ?? null;
}

/**
 * The decision with every candidate that follows a proposal made of what is proposed now. Pinned ones, and those for
 * which nothing is proposed, stay as they are. The document itself is not changed by this.
 */
export function withFollowed(workbench: Workbench, proposals: DecisionProposals | null): Workbench {
  const { followed = [], candidates } = workbench.decision;
  if (proposals === null || followed.length === 0) return workbench;
  const changed = candidates.map((candidate) => {
    const one = followed.find(({ candidate: id }) => id === candidate.id);
    const proposed = one && !one.pinned ? proposedFor(proposals, one) : null;
    return proposed && !isMadeOf(candidate, proposed.made) ? remade(workbench, candidate, proposed.made) : candidate;
  });
  return changed.every((candidate, index) => candidate === candidates[index])
    ? workbench
    : { ...workbench, decision: { ...workbench.decision, candidates: changed } };
}

/** Whether a candidate is made of just this. */
export function isMadeOf({ plans, addons = [], payments = 'own' }: Candidate, made: MakeUp): boolean {
  return (
    JSON.stringify([plans, addons.map(inOrder), payments]) ===
    JSON.stringify([made.plans, (made.addons ?? []).map(inOrder), made.payments ?? 'own'])
  );
}

const inOrder = ({ addon, term, count = 1 }: NonNullable<Candidate['addons']>[number]) => [addon, term, count];

/** A candidate made of something else; its name goes along where it still is the one it got by itself. */
export function remade(workbench: Workbench, candidate: Candidate, made: MakeUp): Candidate {
  const { addons: _addons, payments: _payments, ...kept } = candidate;
  return { ...kept, ...made, ...(candidate.label === nameOf(workbench, candidate) ? { label: nameOf(workbench, made) } : {}) };
}

/** The name that a candidate made of these plans gets by itself. */
export function nameOf({ sheets }: Pick<Workbench, 'sheets'>, { plans }: Pick<Candidate, 'plans'>): string {
  const offers = sheets.flatMap(({ sheet }) => (sheet.kind === 'offer' ? [sheet.offer] : []));
  return plans
    .flatMap(({ plan }) => {
      const offer = offers.find((one) => one.plans.some(({ id }) => id === plan));
      const found = offer?.plans.find(({ id }) => id === plan);
      return offer && found ? [candidateName(offer.label || offer.vendor, found.label)] : [];
    })
    .join(' with ');
}

import type { Workbench } from '../decision/workbench';
import { decisionProposals } from './decision-proposals';
import { isMadeOf, nameOf } from './followed';

/** The ids that proposals get which are no candidates; candidates' own have no such beginning. */
const PROPOSAL = 'proposed-';

/**
 * A decision with what is proposed for each vendor as a further candidate, where nothing like it is among the candidates:
 * what is compared may then be set against everything that could be. Names say of which vendor they are.
 */
export function withEveryVendorsBest(workbench: Workbench): Workbench {
  const { candidates } = workbench.decision;
  const further = decisionProposals(workbench).vendors.flatMap(({ offer, proposed }) => {
    if (!proposed || candidates.some((one) => isMadeOf(one, proposed.made))) return [];
    return [{ ...proposed.made, id: `${PROPOSAL}${offer}`, label: nameOf(workbench, proposed.made) }];
  });
  return further.length === 0 ? workbench : { ...workbench, decision: { ...workbench.decision, candidates: [...candidates, ...further] } };
}

/** Whether an id is that of a proposal which is no candidate. */
export function isProposal(candidate: string): boolean {
  return candidate.startsWith(PROPOSAL);
}

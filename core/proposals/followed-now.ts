import type { Workbench } from '../decision/workbench';
import { decisionProposals } from './decision-proposals';
import { withFollowed } from './followed';

/** A decision as a person sees it: candidates that follow a proposal are made of what is proposed now. */
export function followedNow(workbench: Workbench): Workbench {
  const follows = (workbench.decision.followed ?? []).some(({ pinned }) => !pinned);
  return follows ? withFollowed(workbench, decisionProposals(workbench)) : workbench;
}

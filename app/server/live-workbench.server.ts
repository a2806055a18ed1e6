import { loadWorkbench, loadWorkbenchAt, type SavedWorkbench } from '#data/decisions';
import type { Workbench } from '#core/decision/workbench';
import { decisionProposals } from '#core/proposals/decision-proposals';
import { withFollowed } from '#core/proposals/followed';
import { database } from './database.server';

/** A decision as a person sees it: candidates that follow a proposal are made of what is proposed. */
export function liveWorkbench(workbench: Workbench): Workbench {
  const follows = (workbench.decision.followed ?? []).some(({ pinned }) => !pinned);
  return follows ? withFollowed(workbench, decisionProposals(workbench)) : workbench;
}

/**
 * A decision by its id, in its current revision or another one.
 *
 * @throws Response with status 404 if there is none
 */
export async function openDecision(id: string, revision?: number): Promise<SavedWorkbench> {
  const db = await database();
  const saved = revision === undefined ? await loadWorkbench(db, id) : await loadWorkbenchAt(db, id, revision);
  if (!saved) throw new Response('There is no such decision', { status: 404 });
  return { ...saved, workbench: liveWorkbench(saved.workbench) };
}

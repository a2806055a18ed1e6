import { loadWorkbench, loadWorkbenchAt, type SavedWorkbench } from '#data/decisions';
import { followedNow } from '#core/proposals/followed-now';
import { database } from './database.server';

/**
 * A decision by its id, in its current revision or another one.
 *
 * @throws Response with status 404 if there is none
 */
export async function openDecision(id: string, revision?: number): Promise<SavedWorkbench> {
  const db = await database();
  const saved = revision === undefined ? await loadWorkbench(db, id) : await loadWorkbenchAt(db, id, revision);
  if (!saved) throw new Response('There is no such decision', { status: 404 });
  return { ...saved, workbench: followedNow(saved.workbench) };
}

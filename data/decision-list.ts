import type { Kysely } from 'kysely';
import { asVerdictsOfAnother } from '#core/decision/archive';
import { createDecision, loadWorkbench } from './decisions';
import type { Database } from './schema';

/** A decision as it stands in the list. */
export interface ListedDecision {
  readonly id: string;
  readonly name: string;
  readonly changedAt: string;
  /** When it was put away; null while it is in use. */
  readonly archivedAt: string | null;
}

/** Deleted decisions can be brought back for this many days. */
export const DAYS_KEPT_AFTER_DELETING = 30;

/** All decisions that are not deleted: those in use first, of each the one changed last. */
export function listDecisions(db: Kysely<Database>): Promise<ListedDecision[]> {
  return db
    .selectFrom('decisions')
    .select(['id', 'name', 'changedAt', 'archivedAt'])
    .where('deletedAt', 'is', null)
    .orderBy((select) => select('archivedAt', 'is not', null))
    .orderBy('changedAt', 'desc')
    .orderBy('id')
    .execute();
}

/** Puts a decision away, or with null back into use. */
export async function setArchived(db: Kysely<Database>, id: string, at: string | null): Promise<void> {
  await db.updateTable('decisions').set({ archivedAt: at }).where('id', '=', id).execute();
}

/** Deletes a decision so that it can still be brought back, or with null brings it back. */
export async function setDeleted(db: Kysely<Database>, id: string, at: string | null): Promise<void> {
  await db.updateTable('decisions').set({ deletedAt: at }).where('id', '=', id).execute();
}

/** The name of a decision that is deleted and can be brought back; undefined if there is none. */
export async function deletedName(db: Kysely<Database>, id: string): Promise<string | undefined> {
  const row = await db.selectFrom('decisions').select('name').where('id', '=', id).where('deletedAt', 'is not', null).executeTakeFirst();
  return row?.name;
}

/** Removes decisions that were deleted too long ago to be brought back; their price sheets stay. */
export async function removeDeleted(db: Kysely<Database>, now: Date): Promise<void> {
  const before = new Date(now.getTime() - DAYS_KEPT_AFTER_DELETING * 86_400_000).toISOString();
  await db.deleteFrom('decisions').where('deletedAt', '<', before).execute();
}

/**
 * Keeps a copy of a decision under another id; both go on using the same price sheets, each in the revision it used.
 *
 * @returns whether there was such a decision
 */
export async function duplicateDecision(db: Kysely<Database>, id: string, copyId: string, at: string): Promise<boolean> {
  const saved = await loadWorkbench(db, id);
  if (!saved) return false;
  const { decision, sheets } = saved.bench;
  const name = `${decision.name} (copy)`.slice(0, 300);
  await createDecision(db, copyId, { decision: { ...asVerdictsOfAnother(decision), name }, sheets }, at);
  return true;
}

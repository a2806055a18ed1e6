import type { Kysely } from 'kysely';
import { asVerdictsOfAnother } from '#core/assembly/archive';
import { createDecision, loadWorkbench } from './decisions';
import type { Database } from './schema';
import { LOOKS_APART_DAYS } from './thin-history';

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
const DAY_MS = 86_400_000;

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

/** A decision that was deleted and can be brought back. */
export interface DeletedDecision {
  readonly id: string;
  readonly name: string;
  readonly deletedAt: string;
}

/** All deleted decisions, the one deleted last first. */
export async function deletedDecisions(db: Kysely<Database>): Promise<DeletedDecision[]> {
  const rows = await db
    .selectFrom('decisions')
    .select(['id', 'name', 'deletedAt'])
    .where('deletedAt', 'is not', null)
    .orderBy('deletedAt', 'desc')
    .execute();
  return rows.map(({ id, name, deletedAt }) => ({ id, name, deletedAt: deletedAt ?? '' }));
}

/** Removes a deleted decision for good, with its history; its price sheets stay. */
export async function removeForGood(db: Kysely<Database>, id: string): Promise<void> {
  await db.deleteFrom('decisions').where('id', '=', id).where('deletedAt', 'is not', null).execute();
}

/**
 * Removes decisions that were deleted more than a month ago, if they were found so old on an earlier look as well, days
 * apart: a clock that is wrong for a while removes nothing. Their price sheets stay.
 *
 * @returns how many were removed
 */
export async function removeDeleted(db: Kysely<Database>, now: Date): Promise<number> {
  const before = new Date(now.getTime() - DAYS_KEPT_AFTER_DELETING * DAY_MS).toISOString();
  const longAgo = new Date(now.getTime() - LOOKS_APART_DAYS * DAY_MS).toISOString();
  return db.transaction().execute(async (transaction) => {
    const isOld = transaction.selectFrom('decisions').select('id').where('deletedAt', '<', before);
    const removed = await transaction.deleteFrom('decisions').where('id', 'in', isOld).where('oldSince', '<=', longAgo).executeTakeFirst();
    // The clock was put back, or the decision was brought back: the next look is a first one again.
    await transaction
      .updateTable('decisions')
      .set({ oldSince: null })
      .where((where) => where.or([where('id', 'not in', isOld), where('oldSince', '>', now.toISOString())]))
      .execute();
    await transaction
      .updateTable('decisions')
      .set({ oldSince: now.toISOString() })
      .where('id', 'in', isOld)
      .where('oldSince', 'is', null)
      .execute();
    return Number(removed.numDeletedRows);
  });
}

/**
 * Keeps a copy of a decision under another id; both go on using the same price sheets, each in the revision it used.
 *
 * @returns whether there was such a decision
 */
export async function duplicateDecision(db: Kysely<Database>, id: string, copyId: string, at: string): Promise<boolean> {
  const saved = await loadWorkbench(db, id);
  if (!saved) return false;
  const { decision, sheets } = saved.workbench;
  const name = `${decision.name} (copy)`.slice(0, 300);
  await createDecision(db, copyId, { decision: { ...asVerdictsOfAnother(decision), name }, sheets }, at);
  return true;
}

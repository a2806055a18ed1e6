import { type Kysely, sql } from 'kysely';
import * as z from 'zod';
import { removeRevision, type Revised, storedRevision, textOf } from './revisions';
import type { Database } from './schema';

const DAY_MS = 86_400_000;
/** Every step is kept for a month, then the last of every hour for two more, then the last of every day. */
export const EVERY_STEP_DAYS = 31;
export const HOURLY_DAYS = 92;
/** What is removed by age has been found old on two looks so far apart: one wrong clock removes nothing. */
export const LOOKS_APART_DAYS = 3;

/** A revision’s number with the time at which it was saved. */
export interface SavedAt {
  readonly revision: number;
  /** ISO 8601, UTC. */
  readonly savedAt: string;
}

/**
 * The revisions that are no longer kept, by their age.
 *
 * @param revisions - in order
 * @param always - numbers of those that stay, however old
 * @param now - the time against which they are old
 */
export function revisionsToRemove(revisions: readonly SavedAt[], always: ReadonlySet<number>, now: Date): number[] {
  const [stepsFrom, hoursFrom] = [EVERY_STEP_DAYS, HOURLY_DAYS].map((days) => new Date(now.getTime() - days * DAY_MS).toISOString());
  const lastOf = new Map<string, number>();
  const slotOf = ({ revision, savedAt }: SavedAt) =>
    savedAt >= (stepsFrom ?? '') ? `step ${revision}` : savedAt.slice(0, savedAt >= (hoursFrom ?? '') ? 13 : 10);
  for (const one of revisions) lastOf.set(slotOf(one), one.revision);
  const kept = new Set(lastOf.values());
  return revisions.filter(({ revision }) => !kept.has(revision) && !always.has(revision)).map(({ revision }) => revision);
}

/**
 * Thins out the history of all decisions and price sheets. Steps of undo lead past what is removed. A history that
 * cannot be read is left as it is.
 *
 * @returns how many revisions were removed
 */
export async function thinHistory(db: Kysely<Database>, now: Date): Promise<number> {
  const cutOff = await agreedTime(db, now);
  if (!cutOff) return 0;
  let removed = 0;
  for (const { id } of await db.selectFrom('decisions').select('id').execute()) {
    removed += await thinDecision(db, id, cutOff);
    await othersFirst();
  }
  return removed + (await thinSheets(db, cutOff));
}

/** Lets whatever else waits have its turn. */
const othersFirst = () => new Promise((resolve) => setImmediate(resolve));

const oldest = (now: Date) => new Date(now.getTime() - EVERY_STEP_DAYS * DAY_MS).toISOString();

/** The time that the clock showed on an earlier look, days ago; noted anew where the clock has been put back since. */
async function agreedTime(db: Kysely<Database>, now: Date): Promise<Date | null> {
  const row = await db.selectFrom('settings').select('value').where('key', '=', 'historyLookedAt').executeTakeFirst();
  const noted = row ? new Date(JSON.parse(row.value) as string) : null;
  if (noted && noted <= now && now.getTime() - noted.getTime() < LOOKS_APART_DAYS * DAY_MS) return null;
  const value = JSON.stringify(now.toISOString());
  await db
    .insertInto('settings')
    .values({ key: 'historyLookedAt', value })
    .onConflict((conflict) => conflict.column('key').doUpdateSet({ value }))
    .execute();
  return noted && noted <= now ? noted : null;
}

/** What a document says of other revisions. */
const referencesSchema = z.object({
  sheets: z.array(z.object({ sheet: z.string(), revision: z.number() })).default([]),
  verdicts: z.array(z.object({ madeFrom: z.object({ revision: z.number() }).optional() })).default([]),
});
type References = z.output<typeof referencesSchema>;

async function referencesOf(db: Kysely<Database>, id: string, revision: number): Promise<References | null> {
  const stored = await storedRevision(db, 'decision', id, revision);
  try {
    return stored ? referencesSchema.parse(JSON.parse(await textOf(db, 'decision', id, stored))) : null;
  } catch {
    return null;
  }
}

async function thinDecision(db: Kysely<Database>, id: string, now: Date): Promise<number> {
  const revisions = await db
    .selectFrom('decisionRevisions')
    .select(['revision', 'savedAt'])
    .where('decisionId', '=', id)
    .orderBy('revision')
    .execute();
  if (!revisions.some(({ savedAt }) => savedAt < oldest(now))) return 0;
  const always = new Set<number>([revisions.at(-1)?.revision ?? 0]);
  for (const { revision } of revisions) {
    const references = await referencesOf(db, id, revision);
    if (!references) return 0;
    for (const { madeFrom } of references.verdicts) if (madeFrom) always.add(madeFrom.revision);
  }
  return removeAll(db, 'decision', id, revisionsToRemove(revisions, always, now));
}

async function thinSheets(db: Kysely<Database>, now: Date): Promise<number> {
  const withOld = await db.selectFrom('sheetRevisions').select('sheetId').distinct().where('savedAt', '<', oldest(now)).execute();
  const used = withOld.length > 0 ? await usedRevisions(db) : null;
  if (!used) return 0;
  let removed = 0;
  for (const { sheetId } of withOld) {
    const revisions = await db
      .selectFrom('sheetRevisions')
      .select(['revision', 'savedAt'])
      .where('sheetId', '=', sheetId)
      .orderBy('revision')
      .execute();
    const always = new Set([...(used.get(sheetId) ?? []), revisions.at(-1)?.revision ?? 0]);
    removed += await removeAll(db, 'sheet', sheetId, revisionsToRemove(revisions, always, now));
    await othersFirst();
  }
  return removed;
}

/** The revisions of every sheet that some kept revision of a decision used; null if one of those cannot be read. */
async function usedRevisions(db: Kysely<Database>): Promise<Map<string, Set<number>> | null> {
  const used = new Map<string, Set<number>>();
  for (const { decisionId, revision } of await db.selectFrom('decisionRevisions').select(['decisionId', 'revision']).execute()) {
    const references = await referencesOf(db, decisionId, revision);
    if (!references) return null;
    for (const one of references.sheets) used.set(one.sheet, (used.get(one.sheet) ?? new Set()).add(one.revision));
  }
  return used;
}

async function removeAll(db: Kysely<Database>, kind: Revised, id: string, revisions: readonly number[]): Promise<number> {
  if (revisions.length === 0) return 0;
  await db.transaction().execute(async (transaction) => {
    // The last first: what was written against one that goes is mostly gone by then.
    for (const revision of [...revisions].reverse()) await removeRevision(transaction, kind, id, revision);
    if (kind === 'decision') await leadPastRemoved(transaction, id);
  });
  return revisions.length;
}

/** Undo goes to the nearest kept step before a removed one; redo ends there. */
async function leadPastRemoved(db: Kysely<Database>, id: string): Promise<void> {
  await sql`update decision_revisions set undo_to = (select max(kept.revision) from decision_revisions as kept where kept.decision_id = ${id} and kept.revision <= decision_revisions.undo_to)
    where decision_id = ${id} and undo_to is not null`.execute(db);
  await sql`update decision_revisions set redo_to = null, redo_label = null
    where decision_id = ${id} and redo_to is not null and not exists (select 1 from decision_revisions as kept where kept.decision_id = ${id} and kept.revision = decision_revisions.redo_to)`.execute(
    db,
  );
  await sql`update decision_revisions set undo_label = null where decision_id = ${id} and undo_to is null`.execute(db);
}

import type { Kysely, Transaction } from 'kysely';
import { type PriceSheet, priceSheetSchema } from '#core/decision/price-sheet';
import { sheetLabel } from '#core/decision/sheet-label';
import type { UsedSheet } from '#core/decision/workbench';
import { contentFor, storedRevision, textOf } from './revisions';
import type { Database } from './schema';
import { readDocumentAs, UnreadableDocument } from './unreadable';

/** A price sheet in its newest revision, with how many decisions use it. */
export interface ListedSheet extends UsedSheet {
  readonly changedAt: string;
  readonly decisions: number;
}

/** The newest revision of every price sheet, by label; those that cannot be read are left out. */
export async function listSheets(db: Kysely<Database>): Promise<ListedSheet[]> {
  const rows = await db
    .selectFrom('sheets')
    .select(['id', 'revision', 'changedAt'])
    .select((select) =>
      select
        .selectFrom('usedSheets')
        .whereRef('usedSheets.sheetId', '=', 'sheets.id')
        .select((count) => count.fn.countAll<number>().as('count'))
        .as('decisions'),
    )
    .orderBy('label')
    .execute();
  const listed: ListedSheet[] = [];
  for (const { id, revision, changedAt, decisions } of rows) {
    const sheet = await loadSheet(db, id, revision).catch(leaveOutUnreadable);
    if (sheet) listed.push({ id, revision, changedAt, decisions: decisions ?? 0, sheet });
  }
  return listed;
}

function leaveOutUnreadable(error: unknown): undefined {
  if (!(error instanceof UnreadableDocument)) throw error;
}

/** The decisions in use that use a price sheet, by id. */
export async function decisionsUsing(db: Kysely<Database>, sheetId: string): Promise<string[]> {
  const rows = await db
    .selectFrom('usedSheets')
    .innerJoin('decisions', 'decisions.id', 'usedSheets.decisionId')
    .select('decisions.id')
    .where('usedSheets.sheetId', '=', sheetId)
    .where('decisions.deletedAt', 'is', null)
    .where('decisions.archivedAt', 'is', null)
    .orderBy('decisions.id')
    .execute();
  return rows.map(({ id }) => id);
}

/**
 * One revision of a price sheet; undefined if there is none.
 *
 * @throws UnreadableDocument if it cannot be read any more
 */
export async function loadSheet(db: Kysely<Database>, id: string, revision: number): Promise<PriceSheet | undefined> {
  const stored = await storedRevision(db, 'sheet', id, revision);
  return stored && readDocumentAs(priceSheetSchema, () => textOf(db, 'sheet', id, stored));
}

/** The number of a sheet's newest revision; 0 if there is no such sheet. */
export async function newestSheetRevision(db: Kysely<Database>, id: string): Promise<number> {
  const row = await db.selectFrom('sheets').select('revision').where('id', '=', id).executeTakeFirst();
  return row?.revision ?? 0;
}

/**
 * Adds a revision to a price sheet, or the first one of a new sheet.
 *
 * @returns the revision's number
 */
export async function addSheetRevision(
  db: Transaction<Database>,
  id: string,
  sheet: PriceSheet,
  at: string,
): Promise<number> {
  const revision = (await newestSheetRevision(db, id)) + 1;
  const row = { id, revision, kind: sheet.kind, label: sheetLabel(sheet), changedAt: at };
  await db
    .insertInto('sheets')
    .values(row)
    .onConflict((conflict) => conflict.column('id').doUpdateSet(row))
    .execute();
  await db
    .insertInto('sheetRevisions')
    .values({ sheetId: id, revision, ...(await contentFor(db, 'sheet', id, revision, JSON.stringify(sheet))), savedAt: at })
    .execute();
  return revision;
}

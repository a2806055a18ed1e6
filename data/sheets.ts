import type { Kysely, Transaction } from 'kysely';
import { type PriceSheet, priceSheetSchema } from '#core/decision/price-sheet';
import { sheetLabel } from '#core/decision/sheet-label';
import type { UsedSheet } from '#core/decision/workbench';
import type { Database } from './schema';

/** A price sheet in its newest revision, with how many decisions use it. */
export interface ListedSheet extends UsedSheet {
  readonly changedAt: string;
  readonly decisions: number;
}

/** The newest revision of every price sheet, by label. */
export async function listSheets(db: Kysely<Database>): Promise<ListedSheet[]> {
  const rows = await db
    .selectFrom('sheets')
    .innerJoin('sheetRevisions', (join) =>
      join.onRef('sheetRevisions.sheetId', '=', 'sheets.id').onRef('sheetRevisions.revision', '=', 'sheets.revision'),
    )
    .select(['sheets.id', 'sheets.revision', 'sheets.changedAt', 'sheetRevisions.document'])
    .select((select) =>
      select
        .selectFrom('usedSheets')
        .whereRef('usedSheets.sheetId', '=', 'sheets.id')
        .select((count) => count.fn.countAll<number>().as('count'))
        .as('decisions'),
    )
    .orderBy('sheets.label')
    .execute();
  return rows.map(({ id, revision, changedAt, document, decisions }) => ({
    id,
    revision,
    changedAt,
    decisions: decisions ?? 0,
    sheet: readSheet(document),
  }));
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

/** One revision of a price sheet; undefined if there is none. */
export async function loadSheet(db: Kysely<Database>, id: string, revision: number): Promise<PriceSheet | undefined> {
  const row = await db
    .selectFrom('sheetRevisions')
    .select('document')
    .where('sheetId', '=', id)
    .where('revision', '=', revision)
    .executeTakeFirst();
  return row && readSheet(row.document);
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
    .values({ sheetId: id, revision, document: JSON.stringify(sheet), savedAt: at })
    .execute();
  return revision;
}

function readSheet(document: string): PriceSheet {
  return priceSheetSchema.parse(JSON.parse(document));
}

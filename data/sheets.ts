import type { Kysely, Transaction } from 'kysely';
import { LRUCache } from 'lru-cache';
import { type PriceSheet, priceSheetSchema } from '#core/decision/price-sheet';
import { sheetLabel } from '#core/decision/sheet-label';
import type { UsedSheet } from '#core/decision/workbench';
import type { StoredContent } from './revision-content';
import { contentFor, textOf } from './revisions';
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

/** One revision of one price sheet. */
export interface SheetRevision {
  readonly id: string;
  readonly revision: number;
}

/**
 * One revision of a price sheet; undefined if there is none.
 *
 * @throws UnreadableDocument if it cannot be read any more
 */
export async function loadSheet(db: Kysely<Database>, id: string, revision: number): Promise<PriceSheet | undefined> {
  const [sheet] = await loadSheets(db, [{ id, revision }]);
  return sheet;
}

/**
 * Revisions of several price sheets, in the order in which they are asked for; undefined for each that there is not.
 *
 * @throws UnreadableDocument if one cannot be read any more
 */
export async function loadSheets(db: Kysely<Database>, wanted: readonly SheetRevision[]): Promise<Array<PriceSheet | undefined>> {
  if (wanted.length === 0) return [];
  const rows = await db
    .selectFrom('sheetRevisions')
    .select(['sheetId', 'revision', 'content', 'base'])
    .where((where) => where.or(wanted.map(({ id, revision }) => where.and([where('sheetId', '=', id), where('revision', '=', revision)]))))
    .execute();
  const stored = new Map(rows.map((row) => [`${row.sheetId} ${row.revision}`, row]));
  const sheets: Array<PriceSheet | undefined> = [];
  for (const { id, revision } of wanted) {
    const row = stored.get(`${id} ${revision}`);
    sheets.push(row && (await readSheet(db, id, revision, row)));
  }
  return sheets;
}

/** Revisions of sheets that were read last: a decision has a dozen, and every save needs them all. */
const readLast = new LRUCache<string, PriceSheet>({ max: 2_000 });

async function readSheet(db: Kysely<Database>, id: string, revision: number, stored: StoredContent): Promise<PriceSheet> {
  // The content says for certain what was read from it.
  const key = `${id} ${revision} ${stored.base} ${stored.content.toString('latin1')}`;
  const found = readLast.get(key);
  if (found) return found;
  const sheet = await readDocumentAs(priceSheetSchema, () => textOf(db, 'sheet', id, stored));
  readLast.set(key, sheet);
  return sheet;
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
export async function addSheetRevision(db: Transaction<Database>, id: string, sheet: PriceSheet, at: string): Promise<number> {
  const revision = (await newestSheetRevision(db, id)) + 1;
  const row = { id, revision, kind: sheet.kind, label: sheetLabel(sheet), changedAt: at };
  await db
    .insertInto('sheets')
    .values(row)
    .onConflict((conflict) => conflict.column('id').doUpdateSet(row))
    .execute();
  await db
    .insertInto('sheetRevisions')
    .values({
      sheetId: id,
      revision,
      ...(await contentFor(db, 'sheet', id, revision, JSON.stringify(sheet))),
      savedAt: at,
    })
    .execute();
  return revision;
}

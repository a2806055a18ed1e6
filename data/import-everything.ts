import type { Kysely, Transaction } from 'kysely';
import type { StoredDecision } from '#core/decision/decision-schema';
import { sheetLabel } from '#core/decision/sheet-label';
import { problemsOf, RefusedFileError } from '#core/fields/problems';
import { structureProblems } from '#core/fields/structure';
import { type Everything, everythingSchema, type KeptDecision, type KeptSheet } from './everything-schema';
import { contentFor, storedRevision, textOf } from './revisions';
import type { Database } from './schema';
import { keepSetting, readSetting } from './settings';

/** What became of an import. */
export interface ImportOutcome {
  readonly added: number;
  /** Decisions that stand here already, exactly as in the file. */
  readonly there: number;
  /** Decisions of the file that came in under another identity, since one of theirs stands here with other content. */
  readonly beside: number;
  readonly sheets: number;
}

/**
 * Reads a file with everything that an installation keeps.
 *
 * @param document - parsed JSON
 * @throws RefusedFileError with every problem found
 */
export function readEverything(document: unknown): Everything {
  const unfit = structureProblems(document);
  if (unfit.length > 0) throw new RefusedFileError(unfit);
  const read = everythingSchema.safeParse(document);
  if (!read.success) throw new RefusedFileError(problemsOf(document, read.error.issues));
  return read.data;
}

/**
 * Takes in everything of a file beside what is here, all or nothing. Nothing that stands here is changed: what is there
 * already is left, what stands here with other content comes in beside it.
 *
 * @param newId - gives a fresh identifier
 */
export async function importEverything(db: Kysely<Database>, file: Everything, newId: () => string): Promise<ImportOutcome> {
  return db.transaction().execute(async (transaction) => {
    const ids = new Map<string, string>();
    let sheets = 0;
    for (const sheet of file.sheets) {
      const { id, isNew } = await takeInSheet(transaction, sheet, newId);
      ids.set(sheet.id, id);
      if (isNew) sheets += 1;
    }
    const outcomes = { added: 0, there: 0, beside: 0 };
    for (const decision of file.decisions) outcomes[await takeInDecision(transaction, decision, ids, newId)] += 1;
    await takeInWatch(transaction, file, ids);
    await takeInSettings(transaction, file.settings);
    return { ...outcomes, sheets };
  });
}

async function takeInSheet(db: Transaction<Database>, sheet: KeptSheet, newId: () => string): Promise<{ id: string; isNew: boolean }> {
  const isTaken = (await db.selectFrom('sheets').select('id').where('id', '=', sheet.id).executeTakeFirst()) !== undefined;
  if (isTaken && (await standsHere(db, sheet))) return { id: sheet.id, isNew: false };
  const id = isTaken ? newId() : sheet.id;
  const newest = sheet.revisions.at(-1);
  if (!newest) return { id, isNew: false };
  await db
    .insertInto('sheets')
    .values({
      id,
      revision: newest.revision,
      kind: newest.document.kind,
      label: sheetLabel(newest.document),
      changedAt: newest.savedAt,
    })
    .execute();
  for (const { revision, savedAt, document } of sheet.revisions)
    await db
      .insertInto('sheetRevisions')
      .values({
        sheetId: id,
        revision,
        savedAt,
        ...(await contentFor(db, 'sheet', id, revision, JSON.stringify(document))),
      })
      .execute();
  return { id, isNew: true };
}

/** Whether every revision of a sheet stands here with the same content. */
async function standsHere(db: Kysely<Database>, { id, revisions }: KeptSheet): Promise<boolean> {
  for (const { revision, document } of revisions)
    if ((await storedAs(db, 'sheet', id, revision)) !== JSON.stringify(document)) return false;
  return true;
}

/** A stored document written the way the file's is; null where there is none or it cannot be read. */
async function storedAs(db: Kysely<Database>, kind: 'sheet' | 'decision', id: string, revision: number): Promise<string | null> {
  const stored = await storedRevision(db, kind, id, revision);
  try {
    return stored ? await textOf(db, kind, id, stored) : null;
  } catch {
    return null;
  }
}

async function takeInDecision(
  db: Transaction<Database>,
  decision: KeptDecision,
  ids: ReadonlyMap<string, string>,
  newId: () => string,
): Promise<'added' | 'there' | 'beside'> {
  const here = await db.selectFrom('decisions').select('revision').where('id', '=', decision.id).executeTakeFirst();
  const newest = decision.revisions.at(-1);
  if (!newest) return 'there';
  const wanted = JSON.stringify(withSheetsOf(newest.document, ids));
  if (here && (await storedAs(db, 'decision', decision.id, here.revision)) === wanted) return 'there';
  const id = here ? newId() : decision.id;
  const { createdAt, changedAt, archivedAt, deletedAt } = decision;
  const name = newest.document.name;
  await db
    .insertInto('decisions')
    .values({ id, revision: newest.revision, name, createdAt, changedAt, archivedAt, deletedAt, oldSince: null })
    .execute();
  for (const { document, ...noted } of decision.revisions) {
    const text = JSON.stringify(withSheetsOf(document, ids));
    await db
      .insertInto('decisionRevisions')
      .values({ decisionId: id, ...noted, ...(await contentFor(db, 'decision', id, noted.revision, text)) })
      .execute();
  }
  for (const { sheet, revision } of newest.document.sheets)
    await db
      .insertInto('usedSheets')
      .values({ decisionId: id, sheetId: ids.get(sheet) ?? sheet, revision })
      .execute();
  return here ? 'beside' : 'added';
}

/** A decision with its sheets by the identifiers that they have here. */
function withSheetsOf(document: StoredDecision, ids: ReadonlyMap<string, string>): StoredDecision {
  return {
    ...document,
    sheets: document.sheets.map(({ sheet, revision }) => ({ sheet: ids.get(sheet) ?? sheet, revision })),
  };
}

async function takeInWatch(
  db: Transaction<Database>,
  { watched, priceChanges }: Everything,
  ids: ReadonlyMap<string, string>,
): Promise<void> {
  for (const { found, sheetId, ...row } of watched) {
    const here = ids.get(sheetId);
    if (here)
      await db
        .insertInto('watchedSheets')
        .values({ ...row, sheetId: here, found: JSON.stringify(found) })
        .onConflict((conflict) => conflict.doNothing())
        .execute();
  }
  const known = new Set((await db.selectFrom('priceChanges').select(['sheetId', 'changeId', 'decidedAt']).execute()).map(sameChange));
  for (const { sheetId, ...change } of priceChanges) {
    const row = { ...change, sheetId: sheetId === null ? null : (ids.get(sheetId) ?? sheetId) };
    if (!known.has(sameChange(row))) await db.insertInto('priceChanges').values(row).execute();
  }
}

const sameChange = ({ sheetId, changeId, decidedAt }: { sheetId: string | null; changeId: string; decidedAt: string }) =>
  JSON.stringify([sheetId, changeId, decidedAt]);

/** Settings that are made here stay as they are. */
async function takeInSettings(db: Transaction<Database>, { ratesAddress, privateHosts }: Everything['settings']): Promise<void> {
  if (ratesAddress !== undefined && (await readSetting(db, 'ratesAddress')) === undefined)
    await keepSetting(db, 'ratesAddress', ratesAddress);
  if (privateHosts !== undefined && (await readSetting(db, 'privateHosts')) === undefined)
    await keepSetting(db, 'privateHosts', privateHosts);
}

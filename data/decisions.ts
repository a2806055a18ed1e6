import type { Kysely, Transaction } from 'kysely';
import { LRUCache } from 'lru-cache';
import { type Decision, type StoredDecision, storedDecisionSchema } from '#core/decision/decision-schema';
import type { UsedSheet, Workbench } from '#core/decision/workbench';
import { fixedVerdicts } from '#core/verdict/give';
import { contentFor, textOf } from './revisions';
import type { Database } from './schema';
import { parseDocumentAs, readText, UnreadableDocument } from './unreadable';
import { addSheetRevision, loadSheet, loadSheets } from './sheets';
import { changedElsewhere, noteUsedSheets, restoredSheets, type SentSheet } from './used-sheets';

/** A decision as it stands in the database, with what undo and redo would do. */
export interface SavedWorkbench {
  readonly workbench: Workbench;
  readonly revision: number;
  readonly savedAt: string;
  /** What undo would take back, in words; null if there is nothing. */
  readonly undo: string | null;
  readonly redo: string | null;
}

/** A change to be saved: what it is, on which revision it was made, and the whole document after it. */
export interface Change {
  /** Which value was changed; a stretch of changes to one value is one step of undo. */
  readonly key: string;
  /** What was changed, in words. */
  readonly label: string;
  readonly revision: number;
  readonly decision: Decision;
  /** The decision's sheets, those of the change with their content. */
  readonly sheets: readonly SentSheet[];
}

/** What became of a change: saved, or refused because the decision or a sheet was changed elsewhere meanwhile. */
export type SaveOutcome = { ok: true; saved: SavedWorkbench } | { ok: false; current: SavedWorkbench; staleSheets: UsedSheet[] };

/** Changes to one value within this time are one step of undo. */
const ONE_STRETCH_OF_TYPING_MS = 5_000;

/** A revision as it is stored, and with its document as text. */
type StoredRevision = Database['decisionRevisions'];
type Revision = Omit<StoredRevision, 'content' | 'base'> & { readonly document: string };

/** A decision in its current revision, or undefined. */
export async function loadWorkbench(db: Kysely<Database>, id: string): Promise<SavedWorkbench | undefined> {
  const row = await currentRevision(db, id);
  return row && savedWorkbench(db, row);
}

/**
 * Keeps a new decision; sheets that were never saved (revision 0) are kept too.
 *
 * @param at - ISO 8601 time
 */
export async function createDecision(db: Kysely<Database>, id: string, workbench: Workbench, at: string): Promise<void> {
  await db.transaction().execute((transaction) => addDecision(transaction, id, workbench, at));
}

/** Keeps a new decision as a part of something larger; see {@link createDecision}. */
export async function addDecision(transaction: Transaction<Database>, id: string, workbench: Workbench, at: string): Promise<void> {
  const sheets: StoredDecision['sheets'] = [];
  for (const { id: sheet, revision, sheet: content } of workbench.sheets)
    sheets.push({ sheet, revision: revision || (await addSheetRevision(transaction, sheet, content, at)) });
  const { name } = workbench.decision;
  await transaction
    .insertInto('decisions')
    .values({ id, revision: 0, name, createdAt: at, changedAt: at, archivedAt: null, deletedAt: null, oldSince: null })
    .execute();
  await addRevision(
    transaction,
    { ...workbench.decision, sheets },
    {
      decisionId: id,
      revision: 1,
      savedAt: at,
      changeKey: 'created',
      undoTo: null,
      undoLabel: null,
      redoTo: null,
      redoLabel: null,
    },
  );
}

/**
 * Saves a change as a new revision of the decision and of the sheets it touches, all or nothing.
 *
 * @param at - ISO 8601 time
 * @returns undefined if there is no such decision
 */
export async function saveChange(db: Kysely<Database>, id: string, change: Change, at: string): Promise<SaveOutcome | undefined> {
  return db.transaction().execute((transaction) => addChange(transaction, id, change, at));
}

/** Saves a change as a part of something larger; see {@link saveChange}. */
export async function addChange(
  transaction: Transaction<Database>,
  id: string,
  change: Change,
  at: string,
): Promise<SaveOutcome | undefined> {
  const current = await currentRevision(transaction, id);
  if (!current) return undefined;
  const staleSheets = await changedElsewhere(transaction, change.sheets);
  if (current.revision !== change.revision || staleSheets.length > 0)
    return { ok: false, current: await savedWorkbench(transaction, current), staleSheets };
  // Changed and changed back before it was sent is no step: undo would seem to do nothing.
  if (await isAsBefore(transaction, change, current)) return { ok: true, saved: await savedWorkbench(transaction, current) };
  const sheets: StoredDecision['sheets'] = [];
  for (const { id: sheet, revision, changed } of change.sheets)
    sheets.push({ sheet, revision: changed ? await addSheetRevision(transaction, sheet, changed, at) : revision });
  const goesOn =
    current.changeKey === change.key && current.undoTo !== null && Date.parse(at) - Date.parse(current.savedAt) < ONE_STRETCH_OF_TYPING_MS;
  const document = {
    ...withFixedVerdicts(change.decision, readDocument(current.document), current.revision + 1, sheets),
    sheets,
  };
  const row = await addRevision(transaction, document, {
    decisionId: id,
    revision: current.revision + 1,
    savedAt: at,
    changeKey: change.key,
    undoTo: goesOn ? current.undoTo : current.revision,
    undoLabel: change.label,
    redoTo: null,
    redoLabel: null,
  });
  return { ok: true, saved: await savedWorkbench(transaction, row) };
}

/**
 * Undoes or redoes the last step: the former content becomes a new revision, and so do the sheets it had changed
 * as far as nobody else has changed them since.
 *
 * @param revision - the revision the person sees
 * @returns undefined if there is no such decision; refused if it was changed elsewhere; unchanged if there is nothing to do
 */
export async function stepBack(
  db: Kysely<Database>,
  id: string,
  revision: number,
  direction: 'undo' | 'redo',
  at: string,
): Promise<SaveOutcome | undefined> {
  return db.transaction().execute(async (transaction) => {
    const current = await currentRevision(transaction, id);
    if (!current) return undefined;
    if (current.revision !== revision) return { ok: false, current: await savedWorkbench(transaction, current), staleSheets: [] };
    const goal = direction === 'undo' ? current.undoTo : current.redoTo;
    const target = goal === null ? undefined : await revisionOf(transaction, id, goal);
    if (!target) return { ok: true, saved: await savedWorkbench(transaction, current) };
    const document = readDocument(target.document);
    const sheets = await restoredSheets(transaction, readDocument(current.document), document, at);
    const row = await addRevision(
      transaction,
      { ...document, sheets },
      {
        ...target,
        revision: current.revision + 1,
        savedAt: at,
        changeKey: direction,
        redoTo: direction === 'undo' ? current.revision : target.redoTo,
        redoLabel: direction === 'undo' ? current.undoLabel : target.redoLabel,
      },
    );
    return { ok: true, saved: await savedWorkbench(transaction, row) };
  });
}

/** Verdicts that were given stay as they were kept; new ones are fixed with the revisions that are being written. */
function withFixedVerdicts(
  decision: Decision,
  { verdicts: kept = [] }: StoredDecision,
  revision: number,
  sheets: StoredDecision['sheets'],
): Decision {
  const { verdicts } = decision;
  return verdicts
    ? {
        ...decision,
        verdicts: fixedVerdicts(kept, verdicts, revision, Object.fromEntries(sheets.map((one) => [one.sheet, one.revision]))),
      }
    : decision;
}

/** A decision as it stood in one of its revisions; undefined if that is not kept here. */
export async function loadWorkbenchAt(db: Kysely<Database>, id: string, revision: number): Promise<SavedWorkbench | undefined> {
  const row = await revisionOf(db, id, revision);
  return row && savedWorkbench(db, row);
}

/** Whether a change leaves the decision and its sheets as they are. */
async function isAsBefore(db: Transaction<Database>, { decision, sheets }: Change, { document }: Revision): Promise<boolean> {
  const used = sheets.map(({ id: sheet, revision }) => ({ sheet, revision }));
  if (JSON.stringify({ ...decision, sheets: used }) !== JSON.stringify(readDocument(document))) return false;
  for (const { id, revision, changed } of sheets)
    if (changed && JSON.stringify(await loadSheet(db, id, revision)) !== JSON.stringify(changed)) return false;
  return true;
}

/** Writes a revision, and what is asked about it across decisions. */
async function addRevision(db: Transaction<Database>, document: StoredDecision, noted: Omit<Revision, 'document'>): Promise<Revision> {
  const { decisionId, revision, savedAt, changeKey, undoTo, undoLabel, redoTo, redoLabel } = noted;
  const text = JSON.stringify(document);
  const content = await contentFor(db, 'decision', decisionId, revision, text);
  await db
    .insertInto('decisionRevisions')
    .values({ decisionId, revision, savedAt, changeKey, undoTo, undoLabel, redoTo, redoLabel, ...content })
    .execute();
  await db.updateTable('decisions').set({ revision, name: document.name, changedAt: savedAt }).where('id', '=', decisionId).execute();
  await noteUsedSheets(db, decisionId, document.sheets);
  return { ...noted, document: text };
}

async function currentRevision(db: Kysely<Database>, id: string): Promise<Revision | undefined> {
  const current = await db
    .selectFrom('decisions')
    .select('revision')
    .where('id', '=', id)
    .where('deletedAt', 'is', null)
    .executeTakeFirst();
  if (!current) return undefined;
  const row = await revisionOf(db, id, current.revision);
  if (!row) throw new UnreadableDocument('The newest revision is missing');
  return row;
}

async function revisionOf(db: Kysely<Database>, id: string, revision: number): Promise<Revision | undefined> {
  const row = await db
    .selectFrom('decisionRevisions')
    .selectAll()
    .where('decisionId', '=', id)
    .where('revision', '=', revision)
    .executeTakeFirst();
  if (!row) return undefined;
  const { content, base, ...noted } = row;
  return { ...noted, document: await readText(() => textOf(db, 'decision', id, { content, base })) };
}

/** Revisions never change once they are written, so those read last are kept at hand, for each database. */
const atHand = new WeakMap<object, LRUCache<string, SavedWorkbench>>();

function readLast(db: Kysely<Database>): LRUCache<string, SavedWorkbench> {
  // The same for a database and all its transactions.
  const { adapter } = db.getExecutor();
  const found = atHand.get(adapter) ?? new LRUCache<string, SavedWorkbench>({ max: 50 });
  atHand.set(adapter, found);
  return found;
}

async function savedWorkbench(db: Kysely<Database>, row: Revision): Promise<SavedWorkbench> {
  const key = `${row.decisionId} ${row.revision} ${row.savedAt}`;
  const found = readLast(db).get(key);
  if (found) return found;
  const saved = await readWorkbench(db, row);
  readLast(db).set(key, saved);
  return saved;
}

async function readWorkbench(db: Kysely<Database>, row: Revision): Promise<SavedWorkbench> {
  const { sheets: refs, ...decision } = readDocument(row.document);
  const loaded = await loadSheets(
    db,
    refs.map(({ sheet: id, revision }) => ({ id, revision })),
  );
  const sheets = refs.map(({ sheet: id, revision }, at): UsedSheet => {
    const sheet = loaded[at];
    if (!sheet) throw new UnreadableDocument(`Revision ${revision} of price sheet ${id} is missing`);
    return { id, revision, sheet };
  });
  const { revision, savedAt, undoTo, undoLabel, redoTo, redoLabel } = row;
  return {
    workbench: { decision, sheets },
    revision,
    savedAt,
    undo: undoTo === null ? null : undoLabel,
    redo: redoTo === null ? null : redoLabel,
  };
}

function readDocument(document: string): StoredDecision {
  return parseDocumentAs(storedDecisionSchema, document);
}

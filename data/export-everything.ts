import type { Kysely } from 'kysely';
import { storedDecisionSchema } from '#core/decision/decision-schema';
import { priceSheetSchema } from '#core/decision/price-sheet';
import { EVERYTHING_FORMAT, type Everything, type KeptDecision, type KeptSheet } from './everything-schema';
import { watchedSheets } from './price-watch';
import { textOf } from './revisions';
import type { Database } from './schema';
import { readSetting } from './settings';
import { readDocumentAs, UnreadableDocument } from './unreadable';

/** Whether the steps of undo go along too. */
export interface ExportOptions {
  readonly withHistory: boolean;
  /** ISO 8601 time. */
  readonly at: string;
}

/** Everything that is kept here, as one document. */
export async function exportEverything(db: Kysely<Database>, { withHistory, at }: ExportOptions): Promise<Everything> {
  const unreadable: Everything['unreadable'] = [];
  const decisions = await keptDecisions(db, withHistory, unreadable);
  const sheets = await keptSheets(db, withHistory ? null : usedBy(decisions), unreadable);
  const [ratesAddress, privateHosts] = [await readSetting(db, 'ratesAddress'), await readSetting(db, 'privateHosts')];
  return {
    format: EVERYTHING_FORMAT,
    version: 1,
    madeAt: at,
    decisions,
    sheets,
    watched: (await watchedSheets(db)).map((one) => ({ ...one, found: [...one.found] })),
    priceChanges: await db
      .selectFrom('priceChanges')
      .select(['sheetId', 'label', 'changeId', 'plan', 'what', 'before', 'after', 'outcome', 'decidedAt'])
      .orderBy('id')
      .execute(),
    settings: {
      ...(ratesAddress === undefined ? {} : { ratesAddress }),
      ...(privateHosts === undefined ? {} : { privateHosts }),
    },
    unreadable,
  };
}

async function keptDecisions(db: Kysely<Database>, withHistory: boolean, unreadable: Everything['unreadable']): Promise<KeptDecision[]> {
  const kept: KeptDecision[] = [];
  for (const { id, name, revision: current, createdAt, changedAt, archivedAt, deletedAt } of await db
    .selectFrom('decisions')
    .selectAll()
    .orderBy('id')
    .execute()) {
    const rows = await db
      .selectFrom('decisionRevisions')
      .selectAll()
      .where('decisionId', '=', id)
      .$if(!withHistory, (query) => query.where('revision', '=', current))
      .orderBy('revision')
      .execute();
    const revisions: KeptDecision['revisions'] = [];
    for (const { decisionId: _id, content, base, ...noted } of rows) {
      const document = await readOrNote(
        () => readDocumentAs(storedDecisionSchema, () => textOf(db, 'decision', id, { content, base })),
        unreadable,
        { kind: 'decision', id, name, revision: noted.revision, base, content },
      );
      // Without the steps before it there is nothing to undo.
      if (document)
        revisions.push(
          withHistory ? { ...noted, document } : { ...noted, undoTo: null, undoLabel: null, redoTo: null, redoLabel: null, document },
        );
    }
    if (revisions.length > 0) kept.push({ id, createdAt, changedAt, archivedAt, deletedAt, revisions });
  }
  return kept;
}

type Used = ReadonlyMap<string, ReadonlySet<number>>;

function usedBy(decisions: readonly KeptDecision[]): Used {
  const used = new Map<string, Set<number>>();
  for (const { sheet, revision } of decisions.flatMap(({ revisions }) => revisions.flatMap(({ document }) => document.sheets)))
    used.set(sheet, (used.get(sheet) ?? new Set()).add(revision));
  return used;
}

async function keptSheets(db: Kysely<Database>, used: Used | null, unreadable: Everything['unreadable']): Promise<KeptSheet[]> {
  const kept: KeptSheet[] = [];
  for (const { id, revision: newest, label } of await db.selectFrom('sheets').select(['id', 'revision', 'label']).orderBy('id').execute()) {
    const revisions: KeptSheet['revisions'] = [];
    for (const { revision, content, base, savedAt } of await db
      .selectFrom('sheetRevisions')
      .selectAll()
      .where('sheetId', '=', id)
      .orderBy('revision')
      .execute()) {
      if (used && revision !== newest && !used.get(id)?.has(revision)) continue;
      const document = await readOrNote(
        () => readDocumentAs(priceSheetSchema, () => textOf(db, 'sheet', id, { content, base })),
        unreadable,
        { kind: 'sheet', id, name: label, revision, base, content },
      );
      if (document) revisions.push({ revision, savedAt, document });
    }
    if (revisions.length > 0) kept.push({ id, revisions });
  }
  return kept;
}

type Stored = Omit<Everything['unreadable'][number], 'content'> & { readonly content: Buffer };

/** A document, or nothing where it cannot be read: then what is stored is noted as it is. */
async function readOrNote<Document>(
  read: () => Promise<Document>,
  unreadable: Everything['unreadable'],
  stored: Stored,
): Promise<Document | null> {
  try {
    return await read();
  } catch (error) {
    if (!(error instanceof UnreadableDocument)) throw error;
    unreadable.push({ ...stored, content: stored.content.toString('base64') });
    return null;
  }
}

import type { Transaction } from 'kysely';
import type { StoredDecision } from '#core/decision/decision-schema';
import type { UsedSheet } from '#core/decision/workbench';
import type { Database } from './schema';
import { addSheetRevision, loadSheet, newestSheetRevision } from './sheets';

/** A sheet that a decision uses as a change leaves it, with its content where that is changed. */
export interface SentSheet {
  readonly id: string;
  /** The revision that the change was made on. */
  readonly revision: number;
  readonly changed?: UsedSheet['sheet'] | undefined;
}

/** The sheets of a change that have a newer revision than the one it was made on, in that newer revision. */
export async function changedElsewhere(db: Transaction<Database>, sheets: readonly SentSheet[]): Promise<UsedSheet[]> {
  const stale: UsedSheet[] = [];
  for (const { id, revision, changed } of sheets) {
    const newest = changed ? await newestSheetRevision(db, id) : revision;
    if (newest === revision) continue;
    const sheet = await loadSheet(db, id, newest);
    if (sheet) stale.push({ id, revision: newest, sheet });
  }
  return stale;
}

/** The sheets of a former revision, as far as nobody has changed them since the one that is being left. */
export async function restoredSheets(
  db: Transaction<Database>,
  from: StoredDecision,
  to: StoredDecision,
  at: string,
): Promise<StoredDecision['sheets']> {
  const sheets: StoredDecision['sheets'] = [];
  for (const { sheet, revision } of to.sheets) {
    const used = from.sheets.find((one) => one.sheet === sheet);
    const isNewest = used !== undefined && (await newestSheetRevision(db, sheet)) === used.revision;
    const former = isNewest && used.revision !== revision ? await loadSheet(db, sheet, revision) : undefined;
    sheets.push({ sheet, revision: former ? await addSheetRevision(db, sheet, former, at) : revision });
  }
  return sheets;
}

/** Keeps beside the decision which revisions of sheets it uses, as far as that has changed. */
export async function noteUsedSheets(db: Transaction<Database>, decisionId: string, sheets: StoredDecision['sheets']): Promise<void> {
  const noted = await db.selectFrom('usedSheets').select(['sheetId as sheet', 'revision']).where('decisionId', '=', decisionId).execute();
  const inOrder = (list: StoredDecision['sheets']) => JSON.stringify(list.map(({ sheet, revision }) => `${sheet} ${revision}`).sort());
  if (inOrder(noted) === inOrder(sheets)) return;
  await db.deleteFrom('usedSheets').where('decisionId', '=', decisionId).execute();
  if (sheets.length > 0)
    await db
      .insertInto('usedSheets')
      .values(sheets.map(({ sheet, revision }) => ({ decisionId, sheetId: sheet, revision })))
      .execute();
}

import { mkdtempSync, readFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import SQLite from 'better-sqlite3';
import type { Kysely } from 'kysely';
import { newStream } from '#core/decision/edit-forecast';
import type { Workbench } from '#core/decision/workbench';
import { type DataPaths, dataPaths } from '../data-folder';
import { createDecision, loadWorkbench, saveChange, type SavedWorkbench } from '../decisions';
import type { Database } from '../schema';

/** A fresh data folder. */
export function freshPaths(): DataPaths {
  return dataPaths(mkdtempSync(join(tmpdir(), 'venalis-data-')));
}

/** The versions of the database that there were before the present one. */
export const FORMER_VERSIONS = ['001', '002', '003', '004'] as const;

/** Puts the database of a former version in a file. */
export function putFormerVersion(file: string, version: (typeof FORMER_VERSIONS)[number]): void {
  const sqlite = new SQLite(file);
  sqlite.pragma('journal_mode = WAL');
  // Rows come before the tables that they refer to.
  sqlite.pragma('foreign_keys = OFF');
  sqlite.exec(readFileSync(new URL(`fixtures/version-${version}.sql`, import.meta.url), 'utf8'));
  sqlite.close();
}

/** A small decision with one price sheet. */
export function smallBench(name = 'start'): Workbench {
  return {
    decision: {
      name,
      currency: 'EUR',
      start: '2027-01',
      months: 12,
      forecast: { streams: [newStream('s', 'Sales')] },
      candidates: [],
    },
    sheets: [
      {
        id: `sheet-of-${name}`,
        revision: 0,
        sheet: { kind: 'processor', processor: { id: 'p', label: 'Pay', currency: 'EUR' } },
      },
    ],
  };
}

/** A decision with a number of saves, one every so many milliseconds. */
export async function withSaves(
  db: Kysely<Database>,
  id: string,
  saves: number,
  { from, everyMs }: { from: Date; everyMs: number },
): Promise<void> {
  await createDecision(db, id, smallBench(id), from.toISOString());
  for (let turn = 1; turn <= saves; turn++) await rename(db, id, `${id} ${turn}`, new Date(from.getTime() + turn * everyMs).toISOString());
}

/** Saves a decision under another name. */
export async function rename(db: Kysely<Database>, id: string, name: string, at: string): Promise<void> {
  const saved = await current(db, id);
  const { workbench, revision } = saved;
  await saveChange(
    db,
    id,
    {
      key: name,
      label: name,
      revision,
      decision: { ...workbench.decision, name },
      sheets: workbench.sheets.map((used) => ({ id: used.id, revision: used.revision })),
    },
    at,
  );
}

/** A decision that is expected to be there. */
export async function current(db: Kysely<Database>, id: string): Promise<SavedWorkbench> {
  const saved = await loadWorkbench(db, id);
  if (!saved) throw new Error(`The decision ${id} is expected to be there`);
  return saved;
}

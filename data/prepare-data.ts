import { existsSync } from 'node:fs';
import SQLite from 'better-sqlite3';
import type { Kysely } from 'kysely';
import { keepBeforeUpgrade, keepDailyBackUp } from './back-ups';
import { type DataPaths, prepareDataFolder } from './data-folder';
import { DataProblem, dataProblemKind } from './data-problem';
import { structureFindings } from './integrity';
import { migrate, pendingMigrations, refuseNewer } from './migrate';
import { asDataProblem, connect, connectForReading, type OpenDatabase } from './open-database';
import type { Database } from './schema';
import { holdServerLock, holdTurn } from './server-lock';

/** How the data can be used. */
export type DataState =
  | { readonly kind: 'ready' }
  /** Nothing can be written; what is there can be looked at. */
  | { readonly kind: 'read-only'; readonly why: string }
  /** Damaged: nothing is written, so that nothing gets worse. */
  | { readonly kind: 'damaged'; readonly finding: string };

/** Data that a server may use. */
export interface PreparedData {
  readonly state: DataState;
  /** For upkeep; null where nothing may be written. */
  readonly open: OpenDatabase | null;
  /** Gives the data back: the log is written into the database, so that one file is the data, and the lock is dropped. */
  release(): void;
}

/**
 * Gets the data ready for a server: folder and rights, integrity, a back-up, the present version's tables.
 *
 * @param fill - puts something into an empty database, such as the demo; all or nothing
 * @throws DataProblem if no server may use the data: a newer version wrote it, another process keeps it locked, or it
 * could not be brought up to date
 */
export async function prepareData(paths: DataPaths, now: Date, fill?: (db: Kysely<Database>) => Promise<void>): Promise<PreparedData> {
  prepareDataFolder(paths);
  const giveBack = lockOf(paths);
  let open: OpenDatabase | null = null;
  let passOn: (() => void) | null = null;
  try {
    passOn = holdTurn(paths);
    refuseDamaged(paths.database);
    open = connect(paths.database);
    const { sqlite } = open;
    await bringUpToDate(open, paths, now);
    await fill?.(open.db);
    noteStart(open, now);
    await unlessFull(() => keepDailyBackUp(sqlite, paths, now.toISOString().slice(0, 10)));
    open.sqlite.pragma('wal_checkpoint(TRUNCATE)');
    prepareDataFolder(paths);
  } catch (error) {
    open?.sqlite.close();
    const state = await stateAfter(error, paths);
    if (!state) {
      giveBack?.();
      throw dataProblemKind(error) ? asDataProblem(error, paths.database) : error;
    }
    return { state, open: null, release: () => giveBack?.() };
  } finally {
    passOn?.();
  }
  const { sqlite } = open;
  return { state: { kind: 'ready' }, open, release: () => (close(sqlite), giveBack?.()) };
}

function lockOf(paths: DataPaths): (() => void) | null {
  try {
    return holdServerLock(paths);
  } catch (cause) {
    throw new DataProblem('in-use', 'A back-up is being restored into this data. Start Venalis again when that is done.', { cause });
  }
}

/** Migrations run on a copy’s safe side: what was there before them is kept. */
async function bringUpToDate({ db, sqlite }: OpenDatabase, paths: DataPaths, now: Date): Promise<void> {
  refuseNewer(sqlite, paths.database);
  const isEmpty = sqlite.prepare('select 1 from sqlite_master').get() === undefined;
  const isPending = pendingMigrations(sqlite).length > 0;
  if (isPending && !isEmpty) await keepBeforeUpgrade(sqlite, paths, now);
  await migrate(db, sqlite, paths.database);
  // Room that is given back is taken off the file; that can only be set where the file is written anew.
  if (isPending) await unlessFull(() => sqlite.exec('pragma auto_vacuum = incremental; vacuum'));
}

/**
 * Looks at the structure without being able to write: closing a connection that can would put the log into a file that
 * is damaged.
 */
function refuseDamaged(file: string): void {
  if (!existsSync(file)) return;
  const sqlite = new SQLite(file, { readonly: true });
  try {
    const [finding] = structureFindings(sqlite);
    if (finding !== undefined) throw new DataProblem('damaged', finding);
  } finally {
    sqlite.close();
  }
}

/** Does something that needs room and can wait until there is some. */
async function unlessFull(action: () => unknown): Promise<void> {
  try {
    await action();
  } catch (error) {
    if (dataProblemKind(error) !== 'full') throw error;
  }
}

/** Writes a little, to see whether that is possible before somebody relies on it. */
function noteStart({ sqlite }: OpenDatabase, now: Date): void {
  sqlite
    .prepare("insert into settings (key, value) values ('startedAt', ?) on conflict (key) do update set value = excluded.value")
    .run(JSON.stringify(now.toISOString()));
}

/** How data can be used although they could not be got ready; null if they cannot. */
async function stateAfter(error: unknown, { database }: DataPaths): Promise<DataState | null> {
  const kind = dataProblemKind(error);
  if (kind === 'damaged' || kind === 'not-a-database') return { kind: 'damaged', finding: error instanceof Error ? error.message : '' };
  if (kind !== 'read-only' && kind !== 'full') return null;
  try {
    (await connectForReading(database)).sqlite.close();
  } catch {
    return null;
  }
  return { kind: 'read-only', why: kind === 'full' ? 'The disk is full.' : 'The data folder cannot be written to.' };
}

function close(sqlite: OpenDatabase['sqlite']): void {
  if (!sqlite.open) return;
  try {
    sqlite.pragma('wal_checkpoint(TRUNCATE)');
  } finally {
    sqlite.close();
  }
}

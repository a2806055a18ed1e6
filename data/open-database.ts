import { copyFileSync, existsSync, mkdirSync, mkdtempSync, readFileSync, rmSync, statSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { dirname, join } from 'node:path';
import SQLite from 'better-sqlite3';
import { CamelCasePlugin, Kysely } from 'kysely';
import { DataProblem, dataProblemKind } from './data-problem';
import { migrate } from './migrate';
import type { Database } from './schema';
import { VenalisDialect } from './sqlite-dialect';

/** An open database: for queries, and the connection beneath. */
export interface OpenDatabase {
  readonly db: Kysely<Database>;
  readonly sqlite: SQLite.Database;
}

/** Another process that is writing is waited for this long. */
const PATIENCE_MS = 10_000;
/** The write-ahead log is cut back to this much when it was emptied. */
const LOG_BYTES = 1_000_000;

/**
 * Connects to a database file for reading and writing. What is committed is on the disk (`synchronous = FULL`): a save
 * is acknowledged only then.
 *
 * @param file - path of the database file, or `:memory:`
 * @throws DataProblem if it cannot be used so
 */
export function connect(file: string): OpenDatabase {
  try {
    const sqlite = new SQLite(file, { timeout: PATIENCE_MS });
    becomeWriteAhead(sqlite);
    sqlite.pragma('foreign_keys = ON');
    sqlite.pragma('synchronous = FULL');
    sqlite.pragma(`journal_size_limit = ${LOG_BYTES}`);
    return withQueries(sqlite);
  } catch (error) {
    throw asDataProblem(error, file);
  }
}

/**
 * Connects to what a database file holds, for reading alone, where nothing can be written: a copy in memory, with what
 * is still in its write-ahead log.
 *
 * @throws DataProblem if there is nothing that can be read
 */
export async function connectForReading(file: string): Promise<OpenDatabase> {
  try {
    const open = withQueries(new SQLite(contentOf(file)));
    // Of an older version: the copy is brought up to date.
    await migrate(open.db, open.sqlite, file);
    open.sqlite.pragma('query_only = ON');
    return open;
  } catch (error) {
    throw asDataProblem(error, file);
  }
}

/**
 * Opens the database in a file, made with its folder if it is not there, and brings it up to date.
 *
 * @throws DataProblem if that cannot be done; the database is then as it was
 */
export async function openDatabase(file: string): Promise<Kysely<Database>> {
  if (file !== ':memory:') mkdirSync(dirname(file), { recursive: true });
  const { db, sqlite } = connect(file);
  try {
    await migrate(db, sqlite, file);
    return db;
  } catch (error) {
    await db.destroy();
    throw error;
  }
}

function withQueries(sqlite: SQLite.Database): OpenDatabase {
  return {
    sqlite,
    db: new Kysely<Database>({ dialect: new VenalisDialect(sqlite), plugins: [new CamelCasePlugin()] }),
  };
}

/** Two processes that open a new file at once can get in each other’s way, without SQLite waiting by itself. */
function becomeWriteAhead(sqlite: SQLite.Database): void {
  const until = Date.now() + PATIENCE_MS;
  for (;;) {
    try {
      sqlite.pragma('journal_mode = WAL');
      return;
    } catch (error) {
      if (dataProblemKind(error) !== 'locked' || Date.now() > until) throw error;
    }
  }
}

const WRITE_VERSION_AT = 18;
const READ_VERSION_AT = 19;
const ROLLBACK_JOURNAL = 1;

function contentOf(file: string): Buffer {
  const log = `${file}-wal`;
  const bytes = existsSync(log) && statSync(log).size > 0 ? withLog(file, log) : readFileSync(file);
  // In memory there is no write-ahead log: the header says so.
  if (bytes.length > READ_VERSION_AT) bytes[WRITE_VERSION_AT] = bytes[READ_VERSION_AT] = ROLLBACK_JOURNAL;
  return bytes;
}

/** The content of a database with that of its log, put together beside it. */
function withLog(file: string, log: string): Buffer {
  const folder = mkdtempSync(join(tmpdir(), 'venalis-reading-'));
  try {
    const copy = join(folder, 'copy.db');
    copyFileSync(file, copy);
    copyFileSync(log, `${copy}-wal`);
    const sqlite = new SQLite(copy);
    sqlite.pragma('wal_checkpoint(TRUNCATE)');
    sqlite.close();
    return readFileSync(copy);
  } finally {
    rmSync(folder, { recursive: true, force: true });
  }
}

/** What an error of SQLite or the file system means for a database, in a sentence. */
export function asDataProblem(error: unknown, file: string): DataProblem {
  if (error instanceof DataProblem) return error;
  const kind = dataProblemKind(error) ?? 'damaged';
  const isDatabase = !(error instanceof Error && 'code' in error && error.code === 'SQLITE_NOTADB');
  if (!isDatabase)
    return new DataProblem('not-a-database', `${file} is not a Venalis database, or its beginning is damaged. It was left as it is.`, {
      cause: error,
    });
  if (kind === 'locked')
    return new DataProblem(kind, `Another program keeps the database ${file} locked. Close it, then start Venalis again.`, {
      cause: error,
    });
  return new DataProblem(
    kind,
    `The database ${file} could not be opened (${error instanceof Error ? error.message : 'for an unknown reason'}).`,
    { cause: error },
  );
}

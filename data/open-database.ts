import { mkdirSync } from 'node:fs';
import { dirname } from 'node:path';
import SQLite from 'better-sqlite3';
import { CamelCasePlugin, Kysely, type Migration, Migrator, SqliteDialect } from 'kysely';
import * as decisionsAndSheets from './migrations/001-decisions-and-sheets';
import * as archivedAndDeleted from './migrations/002-archived-and-deleted';
import * as priceWatch from './migrations/003-price-watch';
import type { Database } from './schema';

const MIGRATIONS: Record<string, Migration> = {
  '001-decisions-and-sheets': decisionsAndSheets,
  '002-archived-and-deleted': archivedAndDeleted,
  '003-price-watch': priceWatch,
};

/**
 * Opens the database in a file, made with its folder if it is not there, and brings it up to date.
 *
 * @param file - path of the database file, or `:memory:`
 * @throws if a migration fails; the database is then as it was before that migration
 */
export async function openDatabase(file: string): Promise<Kysely<Database>> {
  if (file !== ':memory:') mkdirSync(dirname(file), { recursive: true });
  const sqlite = new SQLite(file);
  sqlite.pragma('journal_mode = WAL');
  sqlite.pragma('foreign_keys = ON');
  sqlite.pragma('synchronous = NORMAL');
  const db = new Kysely<Database>({ dialect: new SqliteDialect({ database: sqlite }), plugins: [new CamelCasePlugin()] });
  const migrator = new Migrator({ db, provider: { getMigrations: () => Promise.resolve(MIGRATIONS) } });
  const { error } = await migrator.migrateToLatest();
  if (error) {
    await db.destroy();
    throw new Error(`The database ${file} could not be brought up to date`, { cause: error });
  }
  return db;
}

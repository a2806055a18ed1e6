import type SQLite from 'better-sqlite3';
import { type Kysely, Migrator } from 'kysely';
import { DataProblem } from './data-problem';
import { MIGRATIONS } from './migrations/index';
import type { Database } from './schema';

/** The table in which the migrations that were made are noted. */
const NOTED_IN = 'kysely_migration';

/** Names of the migrations that a database has not had yet. */
export function pendingMigrations(sqlite: SQLite.Database): string[] {
  const made = new Set(madeMigrations(sqlite));
  return Object.keys(MIGRATIONS).filter((name) => !made.has(name));
}

/** Names of migrations that a database has had and this version does not know: a newer version made them. */
export function unknownMigrations(sqlite: SQLite.Database): string[] {
  return madeMigrations(sqlite).filter((name) => !(name in MIGRATIONS));
}

function madeMigrations(sqlite: SQLite.Database): string[] {
  const isThere = sqlite.prepare('select 1 from sqlite_master where name = ?').get(NOTED_IN) !== undefined;
  return isThere
    ? sqlite
        .prepare<[], { name: string }>(`select name from ${NOTED_IN} order by name`)
        .all()
        .map(({ name }) => name)
    : [];
}

/**
 * Brings a database up to date: all migrations that are missing, each with its note, in one transaction. Cut short at
 * any point, it is as it was before.
 *
 * @throws DataProblem if the data was written by a newer version, or cannot be brought up to date
 */
export async function migrate(db: Kysely<Database>, sqlite: SQLite.Database, file: string): Promise<void> {
  refuseNewer(sqlite, file);
  if (pendingMigrations(sqlite).length === 0) return;
  const migrator = new Migrator({ db, provider: { getMigrations: () => Promise.resolve({ ...MIGRATIONS }) } });
  // A table is written anew under another name; references to it are checked once it has its own again.
  sqlite.pragma('foreign_keys = OFF');
  const { error } = await migrator.migrateToLatest();
  sqlite.pragma('foreign_keys = ON');
  if (error)
    throw new DataProblem(
      'not-upgraded',
      `The data in ${file} could not be brought up to this version; nothing of it was changed. Start the version that you used before, or restore a back-up with “npm run restore -- FILE”.`,
      { cause: error },
    );
}

/** @throws DataProblem if a newer version of Venalis wrote this database */
export function refuseNewer(sqlite: SQLite.Database, file: string): void {
  const unknown = unknownMigrations(sqlite);
  if (unknown.length > 0)
    throw new DataProblem(
      'newer',
      `The data in ${file} was written by a newer version of Venalis. Update Venalis and start it again, or restore an older back-up with “npm run restore -- FILE”.`,
    );
}

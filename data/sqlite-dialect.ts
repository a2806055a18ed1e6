import type SQLite from 'better-sqlite3';
import { CompiledQuery, type DatabaseConnection, type Driver, SqliteAdapter, SqliteDialect, SqliteDriver } from 'kysely';

/** SQLite keeps tables in its transactions: a migration that is cut short leaves nothing behind. */
class TransactionalAdapter extends SqliteAdapter {
  override get supportsTransactionalDdl(): boolean {
    return true;
  }
}

/**
 * Takes the right to write at the start of a transaction. Taken only at the first write, another connection's write in
 * between would refuse it, however long one is ready to wait.
 */
class ImmediateDriver extends SqliteDriver {
  override async beginTransaction(connection: DatabaseConnection): Promise<void> {
    await connection.executeQuery(CompiledQuery.raw('begin immediate'));
  }
}

/** SQLite through better-sqlite3, as this application needs it. */
export class VenalisDialect extends SqliteDialect {
  readonly #database: SQLite.Database;

  constructor(database: SQLite.Database) {
    super({ database });
    this.#database = database;
  }

  override createDriver(): Driver {
    return new ImmediateDriver({ database: this.#database });
  }

  override createAdapter(): SqliteAdapter {
    return new TransactionalAdapter();
  }
}

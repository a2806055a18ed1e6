import type SQLite from 'better-sqlite3';
import { LRUCache } from 'lru-cache';
import {
  CompiledQuery,
  type DatabaseConnection,
  type Driver,
  SqliteAdapter,
  type SqliteDatabase,
  SqliteDialect,
  SqliteDriver,
} from 'kysely';

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
  readonly #sqlite: SQLite.Database;

  constructor(sqlite: SQLite.Database, database: SqliteDatabase) {
    super({ database });
    this.#sqlite = sqlite;
  }

  override async beginTransaction(connection: DatabaseConnection): Promise<void> {
    await connection.executeQuery(CompiledQuery.raw('begin immediate'));
  }

  /** A full disk or a damaged page ends a transaction by itself; rolling it back again would hide why. */
  override async rollbackTransaction(connection: DatabaseConnection): Promise<void> {
    if (this.#sqlite.inTransaction) await super.rollbackTransaction(connection);
  }
}

/** SQLite through better-sqlite3, as this application needs it. */
export class VenalisDialect extends SqliteDialect {
  readonly #sqlite: SQLite.Database;

  constructor(sqlite: SQLite.Database) {
    super({ database: sqlite });
    this.#sqlite = sqlite;
  }

  override createDriver(): Driver {
    return new ImmediateDriver(this.#sqlite, withKeptStatements(this.#sqlite));
  }

  override createAdapter(): SqliteAdapter {
    return new TransactionalAdapter();
  }
}

const STATEMENTS_KEPT = 300;

/** A connection that prepares each statement once: that takes as long as running it. */
function withKeptStatements(sqlite: SQLite.Database): SqliteDatabase {
  const kept = new LRUCache<string, ReturnType<SqliteDatabase['prepare']>>({ max: STATEMENTS_KEPT });
  return {
    close: () => sqlite.close(),
    prepare(text) {
      const found = kept.get(text) ?? sqlite.prepare(text);
      // What changes tables changes what statements mean.
      if (/^\s*(create|drop|alter|pragma|vacuum)/i.test(text)) kept.clear();
      else kept.set(text, found);
      return found;
    },
  };
}

import { join } from 'node:path';
import SQLite from 'better-sqlite3';

const DATABASE = 'venalis.db';
const AT_FIRST = 'at-first.db';

/** Keeps what a server's database holds, for {@link putBack}. */
export function keepAsItIs(folder: string): void {
  const sqlite = new SQLite(join(folder, DATABASE), { readonly: true });
  sqlite.prepare('vacuum into ?').run(join(folder, AT_FIRST));
  sqlite.close();
}

/**
 * Puts back what a running server's database held at first, in one transaction: starting the server anew for each test
 * would take longer than most tests do.
 */
export function putBack(folder: string): void {
  const sqlite = new SQLite(join(folder, DATABASE), { timeout: 20_000 });
  sqlite.pragma('foreign_keys = OFF');
  sqlite.pragma('synchronous = OFF');
  sqlite.prepare('attach ? as first').run(join(folder, AT_FIRST));
  const tables = sqlite.prepare("select name from first.sqlite_master where type = 'table' and name not like 'sqlite_%'").pluck().all();
  sqlite.transaction(() => {
    for (const table of tables) {
      sqlite.exec(`delete from main."${String(table)}"`);
      sqlite.exec(`insert into main."${String(table)}" select * from first."${String(table)}"`);
    }
  })();
  sqlite.close();
}

// npm run backup -- FILE: copies the database as it stands, also while Venalis is running.
import { existsSync } from 'node:fs';
import { homedir } from 'node:os';
import { join, resolve } from 'node:path';
import { ensureInstalled } from './setup.mjs';

const target = process.argv[2];
const source = join(process.env.VENALIS_DATA ?? join(homedir(), '.venalis'), 'venalis.db');
if (!target) {
  console.error('Say where the copy should go: npm run backup -- venalis-copy.db');
  process.exit(1);
}
if (!existsSync(source)) {
  console.error(`There is no database at ${source} yet.`);
  process.exit(1);
}
ensureInstalled();
const { default: SQLite } = await import('better-sqlite3');
const database = new SQLite(source, { readonly: true });
await database.backup(resolve(target));
database.close();
console.log(`Copied ${source} to ${resolve(target)}. To restore it, end Venalis and put the copy back under that name.`);

import { existsSync } from 'node:fs';
import { resolve } from 'node:path';
import SQLite from 'better-sqlite3';
import { copyDatabase } from './back-ups';
import type { DataPaths } from './data-folder';
import { DataProblem } from './data-problem';

/**
 * Copies the database to a file of the person’s, also while Venalis is running.
 *
 * @returns the file's whole path
 * @throws DataProblem if there is nothing to copy, it is damaged, or the file is there already
 */
export async function copyToFile({ database }: DataPaths, target: string): Promise<string> {
  const file = resolve(target);
  if (!existsSync(database)) throw new DataProblem('no-folder', `There is no database at ${database} yet.`);
  if (existsSync(file))
    throw new DataProblem('in-use', `${file} is there already. Name a file that is not, so that no back-up is written over.`);
  const sqlite = new SQLite(database);
  try {
    await copyDatabase(sqlite, file);
    return file;
  } finally {
    sqlite.close();
  }
}

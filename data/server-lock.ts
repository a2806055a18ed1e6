import SQLite from 'better-sqlite3';
import type { DataPaths } from './data-folder';

/**
 * Notes that a server uses this data, for as long as it runs: the system itself drops the lock when the process ends,
 * however it ends. Several servers can hold it at once.
 *
 * @param patienceMs - how long a restore that is under way is waited for
 * @returns what gives it back; null where nothing can be written, so that nobody could restore here either
 */
export function holdServerLock({ lock }: DataPaths, patienceMs = 10_000): (() => void) | null {
  const held = openLock(lock, patienceMs);
  if (!held) return null;
  try {
    held.exec('begin; select * from sqlite_master');
  } catch (error) {
    held.close();
    throw error;
  }
  return () => held.close();
}

/**
 * Gets data ready one server after the other: waits for another one that is at it.
 *
 * @returns what lets the next one; null where nothing can be written
 */
export function holdTurn({ lock }: DataPaths, patienceMs = 60_000): (() => void) | null {
  const held = openLock(lock, patienceMs);
  try {
    // Beside those who hold the lock for reading one may be about to write.
    held?.exec('begin immediate');
    return held && (() => held.close());
  } catch (error) {
    held?.close();
    throw error;
  }
}

/**
 * Takes the data for oneself alone, as restoring needs it.
 *
 * @returns what gives it back; null while a server uses the data
 */
export function holdAlone({ lock }: DataPaths): (() => void) | null {
  const held = openLock(lock, 0);
  if (!held) return () => undefined;
  try {
    held.exec('begin exclusive');
    return () => held.close();
  } catch {
    held.close();
    return null;
  }
}

function openLock(file: string, patienceMs: number): SQLite.Database | null {
  try {
    const database = new SQLite(file, { timeout: patienceMs });
    // A rollback journal: only its locks are used, and nothing is ever written but this one table.
    database.exec('create table if not exists held (by text)');
    return database;
  } catch (error) {
    if (error instanceof Error && 'code' in error && String(error.code).startsWith('SQLITE_BUSY')) throw error;
    return null;
  }
}

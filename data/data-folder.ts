import { chmodSync, existsSync, mkdirSync, readdirSync, statSync } from 'node:fs';
import { homedir } from 'node:os';
import { join, resolve } from 'node:path';
import { DataProblem, dataProblemKind } from './data-problem';

/** Where things lie in a data folder. */
export interface DataPaths {
  readonly folder: string;
  readonly database: string;
  readonly backUps: string;
  readonly logs: string;
  /** Held by every running server; see `server-lock`. */
  readonly lock: string;
  /** The password's hash, where one is set. */
  readonly password: string;
}

/** Folder in which the person's data lies: `VENALIS_DATA`, by default `.venalis` in the home directory. */
export function dataFolder(environment: Readonly<Record<string, string | undefined>> = process.env): string {
  return resolve(environment['VENALIS_DATA'] || join(homedir(), '.venalis'));
}

export function dataPaths(folder: string): DataPaths {
  return {
    folder,
    database: join(folder, 'venalis.db'),
    backUps: join(folder, 'back-ups'),
    logs: join(folder, 'logs'),
    lock: join(folder, 'venalis.lock'),
    password: join(folder, 'password'),
  };
}

const OWN_NAME = /^(venalis\.|before-restore|back-ups$|logs$|password$)/;
const FOLDER_MODE = 0o700;
const FILE_MODE = 0o600;

/**
 * Makes the data folder, readable by its owner alone. A folder that holds other things too keeps its mode; the files in
 * it that are ours do not.
 *
 * @throws DataProblem if it cannot be made
 */
export function prepareDataFolder({ folder }: DataPaths): void {
  try {
    mkdirSync(folder, { recursive: true, mode: FOLDER_MODE });
    const names = readdirSync(folder);
    if (names.every((name) => OWN_NAME.test(name))) chmodQuietly(folder, FOLDER_MODE);
    for (const name of names.filter((one) => OWN_NAME.test(one)))
      chmodQuietly(join(folder, name), statSync(join(folder, name)).isDirectory() ? FOLDER_MODE : FILE_MODE);
  } catch (cause) {
    if (existsSync(folder) && dataProblemKind(cause) === 'read-only') return;
    throw new DataProblem(
      'no-folder',
      `The data folder ${folder} cannot be made. Check that its parent folder exists and can be written to, or name another one in VENALIS_DATA.`,
      { cause },
    );
  }
}

/** On a disk that is read-only modes stay as they are; so do those of files that belong to somebody else. */
function chmodQuietly(path: string, mode: number): void {
  try {
    if ((statSync(path).mode & 0o777) !== mode) chmodSync(path, mode);
  } catch {
    return;
  }
}

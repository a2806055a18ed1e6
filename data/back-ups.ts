import { closeSync, existsSync, fsyncSync, mkdirSync, openSync, readdirSync, renameSync, rmSync, statSync } from 'node:fs';
import { dirname, join } from 'node:path';
import SQLite from 'better-sqlite3';
import type { DataPaths } from './data-folder';
import { DataProblem } from './data-problem';
import { lookAtFile, structureFindings } from './integrity';

/** A back-up that Venalis made by itself. */
export interface BackUp {
  readonly name: string;
  readonly file: string;
  /** `YYYY-MM-DD`. */
  readonly day: string;
  readonly bytes: number;
  /** Daily ones rotate; one before an upgrade stays until there are newer ones of its kind. */
  readonly kind: 'daily' | 'before-upgrade';
}

const DAILY = /^venalis-(\d{4}-\d{2}-\d{2})\.db$/;
const BEFORE_UPGRADE = /^before-upgrade-(\d{4}-\d{2}-\d{2})T\d{6}\.db$/;
/** So many days are kept, and the first back-up of each of so many months. */
const DAYS_KEPT = 7;
const MONTHS_KEPT = 12;
const UPGRADES_KEPT = 3;

/** The back-ups in a folder, the newest first. */
export function listBackUps({ backUps }: Pick<DataPaths, 'backUps'>): BackUp[] {
  if (!existsSync(backUps)) return [];
  const found: BackUp[] = [];
  for (const name of readdirSync(backUps)) {
    const [daily, upgrade] = [DAILY.exec(name)?.[1], BEFORE_UPGRADE.exec(name)?.[1]];
    const day = daily ?? upgrade;
    const file = join(backUps, name);
    if (day) found.push({ name, file, day, bytes: statSync(file).size, kind: daily ? 'daily' : 'before-upgrade' });
  }
  return found.sort((a, b) => b.day.localeCompare(a.day) || b.name.localeCompare(a.name));
}

/**
 * Which back-ups are no longer kept: of the daily ones all but the last seven and the first of each of the last twelve
 * months that have one; of those before an upgrade all but the last three.
 *
 * @param listed - the newest first
 */
export function outdatedBackUps(listed: readonly BackUp[]): BackUp[] {
  const daily = listed.filter(({ kind }) => kind === 'daily');
  const firstOfMonth = new Map(daily.map((one) => [one.day.slice(0, 7), one.name]));
  const kept = new Set([...daily.slice(0, DAYS_KEPT).map(({ name }) => name), ...[...firstOfMonth.values()].slice(0, MONTHS_KEPT)]);
  for (const { name } of listed.filter(({ kind }) => kind === 'before-upgrade').slice(0, UPGRADES_KEPT)) kept.add(name);
  return listed.filter(({ name }) => !kept.has(name));
}

/**
 * Copies a database that is in use into one file that needs nothing beside it, and checks the copy before it gets its
 * name: a back-up that is there is sound.
 *
 * @throws DataProblem if the database is damaged, or the copy cannot be written
 */
export async function copyDatabase(sqlite: SQLite.Database, target: string): Promise<void> {
  const [finding] = structureFindings(sqlite);
  if (finding !== undefined) throw new DataProblem('damaged', `The database is damaged (${finding}); it was not copied over a back-up.`);
  mkdirSync(dirname(target), { recursive: true, mode: 0o700 });
  // Another server may be at the same back-up.
  const unfinished = `${target}.unfinished-${process.pid}`;
  rmSync(unfinished, { force: true });
  try {
    await sqlite.backup(unfinished);
    const copy = new SQLite(unfinished);
    copy.pragma('journal_mode = DELETE');
    const [wrong] = structureFindings(copy);
    copy.close();
    if (wrong !== undefined) throw new DataProblem('damaged', `The copy came out damaged (${wrong}).`);
    toDisk(unfinished);
    renameSync(unfinished, target);
    toDisk(dirname(target));
  } finally {
    for (const ending of ['', '-wal', '-shm', '-journal']) rmSync(`${unfinished}${ending}`, { force: true });
  }
}

/** Waits until a file, or a folder’s list of names, is on the disk itself. */
export function toDisk(path: string): void {
  try {
    const descriptor = openSync(path, 'r');
    fsyncSync(descriptor);
    closeSync(descriptor);
  } catch (error) {
    // Some systems cannot do that for folders.
    if (!(error instanceof Error && 'code' in error && ['EISDIR', 'EPERM', 'EINVAL', 'EACCES'].includes(String(error.code)))) throw error;
  }
}

/**
 * Makes the back-up of a day unless it is there, and removes those that are no longer kept.
 *
 * @param today - `YYYY-MM-DD`
 * @returns the back-up's file, or null if the day has one already
 * @throws DataProblem if the database is damaged: then nothing is removed either
 */
export async function keepDailyBackUp(sqlite: SQLite.Database, paths: DataPaths, today: string): Promise<string | null> {
  const file = join(paths.backUps, `venalis-${today}.db`);
  if (existsSync(file)) return null;
  await copyDatabase(sqlite, file);
  for (const outdated of outdatedBackUps(listBackUps(paths))) rmSync(outdated.file, { force: true });
  return file;
}

/** Copies the database before it is brought up to a new version. */
export async function keepBeforeUpgrade(sqlite: SQLite.Database, paths: DataPaths, now: Date): Promise<string> {
  const [day = '', time = ''] = now.toISOString().split('T');
  const file = join(paths.backUps, `before-upgrade-${day}T${time.slice(0, 8).replaceAll(':', '')}.db`);
  await copyDatabase(sqlite, file);
  return file;
}

/** The newest back-up that is sound; null if there is none. */
export function newestSoundBackUp(paths: Pick<DataPaths, 'backUps'>): BackUp | null {
  return listBackUps(paths).find(({ file }) => lookAtFile(file).kind === 'sound') ?? null;
}

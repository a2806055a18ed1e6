import { existsSync, statfsSync, statSync } from 'node:fs';
import SQLite from 'better-sqlite3';
import { storedDecisionSchema } from '#core/decision/decision-schema';
import { listBackUps } from './back-ups';
import type { DataPaths } from './data-folder';
import { structureFindings } from './integrity';
import { pendingMigrations, unknownMigrations } from './migrate';
import { unpack } from './revision-content';
import { holdAlone } from './server-lock';

/** One thing that was looked at, in a sentence, and whether it is in order. */
export interface ReportLine {
  readonly isFine: boolean;
  readonly text: string;
}

const fine = (text: string): ReportLine => ({ isFine: true, text });
const amiss = (text: string): ReportLine => ({ isFine: false, text });
const megabytes = (bytes: number) => `${(bytes / 1_000_000).toFixed(1)} MB`;
const counted = (count: number, one: string, many: string) => `${count} ${count === 1 ? one : many}`;
const LITTLE_BYTES = 200_000_000;
const OLD_BACK_UP_DAYS = 14;
const DAY_MS = 86_400_000;

/** How the data and their back-ups stand; nothing is changed. */
export function dataReport(paths: DataPaths, now: Date): ReportLine[] {
  if (!existsSync(paths.folder)) return [fine(`There are no data yet; they will be in ${paths.folder}.`)];
  return [...folderLines(paths), ...databaseLines(paths), ...backUpLines(paths, now)];
}

function folderLines({ folder, lock }: DataPaths): ReportLine[] {
  const giveBack = existsSync(lock) ? holdAlone({ lock } as DataPaths) : () => undefined;
  giveBack?.();
  const free = statfsSync(folder);
  const left = free.bavail * free.bsize;
  const isPrivate = (statSync(folder).mode & 0o077) === 0;
  return [
    fine(`The data are in ${folder}; Venalis is ${giveBack ? 'not running' : 'running'} on them.`),
    isPrivate || process.platform === 'win32'
      ? fine('Only your account can read the folder.')
      : amiss(`Other accounts can look into ${folder}. Enter: chmod 700 ${folder}`),
    left > LITTLE_BYTES
      ? fine(`${megabytes(left)} of the disk are free.`)
      : amiss(`Only ${megabytes(left)} of the disk are free. Make room, or saving will fail.`),
  ];
}

function databaseLines({ database }: DataPaths): ReportLine[] {
  if (!existsSync(database)) return [fine('There is no database yet.')];
  let sqlite: SQLite.Database | undefined;
  try {
    sqlite = new SQLite(database, { readonly: true });
    if (unknownMigrations(sqlite).length > 0) return [amiss('A newer version of Venalis wrote the database. Update Venalis.')];
    const [finding] = structureFindings(sqlite);
    if (finding !== undefined) return [amiss(`The database is damaged (${finding}). Restore a back-up: npm run restore -- FILE`)];
    if (pendingMigrations(sqlite).length > 0)
      return [
        fine(
          `The database is sound (${megabytes(statSync(database).size)}); it is of an earlier version and is brought up to date at the next start.`,
        ),
      ];
    return [fine(`The database is sound (${megabytes(statSync(database).size)}).`), ...decisionLines(sqlite)];
  } catch (error) {
    return [
      amiss(
        `The database cannot be read (${error instanceof Error ? error.message : 'for an unknown reason'}). Restore a back-up: npm run restore -- FILE`,
      ),
    ];
  } finally {
    sqlite?.close();
  }
}

/** Every decision, read as opening it would. */
function decisionLines(sqlite: SQLite.Database): ReportLine[] {
  const content = sqlite.prepare<[string, number], { content: Buffer; base: number | null }>(
    'select content, base from decision_revisions where decision_id = ? and revision = ?',
  );
  const rows = sqlite.prepare<[], { id: string; name: string; revision: number }>('select id, name, revision from decisions').all();
  const isReadable = ({ id, revision }: { id: string; revision: number }) => {
    try {
      const stored = content.get(id, revision);
      const base = stored?.base == null ? null : content.get(id, stored.base);
      return (
        stored !== undefined &&
        storedDecisionSchema.safeParse(JSON.parse(unpack(stored.content, base ? unpack(base.content, null) : null))).success
      );
    } catch {
      return false;
    }
  };
  const unreadable = rows.filter((row) => !isReadable(row));
  return unreadable.length === 0
    ? [fine(`${counted(rows.length, 'decision', 'decisions')}, all readable.`)]
    : [
        amiss(
          `${counted(unreadable.length, 'decision', 'decisions')} of ${rows.length} cannot be read: ${unreadable.map(({ name }) => `“${name}”`).join(', ')}. Export what is stored of them from the list of decisions, or restore a back-up.`,
        ),
      ];
}

function backUpLines(paths: DataPaths, now: Date): ReportLine[] {
  const backUps = listBackUps(paths);
  const [newest] = backUps;
  if (!newest)
    return [
      existsSync(paths.database)
        ? amiss('There is no back-up yet. One is made at the next start.')
        : fine('There is nothing to back up yet.'),
    ];
  const damaged = backUps.filter(({ file }) => !isSoundFile(file));
  const age = (now.getTime() - Date.parse(newest.day)) / DAY_MS;
  return [
    fine(
      `${counted(backUps.length, 'back-up', 'back-ups')} (${megabytes(backUps.reduce((sum, { bytes }) => sum + bytes, 0))}), the newest of ${newest.day}.`,
    ),
    ...(damaged.length > 0 ? [amiss(`Damaged: ${damaged.map(({ name }) => name).join(', ')}. Delete them; the others are sound.`)] : []),
    ...(age > OLD_BACK_UP_DAYS ? [fine('The newest is older than two weeks, because Venalis was not used since.')] : []),
  ];
}

function isSoundFile(file: string): boolean {
  try {
    const sqlite = new SQLite(file, { readonly: true });
    const findings = structureFindings(sqlite);
    sqlite.close();
    return findings.length === 0;
  } catch {
    return false;
  }
}

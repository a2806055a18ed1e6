import { existsSync, mkdirSync, renameSync, rmSync } from 'node:fs';
import { basename, join, resolve } from 'node:path';
import SQLite from 'better-sqlite3';
import { copyDatabase, toDisk } from './back-ups';
import { type DataPaths, prepareDataFolder } from './data-folder';
import { type FileFinding, lookAtFile } from './integrity';
import { holdAlone } from './server-lock';

/** What came of restoring: where the former data are kept now (null if there were none), or why nothing was done. */
export type RestoreOutcome =
  { readonly ok: true; readonly formerIn: string | null; readonly decisions: number } | { readonly ok: false; readonly why: string };

const REFUSALS: Readonly<Record<Exclude<FileFinding['kind'], 'sound'>, string>> = {
  missing: 'There is no file that can be read at that place.',
  'not-ours': 'That file is not a Venalis database.',
  newer: 'That file was written by a newer version of Venalis. Update Venalis first.',
  damaged: 'That file is damaged. Try another back-up.',
};

/**
 * Puts a copy of a database in the place of the present one. The copy is checked first; what was there is kept under
 * another name; nothing is done while a server runs. The present database’s log goes with it: left behind, it would be
 * replayed over the copy.
 *
 * @param now - names the folder of what was there
 */
export async function restore(paths: DataPaths, from: string, now: Date): Promise<RestoreOutcome> {
  const file = resolve(from);
  if (file === paths.database) return { ok: false, why: 'That is the database in use itself. Name the copy that is to take its place.' };
  const finding = lookAtFile(file);
  if (finding.kind !== 'sound') return { ok: false, why: `${REFUSALS[finding.kind]} Nothing was changed.` };
  prepareDataFolder(paths);
  const giveBack = holdAlone(paths);
  if (!giveBack)
    return {
      ok: false,
      why: 'Venalis is running on this data. End it (Ctrl+C where it was started), then restore again. Nothing was changed.',
    };
  try {
    const ready = `${paths.database}.restoring`;
    await copyOf(file, ready);
    const formerIn = existsSync(paths.database) ? moveAway(paths, now) : null;
    renameSync(ready, paths.database);
    toDisk(paths.folder);
    return { ok: true, formerIn, decisions: finding.decisions };
  } finally {
    giveBack();
  }
}

/** A copy with what is in the log beside it, as one file. */
async function copyOf(file: string, target: string): Promise<void> {
  rmSync(target, { force: true });
  const sqlite = new SQLite(file, { readonly: true });
  try {
    await copyDatabase(sqlite, target);
  } finally {
    sqlite.close();
  }
}

/** Moves the database with what lies beside it into a folder of its own. The log goes first: without it an old database is whole, with another’s it is not. */
function moveAway({ folder, database }: DataPaths, now: Date): string {
  const former = freeName(join(folder, `before-restore-${now.toISOString().slice(0, 19).replaceAll(':', '')}`));
  mkdirSync(former, { mode: 0o700 });
  for (const ending of ['-wal', '-shm', '-journal', '']) {
    const path = `${database}${ending}`;
    if (existsSync(path)) renameSync(path, join(former, basename(path)));
  }
  toDisk(former);
  toDisk(folder);
  return former;
}

function freeName(wanted: string): string {
  for (let turn = 1; ; turn++) {
    const name = turn === 1 ? wanted : `${wanted}-${turn}`;
    if (!existsSync(name)) return name;
  }
}

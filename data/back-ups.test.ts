import { copyFileSync, existsSync, mkdirSync, readdirSync, readFileSync, statSync, writeFileSync } from 'node:fs';
import { join } from 'node:path';
import SQLite from 'better-sqlite3';
import { describe, expect, it } from 'vitest';
import { type BackUp, keepDailyBackUp, listBackUps, newestSoundBackUp, outdatedBackUps } from './back-ups';
import { copyToFile } from './copy-to-file';
import type { DataPaths } from './data-folder';
import { lookAtFile } from './integrity';
import { connect } from './open-database';
import { prepareData } from './prepare-data';
import { restore } from './restore';
import { holdServerLock } from './server-lock';
import { current, freshPaths, rename, withSaves } from './tests/databases';

const NOW = new Date('2026-11-28T10:00:00.000Z');
const AT = NOW.toISOString();

/** A data folder with one decision named `kites N`. */
async function withDecision(saves = 3): Promise<DataPaths> {
  const paths = freshPaths();
  const data = await prepareData(paths, NOW);
  if (data.open) await withSaves(data.open.db, 'kites', saves, { from: NOW, everyMs: 10_000 });
  data.release();
  return paths;
}

async function nameIn(paths: DataPaths): Promise<string> {
  const data = await prepareData(paths, NOW);
  const name = data.open ? (await current(data.open.db, 'kites')).workbench.decision.name : data.state.kind;
  data.release();
  return name;
}

/** Writes rubbish over a page of a database file. */
function damage(file: string, page: number): void {
  const bytes = readFileSync(file);
  bytes.fill(0xa5, page * 4096, (page + 1) * 4096);
  writeFileSync(file, bytes);
}

describe('automatic back-ups', () => {
  const daily = (day: string): BackUp => ({ name: `venalis-${day}.db`, file: day, day, bytes: 1, kind: 'daily' });
  const days = (count: number) =>
    Array.from({ length: count }, (_, at) => daily(new Date(Date.UTC(2026, 10, 28 - at)).toISOString().slice(0, 10)));

  it('keep the last seven days and the first of each of the last twelve months', () => {
    const kept = (count: number) => {
      const outdated = new Set(outdatedBackUps(days(count)));
      return days(count)
        .filter(({ day }) => ![...outdated].some((one) => one.day === day))
        .map(({ day }) => day);
    };
    expect(kept(7)).toHaveLength(7);
    expect(kept(60)).toEqual([
      '2026-11-28',
      '2026-11-27',
      '2026-11-26',
      '2026-11-25',
      '2026-11-24',
      '2026-11-23',
      '2026-11-22',
      '2026-11-01',
      '2026-10-01',
      '2026-09-30',
    ]);
    expect(kept(800)).toHaveLength(7 + 12);
  });

  it('are made once a day, from what is there, and rotate', async () => {
    const paths = await withDecision();
    const { sqlite, db } = connect(paths.database);
    expect(await keepDailyBackUp(sqlite, paths, '2026-11-28')).toBeNull();
    for (let day = 1; day <= 9; day++)
      expect(await keepDailyBackUp(sqlite, paths, `2026-12-0${day}`)).toContain(`venalis-2026-12-0${day}.db`);
    expect(listBackUps(paths).map(({ day }) => day.slice(5))).toEqual([
      '12-09',
      '12-08',
      '12-07',
      '12-06',
      '12-05',
      '12-04',
      '12-03',
      '12-01',
      '11-28',
    ]);
    for (const { file } of listBackUps(paths)) expect(lookAtFile(file).kind).toBe('sound');
    expect(readdirSync(paths.backUps).filter((name) => !name.endsWith('.db'))).toEqual([]);
    await db.destroy();
  });

  it('of a damaged database are not made, and those that are there are not touched', async () => {
    const paths = await withDecision(40);
    const before = listBackUps(paths);
    damage(paths.database, 3);
    const sqlite = new SQLite(paths.database);
    await expect(keepDailyBackUp(sqlite, paths, '2026-12-01')).rejects.toThrow(/damaged/);
    sqlite.close();
    expect(listBackUps(paths)).toEqual(before);
    expect(newestSoundBackUp(paths)?.day).toBe('2026-11-28');
  });
});

describe('restoring', () => {
  it('puts a copy in place, also where the former database was never closed; what was there is kept', async () => {
    const paths = await withDecision();
    const copy = await copyToFile(paths, join(paths.folder, 'copy.db'));
    // A server that was killed: its log is still there, with what was saved last.
    const other = freshPaths();
    const { db } = connect(paths.database);
    await rename(db, 'kites', 'after the copy', AT);
    mkdirSync(other.folder, { recursive: true });
    for (const ending of ['', '-wal', '-shm']) copyFileSync(`${paths.database}${ending}`, `${other.database}${ending}`);
    await db.destroy();
    expect(statSync(`${other.database}-wal`).size).toBeGreaterThan(0);
    const outcome = await restore(other, copy, NOW);
    expect(outcome).toMatchObject({ ok: true, decisions: 1 });
    expect(await nameIn(other)).toBe('kites 3');
    if (!outcome.ok || outcome.formerIn === null) throw new Error('what was there is expected to be kept');
    const former = connect(join(outcome.formerIn, 'venalis.db'));
    expect((await current(former.db, 'kites')).workbench.decision.name).toBe('after the copy');
    await former.db.destroy();
  });

  it('works into an empty folder, and takes what is in a copy’s own log', async () => {
    const paths = await withDecision();
    const { db } = connect(paths.database);
    await rename(db, 'kites', 'in the log', AT);
    const fresh = freshPaths();
    expect(await restore(fresh, paths.database, NOW)).toMatchObject({ ok: true, formerIn: null });
    await db.destroy();
    expect(await nameIn(fresh)).toBe('in the log');
  });

  it.each([
    ['there is no such file', (paths: DataPaths) => join(paths.folder, 'none.db'), /no file that can be read/],
    [
      'it is no database',
      (paths: DataPaths) => (
        writeFileSync(join(paths.folder, 'letter.db'), 'a letter, long enough to be told apart from a database file'.repeat(20)),
        join(paths.folder, 'letter.db')
      ),
      /not a Venalis database/,
    ],
    [
      'it is damaged',
      (paths: DataPaths) => (
        copyFileSync(paths.database, join(paths.folder, 'bad.db')),
        damage(join(paths.folder, 'bad.db'), 2),
        join(paths.folder, 'bad.db')
      ),
      /damaged/,
    ],
    ['it is the database itself', (paths: DataPaths) => paths.database, /itself/],
  ])('is refused where %s, and changes nothing', async (_why, file, words) => {
    const paths = await withDecision(30);
    const outcome = await restore(paths, file(paths), NOW);
    expect(outcome.ok ? '' : outcome.why).toMatch(words);
    expect(await nameIn(paths)).toBe('kites 30');
  });

  it('is refused while a server runs', async () => {
    const paths = await withDecision();
    const copy = await copyToFile(paths, join(paths.folder, 'copy.db'));
    const [one, other] = [holdServerLock(paths), holdServerLock(paths)];
    expect(await restore(paths, copy, NOW)).toMatchObject({
      ok: false,
      why: expect.stringContaining('Venalis is running') as string,
    });
    one?.();
    expect((await restore(paths, copy, NOW)).ok).toBe(false);
    other?.();
    expect((await restore(paths, copy, NOW)).ok).toBe(true);
  });

  it('never writes a back-up over a file that is there', async () => {
    const paths = await withDecision();
    writeFileSync(join(paths.folder, 'letter.txt'), 'mine');
    await expect(copyToFile(paths, join(paths.folder, 'letter.txt'))).rejects.toThrow(/is there already/);
    expect(readFileSync(join(paths.folder, 'letter.txt'), 'utf8')).toBe('mine');
  });
});

describe('getting data ready', () => {
  it('makes folder and files readable by their owner alone, whatever they were', async () => {
    const paths = await withDecision();
    const { chmodSync } = await import('node:fs');
    chmodSync(paths.folder, 0o755);
    chmodSync(paths.database, 0o644);
    const data = await prepareData(paths, NOW);
    const modes = [paths.folder, paths.database, paths.backUps].map((path) => (statSync(path).mode & 0o777).toString(8));
    data.release();
    expect(modes).toEqual(['700', '600', '700']);
  });

  it('leaves one file when it is given back: a plain copy of it is whole', async () => {
    const paths = await withDecision();
    expect(existsSync(`${paths.database}-wal`)).toBe(false);
    const copied = freshPaths();
    copyFileSync(paths.database, copied.database);
    expect(await nameIn(copied)).toBe('kites 3');
  });

  it('writes nothing into a damaged database, and says so', async () => {
    for (const page of [1, 2, 3, 5]) {
      const paths = await withDecision(40);
      damage(paths.database, page);
      const bytes = readFileSync(paths.database);
      const data = await prepareData(paths, NOW);
      expect(data.state.kind, `page ${page}`).toBe('damaged');
      expect(data.open).toBeNull();
      data.release();
      expect(readFileSync(paths.database).equals(bytes)).toBe(true);
    }
  });

  it('leaves a damaged database’s log where it is: what was saved last is in it', async () => {
    const paths = await withDecision(40);
    const killed = freshPaths();
    const { db } = connect(paths.database);
    await rename(db, 'kites', 'in the log', AT);
    for (const ending of ['', '-wal', '-shm']) copyFileSync(`${paths.database}${ending}`, `${killed.database}${ending}`);
    await db.destroy();
    damage(killed.database, 3);
    const before = ['', '-wal'].map((ending) => readFileSync(`${killed.database}${ending}`).toString('base64'));
    const data = await prepareData(killed, NOW);
    expect(data.state.kind).toBe('damaged');
    data.release();
    expect(['', '-wal'].map((ending) => readFileSync(`${killed.database}${ending}`).toString('base64'))).toEqual(before);
  });

  it('takes a file that is no database for damaged, and leaves it', async () => {
    const paths = freshPaths();
    writeFileSync(paths.database, 'this is a letter, not a database'.repeat(50));
    expect((await prepareData(paths, NOW)).state.kind).toBe('damaged');
    expect(readFileSync(paths.database, 'utf8')).toContain('a letter');
  });

  it('fills an empty database whole or not at all', async () => {
    const paths = freshPaths();
    await expect(prepareData(paths, NOW, () => Promise.reject(new Error('cut short')))).rejects.toThrow('cut short');
    expect(await nameIn(paths).catch(() => 'nothing')).toBe('nothing');
  });
});

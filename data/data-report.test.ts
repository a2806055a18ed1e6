import { chmodSync, readFileSync, rmSync, writeFileSync } from 'node:fs';
import SQLite from 'better-sqlite3';
import { describe, expect, it } from 'vitest';
import { listBackUps } from './back-ups';
import type { DataPaths } from './data-folder';
import { dataReport } from './data-report';
import { prepareData } from './prepare-data';
import { freshPaths, putFormerVersion, withSaves } from './tests/databases';

const NOW = new Date('2026-11-28T10:00:00.000Z');

async function withDecision(): Promise<DataPaths> {
  const paths = freshPaths();
  for (const day of [0, 1]) {
    const data = await prepareData(paths, new Date(NOW.getTime() + day * 86_400_000));
    if (data.open && day === 0) await withSaves(data.open.db, 'kites', 30, { from: NOW, everyMs: 10_000 });
    data.release();
  }
  return paths;
}

const amiss = (paths: DataPaths) => dataReport(paths, NOW).flatMap(({ isFine, text }) => (isFine ? [] : [text]));

describe('how the data stand', () => {
  it('is said of sound ones, and nothing is amiss', async () => {
    const paths = await withDecision();
    const lines = dataReport(paths, NOW).map(({ text }) => text);
    expect(amiss(paths)).toEqual([]);
    expect(lines).toContainEqual(expect.stringContaining('not running'));
    expect(lines).toContainEqual('1 decision, all readable.');
    expect(lines).toContainEqual(expect.stringMatching(/^2 back-ups \(.* MB\), the newest of 2026-11-29/));
  });

  it('is said while a server runs, and changes nothing', async () => {
    const paths = await withDecision();
    const data = await prepareData(paths, NOW);
    expect(dataReport(paths, NOW).map(({ text }) => text)).toContainEqual(expect.stringContaining('Venalis is running'));
    data.release();
  });

  it('is said where there are none yet, and of an earlier version', () => {
    const none = freshPaths();
    rmSync(none.folder, { recursive: true });
    expect(dataReport(none, NOW)).toEqual([{ isFine: true, text: expect.stringContaining('no data yet') as string }]);
    const former = freshPaths();
    putFormerVersion(former.database, '002');
    expect(dataReport(former, NOW).map(({ text }) => text)).toContainEqual(expect.stringContaining('brought up to date at the next start'));
  });

  it.each<[string, (paths: DataPaths) => void, RegExp]>([
    ['a folder that others can read', ({ folder }) => chmodSync(folder, 0o755), /Other accounts.*chmod 700/],
    ['a damaged database', ({ database }) => damage(database), /damaged.*npm run restore/],
    [
      'a database that is none',
      ({ database }) => writeFileSync(database, 'a letter, not a database'.repeat(100)),
      /cannot be read.*npm run restore/,
    ],
    ['a damaged back-up', (paths) => damage(listBackUps(paths)[0]?.file ?? ''), /Damaged: venalis-2026-11-29\.db\. Delete/],
    [
      'a decision that cannot be read',
      ({ database }) => change(database, "update decision_revisions set content = x'00'"),
      /1 decision of 1 cannot be read: “kites 30”/,
    ],
    ['a newer version', ({ database }) => change(database, "insert into kysely_migration values ('999-x', '2030')"), /newer version/],
    ['no back-ups', ({ backUps }) => rmSync(backUps, { recursive: true }), /no back-up yet/],
  ])('%s is told, with what to do', async (_what, spoil, words) => {
    const paths = await withDecision();
    spoil(paths);
    expect(amiss(paths)).toEqual([expect.stringMatching(words)]);
  });
});

function damage(file: string): void {
  const bytes = readFileSync(file);
  bytes.fill(0xa5, 4096, 8192);
  writeFileSync(file, bytes);
}

function change(file: string, statement: string): void {
  const sqlite = new SQLite(file);
  sqlite.exec(statement);
  sqlite.close();
}

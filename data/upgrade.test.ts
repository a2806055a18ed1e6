import SQLite from 'better-sqlite3';
import { describe, expect, it } from 'vitest';
import { listBackUps } from './back-ups';
import { loadWorkbench, stepBack } from './decisions';
import { structureFindings } from './integrity';
import { openDatabase } from './open-database';
import { prepareData } from './prepare-data';
import { FORMER_VERSIONS, freshPaths, putFormerVersion } from './tests/databases';

const NOW = new Date('2026-11-28T10:00:00.000Z');

describe('a database of a former version', () => {
  it.each(FORMER_VERSIONS)('%s is brought up to date with all that was in it, its history too; what it was is kept', async (version) => {
    const paths = freshPaths();
    putFormerVersion(paths.database, version);
    const data = await prepareData(paths, NOW);
    const db = data.open?.db;
    if (!db) throw new Error('the data are expected to be ready');
    const saved = await loadWorkbench(db, 'larkfell-kites');
    expect(saved).toMatchObject({
      revision: 5,
      workbench: { decision: { name: 'Where should Larkfell Kites sell? 3' } },
    });
    expect(saved?.workbench.sheets[0]?.sheet.seen).toBe('2026-11-03');
    const undone = await stepBack(db, 'larkfell-kites', 5, 'undo', NOW.toISOString());
    expect(undone?.ok && undone.saved.workbench.decision.name).toBe('Where should Larkfell Kites sell? 2');
    expect(data.open && structureFindings(data.open.sqlite)).toEqual([]);
    expect(data.open?.sqlite.pragma('foreign_key_check')).toEqual([]);
    data.release();
    const [before] = listBackUps(paths).filter(({ kind }) => kind === 'before-upgrade');
    const former = new SQLite(before?.file ?? '', { readonly: true });
    expect(former.prepare<[], { count: number }>('select count(*) as count from kysely_migration').get()?.count).toBe(Number(version));
    former.close();
  });

  it.each([
    ['001', 'create table settings (key text primary key, value text not null)'],
    ['002', 'create table settings (key text primary key, value text not null)'],
    ['001', 'alter table decisions add column archived_at text'],
  ] as const)('%s that an earlier Venalis was ended in the middle of upgrading (%s) starts again', async (version, leftBehind) => {
    const paths = freshPaths();
    putFormerVersion(paths.database, version);
    const sqlite = new SQLite(paths.database);
    sqlite.exec(leftBehind);
    sqlite.close();
    const db = await openDatabase(paths.database);
    expect((await loadWorkbench(db, 'larkfell-kites'))?.revision).toBe(5);
    await db.destroy();
  });

  it('from a newer version is left alone, and says so in a sentence', async () => {
    const paths = freshPaths();
    await (await openDatabase(paths.database)).destroy();
    const sqlite = new SQLite(paths.database);
    sqlite.exec("insert into kysely_migration values ('999-to-come', '2030-01-01T00:00:00.000Z')");
    sqlite.close();
    await expect(prepareData(paths, NOW)).rejects.toThrow(/newer version of Venalis\. Update Venalis/);
  });
});

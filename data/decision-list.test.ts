import { readFileSync } from 'node:fs';
import type { Kysely } from 'kysely';
import { beforeEach, describe, expect, it } from 'vitest';
import { takeApart } from '#core/decision/take-apart';
import { readDecisionFile } from '#core/decision-file/read';
import { deletedName, duplicateDecision, listDecisions, removeDeleted, setArchived, setDeleted } from './decision-list';
import { createDecision, loadWorkbench } from './decisions';
import { openDatabase } from './open-database';
import type { Database } from './schema';
import { listSheets } from './sheets';

const file = readDecisionFile(JSON.parse(readFileSync(new URL('../core/cases/13-larkfell.json', import.meta.url), 'utf8')));
const AT = '2026-11-03T09:00:00.000Z';

let db: Kysely<Database>;

beforeEach(async () => {
  db = await openDatabase(':memory:');
  let next = 0;
  await createDecision(db, 'one', takeApart(file, () => `sheet-${next++}`), AT);
});

const ids = async () => (await listDecisions(db)).map(({ id, archivedAt }) => (archivedAt === null ? id : `(${id})`));

describe('the list of decisions', () => {
  it('a copy has a name and a history of its own, and the same sheets', async () => {
    expect(await duplicateDecision(db, 'one', 'two', '2026-11-04T09:00:00.000Z')).toBe(true);
    const [one, two] = [await loadWorkbench(db, 'one'), await loadWorkbench(db, 'two')];
    expect(two?.bench).toEqual({ ...one?.bench, decision: { ...one?.bench.decision, name: `${file.name} (copy)` } });
    expect(two).toMatchObject({ revision: 1, undo: null });
    expect((await listSheets(db)).map(({ decisions }) => decisions)).toEqual(one?.bench.sheets.map(() => 2));
    expect(await duplicateDecision(db, 'none', 'three', AT)).toBe(false);
  });

  it('archived decisions come last, and come back', async () => {
    await duplicateDecision(db, 'one', 'two', '2026-11-04T09:00:00.000Z');
    await setArchived(db, 'two', AT);
    expect(await ids()).toEqual(['one', '(two)']);
    await setArchived(db, 'two', null);
    expect(await ids()).toEqual(['two', 'one']);
  });

  it('a deleted decision is gone, can be brought back with its history, and is removed after a month', async () => {
    await setDeleted(db, 'one', AT);
    expect(await ids()).toEqual([]);
    expect(await loadWorkbench(db, 'one')).toBeUndefined();
    expect(await deletedName(db, 'one')).toBe(file.name);
    await setDeleted(db, 'one', null);
    expect(await ids()).toEqual(['one']);
    expect(await deletedName(db, 'one')).toBeUndefined();

    await setDeleted(db, 'one', AT);
    await removeDeleted(db, new Date('2026-12-03T08:59:00Z'));
    expect(await deletedName(db, 'one')).toBe(file.name);
    await removeDeleted(db, new Date('2026-12-03T09:01:00Z'));
    expect(await deletedName(db, 'one')).toBeUndefined();
    expect((await listSheets(db)).length).toBe(6);
  });
});

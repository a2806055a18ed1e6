import { readFileSync } from 'node:fs';
import type { Kysely } from 'kysely';
import { beforeEach, describe, expect, it } from 'vitest';
import { takeApart } from '#core/decision/take-apart';
import { readDecisionFile } from '#core/decision-file/read';
import {
  deletedDecisions,
  deletedName,
  duplicateDecision,
  listDecisions,
  removeDeleted,
  removeForGood,
  setArchived,
  setDeleted,
} from './decision-list';
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
  await createDecision(
    db,
    'one',
    takeApart(file, () => `sheet-${next++}`),
    AT,
  );
});

const ids = async () => (await listDecisions(db)).map(({ id, archivedAt }) => (archivedAt === null ? id : `(${id})`));

describe('the list of decisions', () => {
  it('a copy has a name and a history of its own, and the same sheets', async () => {
    expect(await duplicateDecision(db, 'one', 'two', '2026-11-04T09:00:00.000Z')).toBe(true);
    const [one, two] = [await loadWorkbench(db, 'one'), await loadWorkbench(db, 'two')];
    expect(two?.workbench).toEqual({ ...one?.workbench, decision: { ...one?.workbench.decision, name: `${file.name} (copy)` } });
    expect(two).toMatchObject({ revision: 1, undo: null });
    expect((await listSheets(db)).map(({ decisions }) => decisions)).toEqual(one?.workbench.sheets.map(() => 2));
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
    expect(await removeDeleted(db, new Date('2026-12-03T08:59:00Z'))).toBe(0);
    // Old enough now, but found so for the first time.
    expect(await removeDeleted(db, new Date('2026-12-03T09:01:00Z'))).toBe(0);
    expect(await removeDeleted(db, new Date('2026-12-05T09:01:00Z'))).toBe(0);
    expect(await deletedName(db, 'one')).toBe(file.name);
    expect(await removeDeleted(db, new Date('2026-12-06T09:01:00Z'))).toBe(1);
    expect(await deletedName(db, 'one')).toBeUndefined();
    expect((await listSheets(db)).length).toBe(6);
  });

  it('a clock that is a month ahead for one start removes nothing, neither then nor later', async () => {
    await setDeleted(db, 'one', AT);
    expect(await removeDeleted(db, new Date('2026-12-20T09:00:00Z'))).toBe(0);
    for (const day of ['05', '09', '12', '30']) expect(await removeDeleted(db, new Date(`2026-11-${day}T09:00:00Z`))).toBe(0);
    expect(await removeDeleted(db, new Date('2026-12-19T09:00:00Z'))).toBe(0);
    expect(await deletedDecisions(db)).toEqual([{ id: 'one', name: file.name, deletedAt: AT }]);
  });

  it('a deleted decision can be removed for good at once, another one cannot', async () => {
    await removeForGood(db, 'one');
    expect(await ids()).toEqual(['one']);
    await setDeleted(db, 'one', AT);
    await removeForGood(db, 'one');
    expect(await deletedDecisions(db)).toEqual([]);
  });
});

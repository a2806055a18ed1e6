import { readFileSync } from 'node:fs';
import type { Kysely } from 'kysely';
import { beforeEach, describe, expect, it } from 'vitest';
import { takeApart } from '#core/decision/take-apart';
import type { Workbench } from '#core/decision/workbench';
import { readDecisionFile } from '#core/decision-file/read';
import { listDecisions } from './decision-list';
import { type Change, createDecision, loadWorkbench, saveChange, type SavedWorkbench, stepBack } from './decisions';
import { openDatabase } from './open-database';
import type { Database } from './schema';
import { listSheets } from './sheets';

const file = readDecisionFile(JSON.parse(readFileSync(new URL('../core/cases/13-larkfell.json', import.meta.url), 'utf8')));

let db: Kysely<Database>;
let seconds = 0;
/** A clock that moves on by ten seconds each time it is read, so that changes are steps of their own. */
const now = () => new Date(Date.UTC(2026, 10, 3, 9, 0, (seconds += 10))).toISOString();

function freshBench(): Workbench {
  let next = 0;
  return takeApart(file, () => `sheet-${next++}`);
}

async function current(id = 'one'): Promise<SavedWorkbench> {
  const saved = await loadWorkbench(db, id);
  if (!saved) throw new Error('the decision is expected to be there');
  return saved;
}

function renaming(saved: SavedWorkbench, name: string, key = `name.${name}`): Change {
  return {
    key,
    label: `the name ${name}`,
    revision: saved.revision,
    decision: { ...saved.workbench.decision, name },
    sheets: saved.workbench.sheets.map(({ id, revision }) => ({ id, revision })),
  };
}

/** A change of the first sheet's day. */
function resheeting(saved: SavedWorkbench, seen: string): Change {
  const sheets = saved.workbench.sheets.map(({ id, revision, sheet }, index) =>
    index === 0 ? { id, revision, changed: { ...sheet, seen } } : { id, revision },
  );
  return { ...renaming(saved, saved.workbench.decision.name, `seen.${seen}`), sheets };
}

const nameNow = async () => (await current()).workbench.decision.name;
const seenNow = async () => (await current()).workbench.sheets[0]?.sheet.seen;
const step = async (direction: 'undo' | 'redo') => stepBack(db, 'one', (await current()).revision, direction, now());

beforeEach(async () => {
  db = await openDatabase(':memory:');
  await createDecision(db, 'one', freshBench(), now());
});

describe('saving', () => {
  it('keeps a decision with its sheets', async () => {
    const saved = await current();
    expect(saved.revision).toBe(1);
    expect(saved.workbench.decision.name).toBe(file.name);
    expect(saved.workbench.sheets.map(({ revision }) => revision)).toEqual([1, 1, 1, 1, 1, 1]);
    expect((await listSheets(db)).map(({ decisions }) => decisions)).toEqual([1, 1, 1, 1, 1, 1]);
    expect(await listDecisions(db)).toMatchObject([{ id: 'one', name: file.name }]);
  });

  it('makes a new revision of the decision and of the sheets that changed', async () => {
    await saveChange(db, 'one', renaming(await current(), 'renamed'), now());
    await saveChange(db, 'one', resheeting(await current(), '2026-11-01'), now());
    const saved = await current();
    expect(saved.revision).toBe(3);
    expect(saved.workbench.sheets.map(({ revision }) => revision)).toEqual([2, 1, 1, 1, 1, 1]);
    expect(saved).toMatchObject({ undo: `the name renamed`, redo: null });
  });

  it('refuses a stale change, says how it stands, and changes nothing', async () => {
    const old = await current();
    await saveChange(db, 'one', renaming(old, 'first'), now());
    const outcome = await saveChange(db, 'one', renaming(old, 'second'), now());
    expect(outcome).toMatchObject({ ok: false, current: { revision: 2, workbench: { decision: { name: 'first' } } } });
    expect(await nameNow()).toBe('first');
  });

  it('refuses a change to a sheet that another decision changed meanwhile', async () => {
    const { workbench } = await current();
    await createDecision(db, 'two', workbench, now());
    const mine = await current();
    await saveChange(db, 'two', resheeting(await current('two'), '2026-11-02'), now());
    const outcome = await saveChange(db, 'one', resheeting(mine, '2026-10-01'), now());
    expect(outcome).toMatchObject({ ok: false, staleSheets: [{ revision: 2, sheet: { seen: '2026-11-02' } }] });
    expect((await current()).workbench.sheets[0]).toMatchObject({ revision: 1 });
  });

  it('knows no decision that is not there', async () => {
    expect(await saveChange(db, 'none', renaming(await current(), 'x'), now())).toBeUndefined();
    expect(await loadWorkbench(db, 'none')).toBeUndefined();
  });
});

describe('undo and redo', () => {
  it('walk back and forth through all changes', async () => {
    for (const name of ['a', 'b', 'c']) await saveChange(db, 'one', renaming(await current(), name), now());
    const names = [];
    for (const direction of ['undo', 'undo', 'redo', 'undo', 'undo', 'redo', 'redo', 'redo'] as const) {
      await step(direction);
      names.push(await nameNow());
    }
    expect(names).toEqual(['b', 'a', 'b', 'a', file.name, 'a', 'b', 'c']);
    expect(await current()).toMatchObject({ undo: 'the name c', redo: null });
  });

  it('has nothing to redo after a new change', async () => {
    await saveChange(db, 'one', renaming(await current(), 'a'), now());
    await step('undo');
    await saveChange(db, 'one', renaming(await current(), 'b'), now());
    expect((await current()).redo).toBeNull();
    await step('undo');
    expect(await nameNow()).toBe(file.name);
  });

  it('takes a stretch of typing into one field as one step', async () => {
    const at = '2027-01-01T10:00:0';
    await saveChange(db, 'one', renaming(await current(), 'K', 'name'), `${at}0.000Z`);
    await saveChange(db, 'one', renaming(await current(), 'Ki', 'name'), `${at}1.000Z`);
    await saveChange(db, 'one', renaming(await current(), 'Kites', 'name'), `${at}3.000Z`);
    await step('undo');
    expect(await nameNow()).toBe(file.name);
  });

  it('takes what was changed and changed back before it was sent for no step', async () => {
    await saveChange(db, 'one', resheeting(await current(), '2026-11-01'), '2027-01-01T10:00:00.000Z');
    const { revision } = await current();
    await saveChange(db, 'one', resheeting(await current(), '2026-11-01'), '2027-01-01T10:00:40.000Z');
    expect((await current()).revision).toBe(revision);
    await step('undo');
    expect(await seenNow()).toBeUndefined();
  });

  it('brings a sheet back as a new revision, unless another decision changed it since', async () => {
    await saveChange(db, 'one', resheeting(await current(), '2026-11-01'), now());
    await step('undo');
    expect(await seenNow()).toBeUndefined();
    expect((await listSheets(db)).find(({ id }) => id === 'sheet-0')).toMatchObject({ revision: 3 });
    await step('redo');
    expect(await seenNow()).toBe('2026-11-01');

    await createDecision(db, 'two', (await current()).workbench, now());
    await saveChange(db, 'two', resheeting(await current('two'), '2026-11-20'), now());
    await step('undo');
    expect(await seenNow()).toBeUndefined();
    expect((await listSheets(db)).find(({ id }) => id === 'sheet-0')?.sheet.seen).toBe('2026-11-20');
  });

  it('is refused on a revision that is not the newest, and does nothing where there is nothing', async () => {
    expect(await step('undo')).toMatchObject({ ok: true, saved: { revision: 1 } });
    await saveChange(db, 'one', renaming(await current(), 'a'), now());
    expect(await stepBack(db, 'one', 1, 'undo', now())).toMatchObject({ ok: false });
  });
});

import type { Kysely } from 'kysely';
import { beforeEach, describe, expect, it } from 'vitest';
import { RefusedFileError } from '#core/fields/problems';
import { setDeleted } from './decision-list';
import { loadWorkbenchAt, stepBack } from './decisions';
import { exportEverything } from './export-everything';
import { importEverything, readEverything } from './import-everything';
import { openDatabase } from './open-database';
import { noteRateTaken, setWatchedAddress, watchedSheets } from './price-watch';
import type { Database } from './schema';
import { keepSetting, readSetting } from './settings';
import { listSheets } from './sheets';
import { current, rename, withSaves } from './tests/databases';

const FROM = new Date('2026-11-20T10:00:00.000Z');
const AT = '2026-11-28T10:00:00.000Z';
let db: Kysely<Database>;
let empty: Kysely<Database>;
let next = 0;
const newId = () => `new-${next++}`;
const whole = (of: Kysely<Database>, withHistory = true) => exportEverything(of, { withHistory, at: AT });
/** As it goes through a file. */
const throughFile = async (withHistory = true) => readEverything(JSON.parse(JSON.stringify(await whole(db, withHistory))));

beforeEach(async () => {
  [db, empty] = [await openDatabase(':memory:'), await openDatabase(':memory:')];
  await withSaves(db, 'kites', 5, { from: FROM, everyMs: 10_000 });
  await withSaves(db, 'lamps', 1, { from: FROM, everyMs: 10_000 });
  await setDeleted(db, 'lamps', AT);
  await setWatchedAddress(db, 'sheet-of-kites', 'https://alder.invalid/prices');
  await noteRateTaken(db, 'Kites', 'USD', '0.92', '0.95', AT);
  await keepSetting(db, 'privateHosts', ['127.0.0.1:4180']);
});

describe('everything as one file', () => {
  it('brought into an empty installation is everything again, with its history', async () => {
    expect(await importEverything(empty, await throughFile(), newId)).toEqual({
      added: 2,
      there: 0,
      beside: 0,
      sheets: 2,
    });
    expect(await whole(empty)).toEqual(await whole(db));
    expect((await loadWorkbenchAt(empty, 'kites', 3))?.workbench.decision.name).toBe('kites 2');
    await stepBack(empty, 'kites', 6, 'undo', AT);
    expect((await current(empty, 'kites')).workbench.decision.name).toBe('kites 4');
  });

  it('without the steps of undo has what stands now, and nothing to undo', async () => {
    await importEverything(empty, await throughFile(false), newId);
    expect(await current(empty, 'kites')).toMatchObject({
      revision: 6,
      undo: null,
      workbench: { decision: { name: 'kites 5' } },
    });
    await rename(empty, 'kites', 'goes on', AT);
    expect((await current(empty, 'kites')).revision).toBe(7);
  });

  it('brought in twice changes nothing the second time', async () => {
    const file = await throughFile();
    await importEverything(empty, file, newId);
    const before = await whole(empty);
    expect(await importEverything(empty, file, newId)).toEqual({ added: 0, there: 2, beside: 0, sheets: 0 });
    expect(await whole(empty)).toEqual(before);
  });

  it('stands beside what has other content here, and changes nothing of it', async () => {
    const file = await throughFile();
    await importEverything(empty, file, newId);
    await rename(empty, 'kites', 'changed here', AT);
    await keepSetting(empty, 'privateHosts', ['nas.local:80']);
    await setWatchedAddress(empty, 'sheet-of-kites', 'https://birch.invalid/');
    expect(await importEverything(empty, file, newId)).toMatchObject({ there: 1, beside: 1 });
    expect((await current(empty, 'kites')).workbench.decision.name).toBe('changed here');
    const names = (await empty.selectFrom('decisions').select('name').orderBy('name').execute()).map(({ name }) => name);
    expect(names).toEqual(['changed here', 'kites 5', 'lamps 1']);
    expect(await readSetting(empty, 'privateHosts')).toEqual(['nas.local:80']);
    expect((await watchedSheets(empty)).map(({ address }) => address)).toEqual(['https://birch.invalid/']);
  });

  it('brings price sheets in beside those of the same name with other prices', async () => {
    await withSaves(empty, 'kites', 0, { from: FROM, everyMs: 1 });
    await empty
      .updateTable('sheetRevisions')
      .set({
        content: (await import('./revision-content')).packWhole(
          '{"kind":"processor","processor":{"id":"p","label":"Another","currency":"EUR"}}',
        ),
      })
      .execute();
    await importEverything(empty, await throughFile(), newId);
    expect((await listSheets(empty)).map(({ sheet }) => (sheet.kind === 'processor' ? sheet.processor.label : ''))).toEqual([
      'Another',
      'Pay',
      'Pay',
    ]);
  });

  it('that is not one is refused with what is wrong where, and nothing of it is taken in', async () => {
    const file = JSON.parse(JSON.stringify(await whole(db))) as {
      decisions: Array<{ revisions: Array<{ document: { months: unknown } }> }>;
    };
    const document = file.decisions[0]?.revisions[0]?.document;
    if (document) document.months = -1;
    expect(() => readEverything(file)).toThrow(RefusedFileError);
    expect(() => readEverything({ format: 'something else' })).toThrow(RefusedFileError);
    expect(() => readEverything(null)).toThrow(RefusedFileError);
  });

  it('has what cannot be read as it is stored, and all else', async () => {
    await db
      .updateTable('decisionRevisions')
      .set({ content: Buffer.from('rubbish'), base: null })
      .where('decisionId', '=', 'kites')
      .where('revision', '=', 6)
      .execute();
    const file = await throughFile(false);
    expect(file.decisions.map(({ id }) => id)).toEqual(['lamps']);
    expect(file.unreadable).toEqual([
      {
        kind: 'decision',
        id: 'kites',
        name: 'kites 5',
        revision: 6,
        base: null,
        content: Buffer.from('rubbish').toString('base64'),
      },
    ]);
  });
});

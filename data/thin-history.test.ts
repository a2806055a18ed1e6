import fc from 'fast-check';
import type { Kysely } from 'kysely';
import { beforeEach, describe, expect, it } from 'vitest';
import { givenVerdict } from '#core/tests/given-verdict';
import { loadWorkbenchAt, saveChange, stepBack } from './decisions';
import { openDatabase } from './open-database';
import type { Database } from './schema';
import { current, rename, withSaves } from './tests/databases';
import { revisionsToRemove, thinHistory } from './thin-history';

const HOUR = 3_600_000;
const DAY = 24 * HOUR;
const FROM = new Date('2026-01-01T00:10:00.000Z');
const after = (days: number) => new Date(FROM.getTime() + days * DAY);
const every = (minutes: number, days: number) =>
  Array.from({ length: Math.floor((days * DAY) / (minutes * 60_000)) }, (_, at) => ({
    revision: at + 1,
    savedAt: new Date(FROM.getTime() + at * minutes * 60_000).toISOString(),
  }));

describe('revisions by their age', () => {
  it('every step for a month, then the last of every hour, then the last of every day', () => {
    const revisions = every(20, 200);
    const removed = new Set(revisionsToRemove(revisions, new Set(), after(200)));
    const kept = (from: number, to: number) =>
      revisions.filter(
        ({ revision, savedAt }) => !removed.has(revision) && savedAt >= after(from).toISOString() && savedAt < after(to).toISOString(),
      );
    expect(kept(170, 199)).toHaveLength(29 * 72);
    expect(kept(120, 150)).toHaveLength(30 * 24);
    expect(kept(50, 100)).toHaveLength(50);
    expect(kept(120, 121).every(({ savedAt }) => savedAt.slice(14, 16) === '50')).toBe(true);
    expect(kept(50, 51).map(({ savedAt }) => savedAt.slice(11, 16))).toEqual(['23:50']);
  });

  it('never the newest, never one that something rests on, and what is kept once is kept on the next look', () => {
    fc.assert(
      fc.property(
        fc.integer({ min: 5, max: 3_000 }),
        fc.integer({ min: 1, max: 400 }),
        fc.array(fc.integer({ min: 1, max: 50 }), { maxLength: 5 }),
        (minutes, age, always) => {
          const revisions = every(minutes, 100).slice(0, 400);
          const removed = revisionsToRemove(revisions, new Set(always), after(100 + age));
          expect(removed).not.toContain(revisions.at(-1)?.revision);
          expect(removed.filter((one) => always.includes(one))).toEqual([]);
          const left = revisions.filter(({ revision }) => !removed.includes(revision));
          expect(revisionsToRemove(left, new Set(always), after(100 + age))).toEqual([]);
        },
      ),
      { numRuns: 60 },
    );
  });
});

describe('thinning out a history', () => {
  let db: Kysely<Database>;
  const revisions = async () =>
    (await db.selectFrom('decisionRevisions').select('revision').orderBy('revision').execute()).map(({ revision }) => revision);
  const thinTwice = async (day: number) => {
    await thinHistory(db, after(day));
    return thinHistory(db, after(day + 4));
  };

  beforeEach(async () => {
    db = await openDatabase(':memory:');
    await withSaves(db, 'kites', 200, { from: FROM, everyMs: 10 * 60_000 });
  });

  it('leaves everything as it is for a month', async () => {
    expect(await thinTwice(30)).toBe(0);
    expect(await revisions()).toHaveLength(201);
  });

  it('keeps the last of every hour and every content that is kept can still be read', async () => {
    expect(await thinTwice(60)).toBe(201 - 34);
    for (const revision of await revisions())
      expect((await loadWorkbenchAt(db, 'kites', revision))?.workbench.decision.name).toBe(
        revision === 1 ? 'kites' : `kites ${revision - 1}`,
      );
  });

  it('has undo lead past what is gone, back to the first step that is kept', async () => {
    await thinTwice(150);
    const names = [];
    for (let turn = 0; turn < 5; turn++) {
      names.push((await current(db, 'kites')).workbench.decision.name);
      await stepBack(db, 'kites', (await current(db, 'kites')).revision, 'undo', after(160).toISOString());
    }
    // The last of the second day, then the last of the first; before that there is nothing.
    expect(names).toEqual(['kites 200', 'kites 142', 'kites 142', 'kites 142', 'kites 142']);
    expect(await current(db, 'kites')).toMatchObject({ undo: null });
  });

  it('keeps what a verdict rests on, with its prices', async () => {
    const verdict = givenVerdict({ id: 'v1', on: '2026-01-02', parts: [{ candidate: 'A', label: 'Alder' }] });
    const { workbench, revision } = await current(db, 'kites');
    const sheets = workbench.sheets.map((used) => ({
      id: used.id,
      revision: used.revision,
      changed: { ...used.sheet, seen: '2026-01-02' },
    }));
    await saveChange(
      db,
      'kites',
      { key: 'v', label: 'v', revision, decision: { ...workbench.decision, verdicts: [verdict] }, sheets },
      new Date(FROM.getTime() + 34 * HOUR).toISOString(),
    );
    for (let turn = 0; turn < 10; turn++)
      await rename(db, 'kites', `later ${turn}`, new Date(FROM.getTime() + 34 * HOUR + (turn + 1) * 60_000).toISOString());
    await thinTwice(300);
    expect(await revisions()).toContain(202);
    expect((await loadWorkbenchAt(db, 'kites', 202))?.workbench.sheets[0]?.sheet.seen).toBe('2026-01-02');
  });

  it('does nothing on the word of a clock that is wrong for a while', async () => {
    await thinHistory(db, after(3));
    await thinHistory(db, after(400));
    expect(await thinHistory(db, after(4))).toBe(0);
    expect(await thinHistory(db, after(8))).toBe(0);
    expect(await revisions()).toHaveLength(201);
  });
});

import type { Kysely } from 'kysely';
import { afterEach, beforeEach, describe, expect, it, vi } from 'vitest';
import type { DecisionSummary } from '#core/judgement/decision-summary';
import { takeApart } from '#core/decision/take-apart';
import { kiteDecision } from '#core/tests/kite-decision';
import { createDecision, loadWorkbench, saveChange } from '#data/decisions';
import { openDatabase } from '#data/open-database';
import type { Database } from '#data/schema';
import { keepSummary } from '#data/summaries';
import { listedRows } from './decision-list.server';

let db: Kysely<Database>;
const AT = '2026-11-28T10:00:00.000Z';
const NOTHING: DecisionSummary = {
  candidates: 0,
  by: 'cost',
  leader: null,
  total: null,
  margin: null,
  way: null,
  months: 12,
  currency: 'EUR',
  scale: null,
  toFindOut: 0,
  verdict: null,
};
const state = async () => (await listedRows(db))[0]?.state;
const stored = () => db.selectFrom('decisionSummaries').selectAll().execute();

beforeEach(async () => {
  vi.stubEnv('VENALIS_BUILD', 'one');
  db = await openDatabase(':memory:');
  let next = 0;
  await createDecision(
    db,
    'one',
    takeApart(kiteDecision(), () => `sheet-${next++}`),
    AT,
  );
});
afterEach(() => vi.unstubAllEnvs());

describe('the bottom line in the list', () => {
  it('is worked out once for a revision, and again for the next one and by another build', async () => {
    const first = await state();
    expect(first).toMatchObject({ kind: 'known', summary: { candidates: 2, currency: 'EUR' } });
    await db
      .updateTable('decisionSummaries')
      .set({
        summary: JSON.stringify({ ...NOTHING, candidates: 77 }),
      })
      .execute();
    expect(await state()).toMatchObject({ summary: { candidates: 77 } });
    vi.stubEnv('VENALIS_BUILD', 'another');
    expect(await state()).toEqual(first);
    vi.stubEnv('VENALIS_BUILD', 'one');
    expect(await state()).toEqual(first);
    const saved = await loadWorkbench(db, 'one');
    if (!saved) throw new Error('the decision is expected');
    await saveChange(
      db,
      'one',
      {
        key: 'c',
        label: 'c',
        revision: 1,
        decision: { ...saved.workbench.decision, candidates: [] },
        sheets: saved.workbench.sheets.map(({ id, revision }) => ({ id, revision })),
      },
      AT,
    );
    expect(await state()).toMatchObject({ kind: 'known', summary: { candidates: 0, leader: null } });
    expect((await stored()).map(({ revision }) => revision)).toEqual([2]);
  });

  it('that was begun and never done is not tried again until the decision changes', async () => {
    await keepSummary(db, 'one', 1, 'one', null);
    expect(await state()).toEqual({ kind: 'unfinished' });
  });

  it('of a decision that cannot be read is said to be missing, and the others are as they were', async () => {
    let next = 10;
    await createDecision(
      db,
      'two',
      takeApart(kiteDecision(), () => `sheet-${next++}`),
      '2026-11-29T10:00:00.000Z',
    );
    await db
      .updateTable('decisionRevisions')
      .set({ content: Buffer.from('rubbish') })
      .where('decisionId', '=', 'two')
      .execute();
    expect((await listedRows(db)).map(({ id, state: { kind } }) => [id, kind])).toEqual([
      ['two', 'unreadable'],
      ['one', 'known'],
    ]);
  });
});

import { existsSync, mkdtempSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import SQLite from 'better-sqlite3';
import { sql } from 'kysely';
import { expect, it } from 'vitest';
import { listDecisions } from './decision-list';
import { createDecision } from './decisions';
import { openDatabase } from './open-database';

const decision = { name: 'kept', currency: 'EUR', start: '2027-01', months: 12, forecast: { streams: [] }, candidates: [] };

it('makes the folder and the tables, keeps what is in them, and can be opened again', async () => {
  const path = join(mkdtempSync(join(tmpdir(), 'venalis-data-')), 'deeper', 'venalis.db');
  const first = await openDatabase(path);
  await createDecision(first, 'one', { decision, sheets: [] }, '2026-11-03T09:00:00.000Z');
  await first.destroy();
  expect(existsSync(path)).toBe(true);
  const second = await openDatabase(path);
  expect((await listDecisions(second)).map(({ name }) => name)).toEqual(['kept']);
  await second.destroy();
});

it('writes ahead and holds references', async () => {
  const path = join(mkdtempSync(join(tmpdir(), 'venalis-data-')), 'venalis.db');
  const db = await openDatabase(path);
  await expect(
    sql`insert into decision_revisions (decision_id, revision, content, saved_at, change_key) values ('none', 1, '{}', '', '')`.execute(db),
  ).rejects.toThrow(/FOREIGN KEY/);
  await db.destroy();
  const raw = new SQLite(path, { readonly: true });
  expect(raw.pragma('journal_mode', { simple: true })).toBe('wal');
  raw.close();
});

it('leaves a file alone that is no database, and says so', async () => {
  const { writeFileSync } = await import('node:fs');
  const path = join(mkdtempSync(join(tmpdir(), 'venalis-data-')), 'venalis.db');
  writeFileSync(path, 'this is a letter, not a database, and it is long enough to be told apart from one');
  await expect(openDatabase(path)).rejects.toThrow();
});

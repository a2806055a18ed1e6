import { homedir } from 'node:os';
import { join } from 'node:path';
import type { Kysely } from 'kysely';
import { removeDeleted } from '#data/decision-list';
import { openDatabase } from '#data/open-database';
import type { Database } from '#data/schema';
import { loadDemo } from './demo.server';
import { watchWorld } from './demo-world.server';

let opened: Promise<Kysely<Database>> | undefined;

/** Folder in which the person's data lives: `VENALIS_DATA`, by default `.venalis` in the home directory. */
export function dataFolder(): string {
  return process.env['VENALIS_DATA'] ?? join(homedir(), '.venalis');
}

/** The database, opened once and brought up to date; with `VENALIS_DEMO` the demo's decisions are put in. */
export function database(): Promise<Kysely<Database>> {
  opened ??= open();
  return opened;
}

async function open(): Promise<Kysely<Database>> {
  const db = await openDatabase(join(dataFolder(), 'venalis.db'));
  await removeDeleted(db, new Date());
  const demo = process.env['VENALIS_DEMO'];
  if (demo) await loadDemo(db, demo);
  const world = process.env['VENALIS_WORLD'];
  if (world) await watchWorld(db, world);
  return db;
}

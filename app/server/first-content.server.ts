import type { Kysely } from 'kysely';
import type { Database } from '#data/schema';
import { loadDemo } from './demo.server';
import { watchWorld } from './demo-world.server';

/** What is put into the database at the start, as the environment says: the demo, and its outside world to look at. */
export function firstContent(
  { VENALIS_DEMO: demo, VENALIS_DEMO_DAY: day, VENALIS_WORLD: world }: Readonly<Record<string, string | undefined>> = process.env,
): (db: Kysely<Database>) => Promise<void> {
  return async (db) => {
    if (demo) await loadDemo(db, demo, day ?? new Date().toISOString().slice(0, 10));
    if (world) await watchWorld(db, world);
  };
}

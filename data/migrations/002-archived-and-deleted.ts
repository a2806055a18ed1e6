import type { Kysely } from 'kysely';

/** Decisions that are put away, and those that are deleted but can still be brought back. */
export async function up(db: Kysely<unknown>): Promise<void> {
  const tables = await db.introspection.getTables();
  const there = new Set(tables.find(({ name }) => name === 'decisions')?.columns.map(({ name }) => name));
  // Former versions could be cut short between the two.
  for (const column of ['archived_at', 'deleted_at'])
    if (!there.has(column)) await db.schema.alterTable('decisions').addColumn(column, 'text').execute();
}

import type { Kysely } from 'kysely';

/** Decisions that are put away, and those that are deleted but can still be brought back. */
export async function up(db: Kysely<unknown>): Promise<void> {
  await db.schema.alterTable('decisions').addColumn('archived_at', 'text').execute();
  await db.schema.alterTable('decisions').addColumn('deleted_at', 'text').execute();
}

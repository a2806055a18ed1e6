import type { Kysely } from 'kysely';

/** Past orders of a decision: files, each in parts. A file that is not whole was left while it was sent. */
export async function up(db: Kysely<unknown>): Promise<void> {
  await db.schema
    .createTable('past_order_files')
    .ifNotExists()
    .addColumn('id', 'text', (column) => column.primaryKey())
    .addColumn('decision_id', 'text', (column) => column.notNull().references('decisions.id').onDelete('cascade'))
    .addColumn('content', 'text', (column) => column.notNull())
    .addColumn('added_at', 'text', (column) => column.notNull())
    .addColumn('is_whole', 'integer', (column) => column.notNull())
    .execute();
  await db.schema
    .createTable('past_order_parts')
    .ifNotExists()
    .addColumn('file_id', 'text', (column) => column.notNull().references('past_order_files.id').onDelete('cascade'))
    .addColumn('place', 'integer', (column) => column.notNull())
    .addColumn('content', 'blob', (column) => column.notNull())
    .addPrimaryKeyConstraint('past_order_parts_key', ['file_id', 'place'])
    .execute();
  await db.schema
    .createIndex('past_order_files_by_decision')
    .ifNotExists()
    .on('past_order_files')
    .columns(['decision_id', 'added_at'])
    .execute();
}

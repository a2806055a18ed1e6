import type { Kysely } from 'kysely';

/**
 * Settings, where price sheets are looked at again, and what was found there.
 *
 * Former versions could be cut short between a table and the note that it was made: what is there already is used.
 */
export async function up(db: Kysely<unknown>): Promise<void> {
  await db.schema
    .createTable('settings')
    .ifNotExists()
    .addColumn('key', 'text', (column) => column.primaryKey())
    .addColumn('value', 'text', (column) => column.notNull())
    .execute();
  await db.schema
    .createTable('watched_sheets')
    .ifNotExists()
    .addColumn('sheet_id', 'text', (column) => column.primaryKey().references('sheets.id').onDelete('cascade'))
    .addColumn('address', 'text', (column) => column.notNull())
    .addColumn('tried_at', 'text')
    .addColumn('seen_at', 'text')
    .addColumn('problem', 'text')
    .addColumn('found', 'text', (column) => column.notNull())
    .execute();
  await db.schema
    .createTable('price_changes')
    .ifNotExists()
    .addColumn('id', 'integer', (column) => column.primaryKey().autoIncrement())
    .addColumn('sheet_id', 'text')
    .addColumn('label', 'text', (column) => column.notNull())
    .addColumn('change_id', 'text', (column) => column.notNull())
    .addColumn('plan', 'text', (column) => column.notNull())
    .addColumn('what', 'text', (column) => column.notNull())
    .addColumn('before', 'text', (column) => column.notNull())
    .addColumn('after', 'text', (column) => column.notNull())
    .addColumn('outcome', 'text', (column) => column.notNull())
    .addColumn('decided_at', 'text', (column) => column.notNull())
    .execute();
  await db.schema.createIndex('price_changes_by_sheet').ifNotExists().on('price_changes').columns(['sheet_id', 'change_id']).execute();
}

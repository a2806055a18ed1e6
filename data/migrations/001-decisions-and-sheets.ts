import type { Kysely } from 'kysely';

/**
 * Decisions and price sheets, each with all its revisions.
 *
 * Former versions could be cut short between a table and the note that it was made: what is there already is used.
 */
export async function up(db: Kysely<unknown>): Promise<void> {
  await db.schema
    .createTable('decisions')
    .ifNotExists()
    .addColumn('id', 'text', (column) => column.primaryKey())
    .addColumn('revision', 'integer', (column) => column.notNull())
    .addColumn('name', 'text', (column) => column.notNull())
    .addColumn('created_at', 'text', (column) => column.notNull())
    .addColumn('changed_at', 'text', (column) => column.notNull())
    .execute();
  await db.schema
    .createTable('decision_revisions')
    .ifNotExists()
    .addColumn('decision_id', 'text', (column) => column.notNull().references('decisions.id').onDelete('cascade'))
    .addColumn('revision', 'integer', (column) => column.notNull())
    .addColumn('document', 'text', (column) => column.notNull())
    .addColumn('saved_at', 'text', (column) => column.notNull())
    .addColumn('change_key', 'text', (column) => column.notNull())
    .addColumn('undo_to', 'integer')
    .addColumn('undo_label', 'text')
    .addColumn('redo_to', 'integer')
    .addColumn('redo_label', 'text')
    .addPrimaryKeyConstraint('decision_revisions_key', ['decision_id', 'revision'])
    .execute();
  await db.schema
    .createTable('sheets')
    .ifNotExists()
    .addColumn('id', 'text', (column) => column.primaryKey())
    .addColumn('revision', 'integer', (column) => column.notNull())
    .addColumn('kind', 'text', (column) => column.notNull())
    .addColumn('label', 'text', (column) => column.notNull())
    .addColumn('changed_at', 'text', (column) => column.notNull())
    .execute();
  await db.schema
    .createTable('sheet_revisions')
    .ifNotExists()
    .addColumn('sheet_id', 'text', (column) => column.notNull().references('sheets.id').onDelete('cascade'))
    .addColumn('revision', 'integer', (column) => column.notNull())
    .addColumn('document', 'text', (column) => column.notNull())
    .addColumn('saved_at', 'text', (column) => column.notNull())
    .addPrimaryKeyConstraint('sheet_revisions_key', ['sheet_id', 'revision'])
    .execute();
  await db.schema
    .createTable('used_sheets')
    .ifNotExists()
    .addColumn('decision_id', 'text', (column) => column.notNull().references('decisions.id').onDelete('cascade'))
    .addColumn('sheet_id', 'text', (column) => column.notNull())
    .addColumn('revision', 'integer', (column) => column.notNull())
    .addPrimaryKeyConstraint('used_sheets_key', ['decision_id', 'sheet_id'])
    .addForeignKeyConstraint('used_sheets_revision', ['sheet_id', 'revision'], 'sheet_revisions', ['sheet_id', 'revision'])
    .execute();
}

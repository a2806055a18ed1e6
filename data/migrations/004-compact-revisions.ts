import { type Kysely, sql } from 'kysely';
import { packAgainst, packWhole } from '../revision-content';

/** So many revisions are written against one that stands by itself. */
const RUN = 64;

/**
 * Revisions compressed, each against the one that begins its run; what a decision comes to, for the list; and since when
 * a deleted decision has been found old enough to be removed.
 */
export async function up(db: Kysely<unknown>): Promise<void> {
  await compact(db, {
    table: 'decision_revisions',
    owner: 'decision_id',
    parent: 'decisions',
    kept: ['saved_at', 'change_key', 'undo_to', 'undo_label', 'redo_to', 'redo_label'],
    columns: 'saved_at text not null, change_key text not null, undo_to integer, undo_label text, redo_to integer, redo_label text',
  });
  await compact(db, {
    table: 'sheet_revisions',
    owner: 'sheet_id',
    parent: 'sheets',
    kept: ['saved_at'],
    columns: 'saved_at text not null',
  });
  await db.schema
    .createTable('decision_summaries')
    .addColumn('decision_id', 'text', (column) => column.primaryKey().references('decisions.id').onDelete('cascade'))
    .addColumn('revision', 'integer', (column) => column.notNull())
    .addColumn('made_by', 'text', (column) => column.notNull())
    .addColumn('summary', 'text')
    .execute();
  await db.schema.alterTable('decisions').addColumn('old_since', 'text').execute();
}

interface Table {
  readonly table: string;
  readonly owner: string;
  readonly parent: string;
  readonly kept: readonly string[];
  readonly columns: string;
}

/** Writes a table of revisions anew, a row at a time. */
async function compact(db: Kysely<unknown>, { table, owner, parent, kept, columns }: Table): Promise<void> {
  const fresh = `${table}_compact`;
  await sql
    .raw(
      `create table ${fresh} (${owner} text not null references ${parent} (id) on delete cascade, revision integer not null, content blob not null, base integer, ${columns}, primary key (${owner}, revision))`,
    )
    .execute(db);
  const rows = await sql<{
    owner: string;
    revision: number;
  }>`select ${sql.ref(owner)} as owner, revision from ${sql.table(table)} order by 1, 2`.execute(db);
  let run: { owner: string; revision: number; text: string; length: number } | null = null;
  for (const row of rows.rows) {
    const found = await sql<{
      document: string;
    }>`select document from ${sql.table(table)} where ${sql.ref(owner)} = ${row.owner} and revision = ${row.revision}`.execute(db);
    const text = found.rows[0]?.document ?? '';
    const isNew: boolean = run === null || run.owner !== row.owner || run.length >= RUN;
    if (isNew || run === null) run = { ...row, text, length: 0 };
    run.length += 1;
    const base = isNew ? null : run.revision;
    const content = isNew ? packWhole(text) : packAgainst(text, run.text);
    await sql`insert into ${sql.table(fresh)} (${sql.ref(owner)}, revision, content, base, ${sql.raw(kept.join(', '))})
      select ${sql.ref(owner)}, revision, ${content}, ${base}, ${sql.raw(kept.join(', '))} from ${sql.table(table)} where ${sql.ref(owner)} = ${row.owner} and revision = ${row.revision}`.execute(
      db,
    );
  }
  await sql.raw(`drop table ${table}`).execute(db);
  await sql.raw(`alter table ${fresh} rename to ${table}`).execute(db);
}

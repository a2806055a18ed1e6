import { type Kysely, sql } from 'kysely';
import { packAgainst, packWhole, type StoredContent, unpack, UnreadableContentError } from './revision-content';
import type { Database } from './schema';

/** What has revisions, with the table they lie in and the column that says whose they are. */
const TABLES = {
  decision: { table: 'decisionRevisions', owner: 'decisionId' },
  sheet: { table: 'sheetRevisions', owner: 'sheetId' },
} as const;

export type Revised = keyof typeof TABLES;

/** So many revisions at most are written against one that stands by itself. */
const LONGEST_RUN = 64;
/** Written against another one, a revision should save at least this share of what it takes by itself. */
const WORTH_IT = 0.6;

/**
 * How a new revision's text is to be stored: against the last one that stands by itself, as long as that is near and
 * saves enough.
 */
export async function contentFor(db: Kysely<Database>, kind: Revised, id: string, revision: number, text: string): Promise<StoredContent> {
  const whole = packWhole(text);
  const former = await lastWhole(db, kind, id);
  if (!former || revision - former.revision >= LONGEST_RUN) return { content: whole, base: null };
  const base = readable(former.content);
  const against = base === null ? null : packAgainst(text, base);
  return against && against.length < whole.length * WORTH_IT ? { content: against, base: former.revision } : { content: whole, base: null };
}

/** A former revision that is damaged is no reason not to keep a new one: that one then stands by itself. */
function readable(content: Uint8Array): string | null {
  try {
    return unpack(content, null);
  } catch {
    return null;
  }
}

/**
 * The text of a revision.
 *
 * @throws UnreadableContentError if it was damaged
 */
export async function textOf(db: Kysely<Database>, kind: Revised, id: string, stored: StoredContent): Promise<string> {
  if (stored.base === null) return unpack(stored.content, null);
  const base = await storedRevision(db, kind, id, stored.base);
  if (!base || base.base !== null) throw new UnreadableContentError('The revision that this one is written against is gone');
  return unpack(stored.content, unpack(base.content, null));
}

/** How one revision is stored; undefined if there is no such revision. */
export async function storedRevision(
  db: Kysely<Database>,
  kind: Revised,
  id: string,
  revision: number,
): Promise<StoredContent | undefined> {
  const { table, owner } = TABLES[kind];
  const { rows } =
    await sql<StoredContent>`select content, base from ${sql.table(table)} where ${sql.ref(owner)} = ${id} and revision = ${revision}`.execute(
      db,
    );
  return rows[0];
}

async function lastWhole(db: Kysely<Database>, kind: Revised, id: string): Promise<{ revision: number; content: Buffer } | undefined> {
  const { table, owner } = TABLES[kind];
  const { rows } = await sql<{ revision: number; content: Buffer }>`
    select revision, content from ${sql.table(table)} where ${sql.ref(owner)} = ${id} and base is null order by revision desc limit 1`.execute(
    db,
  );
  return rows[0];
}

/** Revisions that are written against another one. */
async function writtenAgainst(
  db: Kysely<Database>,
  kind: Revised,
  id: string,
  base: number,
): Promise<Array<StoredContent & { readonly revision: number }>> {
  const { table, owner } = TABLES[kind];
  const { rows } = await sql<
    StoredContent & { revision: number }
  >`select revision, content, base from ${sql.table(table)} where ${sql.ref(owner)} = ${id} and base = ${base}`.execute(db);
  return rows;
}

/** Stores a revision's text so that it stands by itself, whatever happens to others. */
async function makeWhole(db: Kysely<Database>, kind: Revised, id: string, revision: number, text: string): Promise<void> {
  const { table, owner } = TABLES[kind];
  await sql`update ${sql.table(table)} set content = ${packWhole(text)}, base = null where ${sql.ref(owner)} = ${id} and revision = ${revision}`.execute(
    db,
  );
}

/** Removes a revision; what was written against it is made to stand by itself first. */
export async function removeRevision(db: Kysely<Database>, kind: Revised, id: string, revision: number): Promise<void> {
  const { table, owner } = TABLES[kind];
  const stored = await storedRevision(db, kind, id, revision);
  if (stored?.base === null)
    for (const dependent of await writtenAgainst(db, kind, id, revision))
      await makeWhole(db, kind, id, dependent.revision, unpack(dependent.content, unpack(stored.content, null)));
  await sql`delete from ${sql.table(table)} where ${sql.ref(owner)} = ${id} and revision = ${revision}`.execute(db);
}

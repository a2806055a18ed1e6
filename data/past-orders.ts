import { deflateSync, inflateSync } from 'node:zlib';
import type { Kysely } from 'kysely';
import { type KeptFile, keptFileSchema, type KeptOrders, type KeptPart, keptPartSchema } from '#core/past-orders/kept-orders';
import { UnreadableContentError } from './revision-content';
import type { Database } from './schema';
import { parseDocumentAs, readText } from './unreadable';

/** A file of past orders that is kept, and how many parts its orders are in. */
export interface StoredOrderFile {
  readonly id: string;
  readonly addedAt: string;
  readonly file: KeptFile;
  readonly parts: number;
}

/**
 * Begins to keep a file of past orders. Until all of its orders are there, it counts for nothing; one that was left half
 * sent before goes.
 *
 * @param addedAt - ISO 8601 time
 * @returns whether there is such a decision
 */
export async function beginOrderFile(
  db: Kysely<Database>,
  decisionId: string,
  id: string,
  file: KeptFile,
  addedAt: string,
): Promise<boolean> {
  return db.transaction().execute(async (transaction) => {
    const decision = await transaction.selectFrom('decisions').select('id').where('id', '=', decisionId).executeTakeFirst();
    if (!decision) return false;
    await transaction.deleteFrom('pastOrderFiles').where('decisionId', '=', decisionId).where('isWhole', '=', 0).execute();
    await transaction
      .insertInto('pastOrderFiles')
      .values({ id, decisionId, content: JSON.stringify(file), addedAt, isWhole: 0 })
      .execute();
    return true;
  });
}

/**
 * Keeps the next orders of a file.
 *
 * @returns whether there is such a file that is not whole yet
 */
export async function addOrderPart(
  db: Kysely<Database>,
  decisionId: string,
  fileId: string,
  place: number,
  part: KeptPart,
): Promise<boolean> {
  const file = await fileRow(db, decisionId, fileId);
  if (file?.isWhole !== 0) return false;
  const content = deflateSync(JSON.stringify(part));
  await db
    .insertInto('pastOrderParts')
    .values({ fileId, place, content })
    .onConflict((conflict) => conflict.columns(['fileId', 'place']).doUpdateSet({ content }))
    .execute();
  return true;
}

/**
 * A file is whole once all of its orders are there; from then on it counts.
 *
 * @returns whether they are
 */
export async function finishOrderFile(db: Kysely<Database>, decisionId: string, fileId: string): Promise<boolean> {
  const row = await fileRow(db, decisionId, fileId);
  if (!row) return false;
  const { orders } = parseDocumentAs(keptFileSchema, row.content);
  const parts = await db.selectFrom('pastOrderParts').select('content').where('fileId', '=', fileId).orderBy('place').execute();
  let kept = 0;
  for (const { content } of parts) kept += (await partIn(content)).day.length;
  if (kept !== orders) return false;
  await db.updateTable('pastOrderFiles').set({ isWhole: 1 }).where('id', '=', fileId).execute();
  return true;
}

/** The files of past orders of a decision that are whole, the oldest first. */
export async function orderFiles(db: Kysely<Database>, decisionId: string): Promise<StoredOrderFile[]> {
  const rows = await db
    .selectFrom('pastOrderFiles')
    .select((row) => [
      'id',
      'addedAt',
      'content',
      row
        .selectFrom('pastOrderParts')
        .whereRef('fileId', '=', 'pastOrderFiles.id')
        .select((part) => part.fn.countAll<number>().as('parts'))
        .as('parts'),
    ])
    .where('decisionId', '=', decisionId)
    .where('isWhole', '=', 1)
    .orderBy('addedAt')
    .orderBy('id')
    .execute();
  return rows.map(({ id, addedAt, content, parts }) => ({
    id,
    addedAt,
    file: parseDocumentAs(keptFileSchema, content),
    parts: parts ?? 0,
  }));
}

/** The orders in one part of a file; undefined where there is none. */
export async function orderPart(db: Kysely<Database>, decisionId: string, fileId: string, place: number): Promise<KeptPart | undefined> {
  const row = await db
    .selectFrom('pastOrderParts')
    .innerJoin('pastOrderFiles', 'pastOrderFiles.id', 'pastOrderParts.fileId')
    .select('pastOrderParts.content')
    .where('decisionId', '=', decisionId)
    .where('fileId', '=', fileId)
    .where('place', '=', place)
    .executeTakeFirst();
  return row && partIn(row.content);
}

/** All past orders of a decision, the oldest file first. */
export async function allOrders(db: Kysely<Database>, decisionId: string): Promise<KeptOrders[]> {
  const kept: KeptOrders[] = [];
  for (const { id, file } of await orderFiles(db, decisionId)) {
    const rows = await db.selectFrom('pastOrderParts').select('content').where('fileId', '=', id).orderBy('place').execute();
    kept.push({ file, parts: await Promise.all(rows.map(({ content }) => partIn(content))) });
  }
  return kept;
}

/**
 * Keeps past orders that came with a decision.
 *
 * @param newId - gives a fresh identifier for each file
 * @param addedAt - ISO 8601 time
 */
export async function keepOrders(
  db: Kysely<Database>,
  decisionId: string,
  orders: readonly KeptOrders[],
  newId: () => string,
  addedAt: string,
): Promise<void> {
  for (const { file, parts } of orders) {
    const id = newId();
    await beginOrderFile(db, decisionId, id, file, addedAt);
    for (const [place, part] of parts.entries()) await addOrderPart(db, decisionId, id, place, part);
    await finishOrderFile(db, decisionId, id);
  }
}

/** Deletes a file of past orders with all of its orders, or all files of a decision. */
export async function deleteOrders(db: Kysely<Database>, decisionId: string, fileId: string | null): Promise<void> {
  await db
    .deleteFrom('pastOrderFiles')
    .where('decisionId', '=', decisionId)
    .$if(fileId !== null, (query) => query.where('id', '=', fileId))
    .execute();
}

function fileRow(db: Kysely<Database>, decisionId: string, id: string) {
  return db.selectFrom('pastOrderFiles').selectAll().where('decisionId', '=', decisionId).where('id', '=', id).executeTakeFirst();
}

async function partIn(content: Buffer): Promise<KeptPart> {
  return parseDocumentAs(keptPartSchema, await readText(() => Promise.resolve(inflated(content))));
}

function inflated(content: Buffer): string {
  try {
    return inflateSync(content).toString('utf8');
  } catch (cause) {
    throw new UnreadableContentError('Past orders cannot be read', { cause });
  }
}

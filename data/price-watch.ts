import type { Kysely } from 'kysely';
import { type FoundChange, foundChangesSchema } from '#core/price-watch/found-change';
import type { Database } from './schema';

/** A price sheet that is looked at again. */
export interface WatchedSheet {
  readonly sheetId: string;
  readonly address: string;
  /** ISO 8601 times: when it was tried last, and when the page could be read last. */
  readonly triedAt: string | null;
  readonly seenAt: string | null;
  /** Why it could not be read the last time. */
  readonly problem: string | null;
  /** What was found and is neither accepted nor left yet. */
  readonly found: readonly FoundChange[];
}

/** A change that was decided. */
export type DecidedChange = Pick<Database['priceChanges'], 'label' | 'plan' | 'what' | 'before' | 'after' | 'outcome' | 'decidedAt'>;

/** All price sheets that have an address to look at. */
export async function watchedSheets(db: Kysely<Database>): Promise<WatchedSheet[]> {
  const rows = await db.selectFrom('watchedSheets').selectAll().execute();
  return rows.map(({ found, ...row }) => ({ ...row, found: readFound(found) }));
}

/** What was found is only ever a hint: what cannot be read any more is looked for anew. */
function readFound(text: string): FoundChange[] {
  const read = foundChangesSchema.safeParse(JSON.parse(text));
  return read.success ? read.data : [];
}

/** Sets where a sheet is looked at; an empty address ends that. */
export async function setWatchedAddress(db: Kysely<Database>, sheetId: string, address: string): Promise<void> {
  if (address === '') {
    await db.deleteFrom('watchedSheets').where('sheetId', '=', sheetId).execute();
    return;
  }
  const row = { sheetId, address, triedAt: null, seenAt: null, problem: null, found: '[]' };
  await db
    .insertInto('watchedSheets')
    .values(row)
    .onConflict((conflict) => conflict.column('sheetId').doUpdateSet({ address, problem: null }))
    .execute();
}

/** Notes how looking at a sheet's page went. What was left before, and still stands so on the page, is not told again. */
export async function noteLooked(
  db: Kysely<Database>,
  sheetId: string,
  at: string,
  outcome: { readonly problem: string } | { readonly found: readonly FoundChange[] },
): Promise<void> {
  if ('problem' in outcome) {
    await db
      .updateTable('watchedSheets')
      .set({ triedAt: at, problem: outcome.problem.slice(0, 500) })
      .where('sheetId', '=', sheetId)
      .execute();
    return;
  }
  const left = await db
    .selectFrom('priceChanges')
    .select('changeId')
    .where('sheetId', '=', sheetId)
    .where('outcome', '=', 'left')
    .execute();
  const known = new Set(left.map(({ changeId }) => changeId));
  const found = outcome.found.filter(({ id }) => !known.has(id));
  await db
    .updateTable('watchedSheets')
    .set({ triedAt: at, seenAt: at, problem: null, found: JSON.stringify(found) })
    .where('sheetId', '=', sheetId)
    .execute();
}

/** Keeps in the history what was decided, and takes it off what is still to decide. */
export async function noteDecided(
  db: Kysely<Database>,
  sheetId: string,
  changes: readonly FoundChange[],
  outcome: 'accepted' | 'left',
  at: string,
): Promise<void> {
  await db.transaction().execute(async (transaction) => {
    const sheet = await transaction.selectFrom('sheets').select('label').where('id', '=', sheetId).executeTakeFirst();
    const label = sheet?.label ?? '';
    for (const { id: changeId, plan, what, before, after } of changes)
      await transaction
        .insertInto('priceChanges')
        .values({ sheetId, label, changeId, plan, what, before, after, outcome, decidedAt: at })
        .execute();
    const row = await transaction.selectFrom('watchedSheets').select('found').where('sheetId', '=', sheetId).executeTakeFirst();
    const decided = new Set(changes.map(({ id }) => id));
    const left = readFound(row?.found ?? '[]').filter(({ id }) => !decided.has(id));
    await transaction
      .updateTable('watchedSheets')
      .set({ found: JSON.stringify(left) })
      .where('sheetId', '=', sheetId)
      .execute();
  });
}

/** Keeps a rate that was taken over in the history. */
export async function noteRateTaken(
  db: Kysely<Database>,
  decision: string,
  currency: string,
  before: string,
  after: string,
  at: string,
): Promise<void> {
  await db
    .insertInto('priceChanges')
    .values({
      sheetId: null,
      label: decision.slice(0, 300),
      changeId: `rate ${currency}`,
      plan: currency,
      what: 'exchange rate',
      before,
      after,
      outcome: 'accepted',
      decidedAt: at,
    })
    .execute();
}

/** What was decided last, the newest first. */
export function decidedChanges(db: Kysely<Database>, most: number): Promise<DecidedChange[]> {
  return db
    .selectFrom('priceChanges')
    .select(['label', 'plan', 'what', 'before', 'after', 'outcome', 'decidedAt'])
    .orderBy('id', 'desc')
    .limit(most)
    .execute();
}

/** Addresses of one host follow when it has moved to another. */
export async function moveAddresses(db: Kysely<Database>, from: string, to: string): Promise<void> {
  for (const { sheetId, address } of await watchedSheets(db))
    if (address.startsWith(from))
      await db
        .updateTable('watchedSheets')
        .set({ address: `${to}${address.slice(from.length)}` })
        .where('sheetId', '=', sheetId)
        .execute();
}

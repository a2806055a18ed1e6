import type { Kysely } from 'kysely';
import { type DecisionSummary, decisionSummarySchema } from '#core/judgement/decision-summary';
import type { Database } from './schema';

/** How a decision stands in the list: its summary; that it is still to be worked out; or that it was begun and never done. */
export type SummaryState =
  { readonly kind: 'known'; readonly summary: DecisionSummary } | { readonly kind: 'unknown' } | { readonly kind: 'unfinished' };

/**
 * Summaries by decision, as far as they belong to its present revision.
 *
 * @param madeBy - the build that asks: what another one worked out may differ
 */
export async function summaryStates(db: Kysely<Database>, madeBy: string): Promise<Map<string, SummaryState>> {
  const rows = await db
    .selectFrom('decisionSummaries')
    .innerJoin('decisions', (join) =>
      join.onRef('decisions.id', '=', 'decisionSummaries.decisionId').onRef('decisions.revision', '=', 'decisionSummaries.revision'),
    )
    .select(['decisionSummaries.decisionId', 'decisionSummaries.summary'])
    .where('madeBy', '=', madeBy)
    .execute();
  return new Map(rows.map(({ decisionId, summary }) => [decisionId, stateOf(summary)]));
}

function stateOf(summary: string | null): SummaryState {
  if (summary === null) return { kind: 'unfinished' };
  const read = decisionSummarySchema.safeParse(JSON.parse(summary));
  return read.success ? { kind: 'known', summary: read.data } : { kind: 'unknown' };
}

/** Keeps a decision’s summary; null notes that it is being worked out, so that one that never ends is tried once. */
export async function keepSummary(
  db: Kysely<Database>,
  decisionId: string,
  revision: number,
  madeBy: string,
  summary: DecisionSummary | null,
): Promise<void> {
  const row = { decisionId, revision, madeBy, summary: summary && JSON.stringify(summary) };
  await db
    .insertInto('decisionSummaries')
    .values(row)
    .onConflict((conflict) => conflict.column('decisionId').doUpdateSet(row))
    .execute();
}

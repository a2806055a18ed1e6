import type { Kysely } from 'kysely';
import { dataProblemKind } from '#data/data-problem';
import { type ListedDecision, listDecisions } from '#data/decision-list';
import { loadWorkbench } from '#data/decisions';
import type { Database } from '#data/schema';
import { keepSummary, type SummaryState, summaryStates } from '#data/summaries';
import { UnreadableDocument } from '#data/unreadable';
import { type DecisionSummary, summaryOf } from '#core/judgement/decision-summary';

/** A decision of the list with what it comes to. */
export interface ListedRow {
  readonly id: string;
  readonly name: string;
  /** `YYYY-MM-DD`. */
  readonly changedOn: string;
  readonly isArchived: boolean;
  readonly state: SummaryState | { readonly kind: 'unreadable' };
}

/** Summaries that are missing are worked out for so long; the rest when the list is looked at again. */
const LONGEST_MS = 150;

/** What worked out the summaries: the build, so that a new version works them out anew. */
const madeBy = () => process.env['VENALIS_BUILD'] ?? 'development';

/** All decisions with their bottom line, from what is stored; a few that are missing are worked out meanwhile. */
export async function listedRows(db: Kysely<Database>): Promise<ListedRow[]> {
  const known = await summaryStates(db, madeBy());
  const until = performance.now() + LONGEST_MS;
  const rows: ListedRow[] = [];
  for (const decision of await listDecisions(db)) {
    const stored = known.get(decision.id) ?? { kind: 'unknown' };
    const state = stored.kind === 'unknown' && performance.now() < until ? await workOut(db, decision) : stored;
    rows.push({
      id: decision.id,
      name: decision.name,
      changedOn: decision.changedAt.slice(0, 10),
      isArchived: decision.archivedAt !== null,
      state,
    });
  }
  return rows;
}

async function workOut(db: Kysely<Database>, { id }: ListedDecision): Promise<ListedRow['state']> {
  try {
    const saved = await loadWorkbench(db, id);
    if (!saved) return { kind: 'unknown' };
    const keep = (summary: DecisionSummary | null) => keepSummary(db, id, saved.revision, madeBy(), summary).catch(unlessReadOnly);
    await keep(null);
    const summary = summaryOf(saved.workbench);
    await keep(summary);
    return { kind: 'known', summary };
  } catch (error) {
    if (error instanceof UnreadableDocument) return { kind: 'unreadable' };
    throw error;
  }
}

/** Where nothing can be written, summaries are worked out each time. */
function unlessReadOnly(error: unknown): void {
  const kind = dataProblemKind(error);
  if (kind !== 'read-only' && kind !== 'full') throw error;
}

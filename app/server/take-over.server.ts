import type { Kysely } from 'kysely';
import { withCandidatesForNewPlans } from '#core/decision/candidates';
import { sheetLabel } from '#core/decision/sheet-label';
import type { Workbench } from '#core/decision/workbench';
import { withFoundChanges } from '#core/price-watch/apply-changes';
import type { FoundChange } from '#core/price-watch/found-change';
import { loadWorkbench, saveChange } from '#data/decisions';
import { noteDecided, noteRateTaken, type WatchedSheet } from '#data/price-watch';
import type { Database } from '#data/schema';
import { addSheetRevision, loadSheet, newestSheetRevision } from '#data/sheets';

/** Somebody may be typing meanwhile: what was refused is tried on what stands then. */
const TRIES = 3;

/**
 * Takes changes that were found over into a price sheet as a new revision, and has decisions use it; the history keeps
 * what was decided.
 *
 * @param at - ISO 8601 time
 * @returns how many of the decisions use it now
 */
export async function acceptChanges(
  db: Kysely<Database>,
  watched: WatchedSheet,
  changes: readonly FoundChange[],
  decisions: readonly string[],
  at: string,
): Promise<number> {
  const { sheetId, address } = watched;
  const before = await loadSheet(db, sheetId, await newestSheetRevision(db, sheetId));
  if (!before) return 0;
  const sheet = withFoundChanges(before, changes, { address, on: (watched.seenAt ?? at).slice(0, 10) });
  const revision = await db.transaction().execute((transaction) => addSheetRevision(transaction, sheetId, sheet, at));
  await noteDecided(db, sheetId, changes, 'accepted', at);
  let taken = 0;
  for (const id of decisions)
    if (
      await changeDecision(db, id, at, `watch.${sheetId}`, `prices of ${sheetLabel(sheet)} as seen`, (workbench) =>
        withNewestSheet(workbench, sheetId, revision, sheet),
      )
    )
      taken++;
  return taken;
}

function withNewestSheet(workbench: Workbench, sheetId: string, revision: number, sheet: Workbench['sheets'][number]['sheet']): Workbench {
  const former = workbench.sheets.find(({ id }) => id === sheetId);
  if (!former) return workbench;
  return {
    decision: withCandidatesForNewPlans(workbench.decision, former.sheet, sheet),
    sheets: workbench.sheets.map((used) => (used.id === sheetId ? { id: sheetId, revision, sheet } : used)),
  };
}

/** Takes a rate over into a decision. */
export async function acceptRate(db: Kysely<Database>, id: string, currency: string, rate: string, at: string): Promise<boolean> {
  const saved = await loadWorkbench(db, id);
  const former = saved?.workbench.decision.rates?.[currency];
  if (!saved || former === undefined) return false;
  const isTaken = await changeDecision(db, id, at, `watch.rate.${currency}`, `the rate of ${currency} of the day`, (workbench) => ({
    ...workbench,
    decision: { ...workbench.decision, rates: { ...workbench.decision.rates, [currency]: rate } },
  }));
  if (isTaken) await noteRateTaken(db, saved.workbench.decision.name, currency, former, rate, at);
  return isTaken;
}

/** Changes a decision as somebody at the workbench would, so that it can be undone there. */
async function changeDecision(
  db: Kysely<Database>,
  id: string,
  at: string,
  key: string,
  label: string,
  change: (workbench: Workbench) => Workbench,
): Promise<boolean> {
  for (let turn = 0; turn < TRIES; turn++) {
    const saved = await loadWorkbench(db, id);
    if (!saved) return false;
    const { decision, sheets } = change(saved.workbench);
    const outcome = await saveChange(
      db,
      id,
      {
        key,
        label: label.slice(0, 200),
        revision: saved.revision,
        decision,
        sheets: sheets.map(({ id: sheet, revision }) => ({ id: sheet, revision })),
      },
      at,
    );
    if (outcome?.ok) return true;
  }
  return false;
}

import type { Kysely } from 'kysely';
import type { PriceSheet } from '#core/decision/price-sheet';
import { sheetLabel } from '#core/decision/sheet-label';
import type { Workbench } from '#core/decision/workbench';
import { type DailyRates, rateFor } from '#core/exchange-rates/daily-rates';
import { withFoundChanges } from '#core/price-watch/apply-changes';
import { effectOnDecision, type EffectOnDecision } from '#core/price-watch/effect';
import type { FoundChange } from '#core/price-watch/found-change';
import { listDecisions } from '#data/decision-list';
import { loadWorkbench } from '#data/decisions';
import { decidedChanges, type DecidedChange, type WatchedSheet, watchedSheets } from '#data/price-watch';
import type { Database } from '#data/schema';
import { readSetting } from '#data/settings';
import { decisionsUsing, listSheets, loadSheet, newestSheetRevision } from '#data/sheets';
import { followedNow } from '#core/proposals/followed-now';

/** What a change would do to one decision. */
export interface DecisionEffect {
  readonly id: string;
  readonly name: string;
  readonly currency: string;
  readonly effect: EffectOnDecision | null;
}

/** What some of the changes found on a sheet's page would do to decisions. */
export interface EffectsOfChanges {
  /** Those that were asked about, by id. */
  readonly changes: readonly string[];
  /** Null if what is found is not what was asked about any more. */
  readonly effects: readonly DecisionEffect[] | null;
}

/** A price sheet on the price watch. */
export interface WatchedRow {
  readonly sheetId: string;
  readonly label: string;
  /** The day on which the figures on the sheet were seen. */
  readonly seen: string | null;
  readonly address: string | null;
  readonly triedAt: string | null;
  readonly seenAt: string | null;
  readonly problem: string | null;
  readonly found: readonly FoundChange[];
  /** What all that was found would do to the decisions that use the sheet. */
  readonly effects: readonly DecisionEffect[];
  /** How many decisions use it. */
  readonly decisions: number;
}

/** A decision's rate beside that of the day. */
export interface RateRow {
  readonly id: string;
  readonly name: string;
  readonly base: string;
  readonly currency: string;
  readonly rate: string;
  readonly ofDay: string | null;
  readonly effect: EffectOnDecision | null;
}

export interface WatchView {
  readonly sheets: readonly WatchedRow[];
  readonly rates: {
    readonly address: string | null;
    readonly triedAt: string | null;
    readonly seenAt: string | null;
    readonly problem: string | null;
    readonly day: string | null;
    readonly rows: readonly RateRow[];
  };
  readonly privateHosts: readonly string[];
  readonly history: readonly DecidedChange[];
}

const MOST_HISTORY = 100;

/** Everything that the price watch shows. */
export async function watchView(db: Kysely<Database>): Promise<WatchView> {
  const watched = new Map((await watchedSheets(db)).map((one) => [one.sheetId, one]));
  const workbenchOf = workbenchesOf(db);
  const sheets: WatchedRow[] = [];
  for (const { id, sheet } of await listSheets(db)) {
    const own = watched.get(id);
    const users = await decisionsUsing(db, id);
    const effects = own && own.found.length > 0 ? await effectsOf(own, own.found, sheet, users, workbenchOf) : [];
    sheets.push({
      sheetId: id,
      label: sheetLabel(sheet),
      seen: sheet.seen ?? null,
      address: own?.address ?? null,
      triedAt: own?.triedAt ?? null,
      seenAt: own?.seenAt ?? null,
      problem: own?.problem ?? null,
      found: own?.found ?? [],
      effects,
      decisions: users.length,
    });
  }
  const looked = await readSetting(db, 'ratesLooked');
  return {
    sheets,
    rates: {
      address: (await readSetting(db, 'ratesAddress')) ?? null,
      triedAt: looked?.triedAt ?? null,
      seenAt: looked?.seenAt ?? null,
      problem: looked?.problem ?? null,
      day: looked?.rates?.day ?? null,
      rows: await rateRows(db, looked?.rates ?? null, workbenchOf),
    },
    privateHosts: (await readSetting(db, 'privateHosts')) ?? [],
    history: await decidedChanges(db, MOST_HISTORY),
  };
}

/**
 * What some of the changes found on a sheet's page would do to the decisions that use the sheet.
 *
 * @param changes - ids of those that are to be taken over
 * @returns null if one of them is not to be decided any more: it was decided elsewhere, or the page says otherwise by now
 */
export async function effectsOfChanges(
  db: Kysely<Database>,
  sheetId: string,
  changes: readonly string[],
): Promise<DecisionEffect[] | null> {
  const own = (await watchedSheets(db)).find((one) => one.sheetId === sheetId);
  const sheet = own && (await loadSheet(db, sheetId, await newestSheetRevision(db, sheetId)));
  const chosen = own?.found.filter(({ id }) => changes.includes(id)) ?? [];
  if (!own || !sheet || chosen.length < changes.length) return null;
  return effectsOf(own, chosen, sheet, await decisionsUsing(db, sheetId), workbenchesOf(db));
}

type WorkbenchOf = (id: string) => Promise<Workbench | undefined>;

/** Decisions by id, each read once. */
function workbenchesOf(db: Kysely<Database>): WorkbenchOf {
  const workbenches = new Map<string, Workbench>();
  return async (id) => {
    const saved = workbenches.has(id) ? undefined : await loadWorkbench(db, id);
    if (saved) workbenches.set(id, followedNow(saved.workbench));
    return workbenches.get(id);
  };
}

async function effectsOf(
  own: WatchedSheet,
  changes: readonly FoundChange[],
  sheet: PriceSheet,
  users: readonly string[],
  workbenchOf: WorkbenchOf,
): Promise<DecisionEffect[]> {
  const after = withFoundChanges(sheet, changes, { address: own.address, on: (own.seenAt ?? '').slice(0, 10) });
  const effects: DecisionEffect[] = [];
  for (const user of users) {
    const workbench = await workbenchOf(user);
    if (workbench)
      effects.push(
        effectOn(user, workbench, {
          ...workbench,
          sheets: workbench.sheets.map((used) => (used.id === own.sheetId ? { ...used, sheet: after } : used)),
        }),
      );
  }
  return effects;
}

function effectOn(id: string, before: Workbench, after: Workbench): DecisionEffect {
  return { id, name: before.decision.name, currency: before.decision.currency, effect: effectOnDecision(before, after) };
}

async function rateRows(db: Kysely<Database>, rates: DailyRates | null, workbenchOf: WorkbenchOf): Promise<RateRow[]> {
  const rows: RateRow[] = [];
  for (const { id, archivedAt } of await listDecisions(db)) {
    const workbench = archivedAt === null ? await workbenchOf(id) : undefined;
    if (!workbench) continue;
    const { name, currency: base, rates: own = {} } = workbench.decision;
    for (const [currency, rate] of Object.entries(own)) {
      const ofDay = rates && rateFor(rates, base, currency);
      const isOther = ofDay !== null && Number(ofDay) !== Number(rate);
      rows.push({
        id,
        name,
        base,
        currency,
        rate,
        ofDay,
        effect: isOther
          ? effectOnDecision(workbench, { ...workbench, decision: { ...workbench.decision, rates: { ...own, [currency]: ofDay } } })
          : null,
      });
    }
  }
  return rows;
}

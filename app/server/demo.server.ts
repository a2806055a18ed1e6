import { readdirSync, readFileSync } from 'node:fs';
import { join } from 'node:path';
import type { Kysely, Transaction } from 'kysely';
import * as z from 'zod';
import { addChange, addDecision } from '#data/decisions';
import type { Database } from '#data/schema';
import { movedDates } from '#core/calendar/moved-dates';
import { choiceSchema } from '#core/decision/verdict-schema';
import type { UsedSheet, Workbench } from '#core/decision/workbench';
import { termSchema } from '#core/rules/terms/term';
import { dayField } from '#core/fields/day';
import { type Decision, decisionSchema } from '#core/decision/decision-schema';
import type { PriceSheet } from '#core/decision/price-sheet';
import { sheetNotesFields } from '#core/decision/sheet-notes';
import { takeApart } from '#core/decision/take-apart';
import { readDecisionFile } from '#core/decision-file/read';
import type { Measurement } from '#core/decision/measurement-schema';
import { readRecording } from '#core/page-speed/read-recording';
import { asItStands } from '../report/as-it-stands.server';
import { newId } from '../workbench/new-id';
import { addDemoOrders } from './demo-orders.server';

const NOTES_FILE = 'price-sheets-noted.json';
const DECISIONS_FILE = 'decisions-noted.json';
const VERDICTS_FILE = 'verdicts-given.json';
const RECORDINGS = 'page-speed';
const ORDERS = 'past-orders';

/** The day on which the demo was written: loaded on another, its dates are as far from that one. */
export const WRITTEN_ON = '2026-11-28';

/** A verdict that was given some time ago, at the prices of then. */
const givenSchema = z.strictObject({
  on: dayField,
  choice: choiceSchema,
  /** When what changed since was entered. */
  changedOn: dayField,
  /** Terms of plans as they were, by the plan. */
  termsThen: z.record(z.string(), z.array(termSchema)),
});

/**
 * Loads the decision files of the demo into an empty database; one that holds decisions is left alone.
 *
 * @param folder - decision files; beside them what is noted about each price sheet, by its id; what a decision file
 * does not hold (needs with their reasons, qualities, the trial diary), by the file's name; verdicts given earlier, by
 * the file's name; and recordings of vendors' pages, named after their offers
 * @param today - `YYYY-MM-DD`; all dates are moved as if the demo had been written on that day
 * @throws RefusedFileError if a file breaks the format's rules
 */
export async function loadDemo(db: Kysely<Database>, folder: string, today: string = WRITTEN_ON): Promise<void> {
  if (await holdsDecisions(db)) return;
  const read = (file: string): unknown => JSON.parse(movedDates(readFileSync(join(folder, file), 'utf8'), WRITTEN_ON, today));
  const noted = z.record(z.string(), z.strictObject(sheetNotesFields)).parse(read(NOTES_FILE));
  const beside = z.record(z.string(), decisionSchema.partial()).parse(read(DECISIONS_FILE));
  const given = z.record(z.string(), givenSchema).parse(read(VERDICTS_FILE));
  const recordings = readRecordings(join(folder, RECORDINGS), today);
  const others = new Set([NOTES_FILE, DECISIONS_FILE, VERDICTS_FILE]);
  const files = readdirSync(folder).filter((name) => name.endsWith('.json') && !others.has(name));
  const loaded = files.sort().map((file) => {
    const name = file.replace(/\.json$/, '');
    const workbench = takeApart(readDecisionFile(read(file)), newId);
    const sheets = workbench.sheets.map((used) => ({ ...used, sheet: withNotes(used.sheet, noted) }));
    const decision = decisionSchema.parse({ ...workbench.decision, ...beside[name] });
    return { name, workbench: { decision: withRecordings(decision, recordings), sheets } };
  });
  // All or nothing: one that is half there would be left so for ever.
  const isLoaded = await db.transaction().execute(async (transaction) => {
    // Another server may have been quicker.
    if (await holdsDecisions(transaction)) return false;
    for (const { name, workbench } of loaded) {
      const earlier = given[name];
      if (earlier) await addDecided(transaction, name, workbench, earlier);
      else await addDecision(transaction, name, workbench, timeOf(today));
    }
    return true;
  });
  if (isLoaded) await addDemoOrders(db, join(folder, ORDERS), (text) => movedDates(text, WRITTEN_ON, today), timeOf(today));
}

/** At noon, so that it is that day everywhere. */
const timeOf = (day: string) => `${day}T12:00:00.000Z`;

/** Adds a decision with its history: begun and decided at the prices of then, changed since. */
async function addDecided(
  transaction: Transaction<Database>,
  name: string,
  now: Workbench,
  { on, choice, changedOn, termsThen }: z.output<typeof givenSchema>,
): Promise<void> {
  const { actuals: _later, ...then } = now.decision;
  const begun: Workbench = { decision: { ...then, choice }, sheets: now.sheets.map((used) => withTerms(used, termsThen)) };
  await addDecision(transaction, name, begun, timeOf(on));
  const verdict = asItStands(begun, on);
  if (!verdict) throw new RangeError(`Nothing can be chosen in ${name}`);
  const verdicts = [{ ...verdict, id: 'decided' }];
  const sheets = begun.sheets.map(({ id }) => ({ id, revision: 1 }));
  await addChange(
    transaction,
    name,
    { key: 'verdicts', label: 'a verdict', revision: 1, decision: { ...begun.decision, verdicts }, sheets },
    timeOf(on),
  );
  const changed = now.sheets.flatMap(({ id, sheet }, index) => {
    const isOther = JSON.stringify(sheet) !== JSON.stringify(begun.sheets[index]?.sheet);
    return [{ id, revision: 1, changed: isOther ? sheet : undefined }];
  });
  const decision = { ...now.decision, choice, verdicts };
  await addChange(
    transaction,
    name,
    { key: 'since', label: 'what changed since', revision: 2, decision, sheets: changed },
    timeOf(changedOn),
  );
}

function withTerms(used: UsedSheet, terms: z.output<typeof givenSchema>['termsThen']): UsedSheet {
  const { sheet } = used;
  if (sheet.kind !== 'offer') return used;
  const plans = sheet.offer.plans.map((plan) => ({ ...plan, terms: terms[plan.id] ?? plan.terms }));
  return { ...used, sheet: { ...sheet, offer: { ...sheet.offer, plans } } };
}

/** Whether there are decisions, deleted ones too: the demo does not come back by itself. */
async function holdsDecisions(db: Kysely<Database>): Promise<boolean> {
  return (await db.selectFrom('decisions').select('id').limit(1).executeTakeFirst()) !== undefined;
}

/** Recordings of pages by the offer that they are of: `tidewrack.har`. */
function readRecordings(folder: string, today: string): ReadonlyMap<string, Measurement> {
  const files = readdirSync(folder).filter((name) => name.endsWith('.har'));
  return new Map(
    files.map((file) => {
      const text = movedDates(readFileSync(join(folder, file), 'utf8'), WRITTEN_ON, today);
      return [file.replace(/\.har$/, ''), readRecording(text, file, newId())];
    }),
  );
}

function withRecordings(decision: Decision, recordings: ReadonlyMap<string, Measurement>): Decision {
  const vendors = { ...decision.vendors };
  for (const [offer, measurement] of recordings) vendors[offer] = { ...vendors[offer], measurements: [measurement] };
  return { ...decision, vendors };
}

function idOf(sheet: PriceSheet): string {
  if (sheet.kind === 'offer') return sheet.offer.id;
  return (sheet.kind === 'processor' ? sheet.processor : sheet.addon).id;
}

function withNotes(sheet: PriceSheet, noted: Readonly<Record<string, object>>): PriceSheet {
  return { ...sheet, ...noted[idOf(sheet)] };
}

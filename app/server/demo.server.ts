import { readdirSync, readFileSync } from 'node:fs';
import { join } from 'node:path';
import type { Kysely } from 'kysely';
import * as z from 'zod';
import { addDecision } from '#data/decisions';
import type { Database } from '#data/schema';
import { type Decision, decisionSchema } from '#core/decision/decision-schema';
import type { PriceSheet } from '#core/decision/price-sheet';
import { sheetNotesFields } from '#core/decision/sheet-notes';
import { takeApart } from '#core/decision/take-apart';
import { readDecisionFile } from '#core/decision-file/read';
import type { Measurement } from '#core/decision/measurement-schema';
import { readRecording } from '#core/page-speed/read-recording';
import { newId } from '../workbench/new-id';

const NOTES_FILE = 'price-sheets-noted.json';
const DECISIONS_FILE = 'decisions-noted.json';
const RECORDINGS = 'page-speed';

/**
 * Loads the decision files of the demo into an empty database; one that holds decisions is left alone.
 *
 * @param folder - decision files; beside them what is noted about each price sheet, by its id; what a decision file
 * does not hold (needs with their reasons, qualities, the trial diary), by the file's name; and recordings of vendors'
 * pages, named after their offers
 * @throws RefusedFileError if a file breaks the format's rules
 */
export async function loadDemo(db: Kysely<Database>, folder: string): Promise<void> {
  if (await holdsDecisions(db)) return;
  const noted = z.record(z.string(), z.strictObject(sheetNotesFields)).parse(readJson(join(folder, NOTES_FILE)));
  const beside = z.record(z.string(), decisionSchema.partial()).parse(readJson(join(folder, DECISIONS_FILE)));
  const recordings = readRecordings(join(folder, RECORDINGS));
  const files = readdirSync(folder).filter((name) => name.endsWith('.json') && name !== NOTES_FILE && name !== DECISIONS_FILE);
  const loaded = files.sort().map((file) => {
    const name = file.replace(/\.json$/, '');
    const workbench = takeApart(readDecisionFile(readJson(join(folder, file))), newId);
    const sheets = workbench.sheets.map((used) => ({ ...used, sheet: withNotes(used.sheet, noted) }));
    const decision = decisionSchema.parse({ ...workbench.decision, ...beside[name] });
    return { name, workbench: { decision: withRecordings(decision, recordings), sheets } };
  });
  // All or nothing: one that is half there would be left so for ever.
  await db.transaction().execute(async (transaction) => {
    // Another server may have been quicker.
    if (await holdsDecisions(transaction)) return;
    for (const { name, workbench } of loaded) await addDecision(transaction, name, workbench, new Date().toISOString());
  });
}

/** Whether there are decisions, deleted ones too: the demo does not come back by itself. */
async function holdsDecisions(db: Kysely<Database>): Promise<boolean> {
  return (await db.selectFrom('decisions').select('id').limit(1).executeTakeFirst()) !== undefined;
}

/** Recordings of pages by the offer that they are of: `tidewrack.har`. */
function readRecordings(folder: string): ReadonlyMap<string, Measurement> {
  const files = readdirSync(folder).filter((name) => name.endsWith('.har'));
  return new Map(files.map((file) => [file.replace(/\.har$/, ''), readRecording(readFileSync(join(folder, file), 'utf8'), file, newId())]));
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

function readJson(path: string): unknown {
  return JSON.parse(readFileSync(path, 'utf8'));
}

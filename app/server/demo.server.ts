import { readdirSync, readFileSync } from 'node:fs';
import { join } from 'node:path';
import type { Kysely } from 'kysely';
import * as z from 'zod';
import { createDecision, listDecisions } from '#data/decisions';
import type { Database } from '#data/schema';
import type { PriceSheet } from '#core/decision/price-sheet';
import { takeApart } from '#core/decision/take-apart';
import { readDecisionFile } from '#core/decision-file/read';
import { newId } from '../workbench/new-id';

const SEEN_FILE = 'price-sheets-seen.json';

/**
 * Loads the decision files of the demo into an empty database; one that holds decisions is left alone.
 *
 * @param folder - decision files, and beside them on which day each price sheet was seen, by its id
 * @throws RefusedFileError if a file breaks the format's rules
 */
export async function loadDemo(db: Kysely<Database>, folder: string): Promise<void> {
  if ((await listDecisions(db)).length > 0) return;
  const seen = z.record(z.string(), z.iso.date()).parse(readJson(join(folder, SEEN_FILE)));
  const files = readdirSync(folder).filter((name) => name.endsWith('.json') && name !== SEEN_FILE);
  for (const name of files.sort()) {
    const bench = takeApart(readDecisionFile(readJson(join(folder, name))), newId);
    const sheets = bench.sheets.map((used) => ({ ...used, sheet: withSeen(used.sheet, seen) }));
    await createDecision(db, name.replace(/\.json$/, ''), { ...bench, sheets }, new Date().toISOString());
  }
}

function withSeen(sheet: PriceSheet, seen: Record<string, string>): PriceSheet {
  const id = sheet.kind === 'offer' ? sheet.offer.id : sheet.kind === 'processor' ? sheet.processor.id : sheet.addon.id;
  const day = seen[id];
  return day === undefined ? sheet : { ...sheet, seen: day };
}

function readJson(path: string): unknown {
  return JSON.parse(readFileSync(path, 'utf8'));
}

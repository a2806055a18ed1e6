import { existsSync, readdirSync, readFileSync } from 'node:fs';
import { join } from 'node:path';
import type { Kysely } from 'kysely';
import { ExportReader } from '#core/past-orders/read-export';
import { addOrderPart, beginOrderFile, finishOrderFile } from '#data/past-orders';
import type { Database } from '#data/schema';

/**
 * Adds the past orders of the demo, read as a shop's export is.
 *
 * @param folder - CSV files, named after the decision that they belong to
 * @param moved - moves the dates in a text to the day of the demo
 * @param at - ISO 8601 time
 */
export async function addDemoOrders(db: Kysely<Database>, folder: string, moved: (text: string) => string, at: string): Promise<void> {
  if (!existsSync(folder)) return;
  for (const name of readdirSync(folder).filter((file) => file.endsWith('.csv'))) {
    const reader = new ExportReader();
    reader.push(new TextEncoder().encode(moved(readFileSync(join(folder, name), 'utf8'))), true);
    const { found } = reader.finish();
    const [decisionId, id] = [name.replace(/\.csv$/, ''), `orders-of-${name.replace(/\.csv$/, '')}`];
    if (!found || !(await beginOrderFile(db, decisionId, id, { ...found.file, name }, at))) continue;
    for (const [place, part] of found.parts.entries()) await addOrderPart(db, decisionId, id, place, part);
    await finishOrderFile(db, decisionId, id);
  }
}

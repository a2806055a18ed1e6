import { type PriceSheet, priceSheetSchema } from '../decision/price-sheet';
import { type Problem, problemsOf } from '../fields/problems';
import { structureProblems } from '../fields/structure';
import { type LinkedOffers, readLinkedData } from '../price-page/linked-data';
import type { PageReading } from '../price-page/page-reading';
import { isHtml, readPricePage } from '../price-page/read-price-page';
import { SHEET_FORMAT } from './sheet-file';
import { delimitedTable, type ReadTable } from './table';
import { readWebPage } from './web-page';

/** What a pasted text or a file was found to be. */
export type SheetSource =
  | { readonly kind: 'sheet'; readonly sheet: PriceSheet }
  /** A pricing page; `table` where its cells can also be given their meaning by hand. */
  | { readonly kind: 'page'; readonly reading: PageReading; readonly table: ReadTable | null }
  | { readonly kind: 'offers'; readonly offers: LinkedOffers; readonly title: string }
  | ({ readonly kind: 'table'; readonly title: string } & ReadTable)
  | { readonly kind: 'refused'; readonly problems: readonly Problem[] };

const refused = (found: string, wanted: string): SheetSource => ({ kind: 'refused', problems: [{ path: '', found, wanted }] });

/** Characters that are read; a longer text is refused, never cut in silence. */
const LONGEST = 10_000_000;

/**
 * Finds out what a text is and reads it: the JSON of one sheet, a pricing page as text or HTML, or separated values.
 *
 * @param text - nothing in it is executed
 */
export function readSheetSource(text: string): SheetSource {
  const whole = text.replace(/^\uFEFF/, '');
  const start = whole.trimStart();
  if (start === '') return refused('nothing', 'paste a pricing page, a table or the JSON of a price sheet');
  if (whole.length > LONGEST) return refused('more than 10 million characters', 'copy the part with the prices out of it');
  if (start.startsWith('{') || start.startsWith('[')) return readJson(start);
  const hasSeparators = !isHtml(start) && isSeparated(whole);
  const table = tableIn(whole, start, hasSeparators);
  // No pricing page has so many rows.
  if (table && hasSeparators && table.rowsLeftOut > 0) return { kind: 'table', title: '', ...table };
  // Values with commas or semicolons between them are read like a table with tabs.
  const separated = table && hasSeparators ? table.table.map((row) => row.join('\t')).join('\n') : null;
  const reading = readPricePage(separated ?? whole);
  if (reading.plans.some(({ facts }) => facts.length > 0) || reading.addons.length > 0) return { kind: 'page', reading, table };
  if (table) return { kind: 'table', title: '', ...table };
  return refused(
    'no price that could be put to a plan',
    'what was looked for: amounts of money with a month, a year or “once”, percentages with a fee’s name, and plans’ names above them. Copy all of the page, or type a line as the page says it',
  );
}

/** Whether every line of a text has as many commas or semicolons as the first, as files of tables have. */
function isSeparated(text: string): boolean {
  const lines = text.split(/\r?\n/).filter((line) => line.trim() !== '');
  const count = (line: string, separator: string) => (line.includes('"') ? line.replace(/"[^"]*"/g, '') : line).split(separator).length;
  return [';', ','].some((separator) => {
    const wanted = count(lines[0] ?? '', separator);
    return lines.length > 1 && wanted > 1 && lines.every((line) => count(line, separator) === wanted);
  });
}

/** The largest table of a page, or the text itself where it has columns. */
function tableIn(whole: string, start: string, hasSeparators: boolean): ReadTable | null {
  if (isHtml(start)) return readWebPage(start).tables[0] ?? null;
  const read = delimitedTable(whole);
  // A page of sentences with commas in them is no table.
  return (read.table[0]?.length ?? 0) < 2 || !(hasSeparators || whole.includes('\t')) ? null : read;
}

function readJson(text: string): SheetSource {
  let document: unknown;
  try {
    document = JSON.parse(text);
  } catch (error) {
    return refused(`a text that is not JSON (${error instanceof Error ? error.message.slice(0, 120) : 'it ends early'})`, 'use JSON');
  }
  const unfit = structureProblems(document);
  if (unfit.length > 0) return { kind: 'refused', problems: unfit };
  const isSheet = typeof document === 'object' && document !== null && 'format' in document && document.format === SHEET_FORMAT;
  if (!isSheet) {
    const offers = readLinkedData([text]);
    return offers
      ? { kind: 'offers', offers, title: '' }
      : refused('JSON that is neither a price sheet nor schema.org offers', `use "format": "${SHEET_FORMAT}"`);
  }
  const stated = document as { version?: unknown; sheet?: unknown };
  if (stated.version !== 1) return refused(`version ${String(stated.version)}`, 'use version 1');
  const read = priceSheetSchema.safeParse(stated.sheet);
  return read.success
    ? { kind: 'sheet', sheet: read.data }
    : {
        kind: 'refused',
        problems: problemsOf(stated.sheet, read.error.issues).map((problem) => ({ ...problem, path: `sheet.${problem.path}` })),
      };
}

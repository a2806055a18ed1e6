import { type PriceSheet, priceSheetSchema } from '../decision/price-sheet';
import { type Problem, problemsOf } from '../fields/problems';
import { structureProblems } from '../fields/structure';
import { type LinkedOffers, readLinkedData } from '../price-page/linked-data';
import { SHEET_FORMAT } from './sheet-file';
import { delimitedTable, type ReadTable } from './table';
import { readWebPage } from './web-page';

/** What a pasted text or a file was found to be. */
export type SheetSource =
  | { readonly kind: 'sheet'; readonly sheet: PriceSheet }
  | { readonly kind: 'offers'; readonly offers: LinkedOffers; readonly title: string }
  | ({ readonly kind: 'table'; readonly title: string } & ReadTable)
  | { readonly kind: 'refused'; readonly problems: readonly Problem[] };

const refused = (found: string, wanted: string): SheetSource => ({ kind: 'refused', problems: [{ path: '', found, wanted }] });

/**
 * Finds out what a text is and reads it: the JSON of one sheet, a web page with schema.org data or a table, or
 * separated values.
 *
 * @param text - at most a few megabytes; nothing in it is executed
 */
export function readSheetSource(text: string): SheetSource {
  const whole = text.replace(/^\uFEFF/, '');
  const start = whole.trimStart();
  if (start === '') return refused('nothing', 'a table, a web page or the JSON of a price sheet is wanted');
  if (start.startsWith('{') || start.startsWith('[')) return readJson(start);
  if (/^<|<table[\s>]|<html[\s>]|application\/ld\+json/i.test(start.slice(0, 200_000)) || /<table[\s>]/i.test(start))
    return readHtml(start);
  const read = delimitedTable(whole);
  if ((read.table[0]?.length ?? 0) < 2)
    return refused(
      `a text of ${read.table.length} ${read.table.length === 1 ? 'line' : 'lines'} without columns`,
      'a table with plans beside or below each other is wanted; single lines can be typed as the page says them',
    );
  return { kind: 'table', title: '', ...read };
}

function readHtml(html: string): SheetSource {
  const page = readWebPage(html);
  const offers = readLinkedData(page.linkedData);
  if (offers) return { kind: 'offers', offers, title: page.title };
  const [largest] = page.tables;
  if (largest) return { kind: 'table', title: page.title, ...largest };
  return refused(
    'a web page without a table and without schema.org offers',
    'a page that states prices in a table or as schema.org data is wanted; its lines can be typed as the page says them',
  );
}

function readJson(text: string): SheetSource {
  let document: unknown;
  try {
    document = JSON.parse(text);
  } catch (error) {
    return refused(`a text that is not JSON (${error instanceof Error ? error.message.slice(0, 120) : 'it ends early'})`, 'JSON is wanted');
  }
  const unfit = structureProblems(document);
  if (unfit.length > 0) return { kind: 'refused', problems: unfit };
  const isSheet = typeof document === 'object' && document !== null && 'format' in document && document.format === SHEET_FORMAT;
  if (!isSheet) {
    const offers = readLinkedData([text]);
    return offers
      ? { kind: 'offers', offers, title: '' }
      : refused('JSON that is neither a price sheet nor schema.org offers', `"format": "${SHEET_FORMAT}" is wanted`);
  }
  const stated = document as { version?: unknown; sheet?: unknown };
  if (stated.version !== 1) return refused(`version ${String(stated.version)}`, 'version 1 is wanted');
  const read = priceSheetSchema.safeParse(stated.sheet);
  return read.success
    ? { kind: 'sheet', sheet: read.data }
    : {
        kind: 'refused',
        problems: problemsOf(stated.sheet, read.error.issues).map((problem) => ({ ...problem, path: `sheet.${problem.path}` })),
      };
}

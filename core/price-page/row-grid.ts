import { isUsualQuantity } from '../price-phrase/vocabulary';
import { bareNoun } from './counted-things';
import { canBeName, isCell, isSentence } from './line-kinds';
import type { PlanTable } from './page-tables';
import type { PlainLine } from './plain-line';
import { nameWords } from './plan-names';
import { wordPrice } from './price-pieces';

const LEAST_COLUMNS = 3;
const MOST_COLUMNS = 10;
const LEAST_PLANS = 2;
const MOST_WORDS = 4;
const NAME_HEADING = /^(?:name|plan|package|server|type|size|model|tier|instance|product)s?$/i;
const PRICE = /\b(?:price|monthly|yearly|annually|month|year|mo)\b/i;
const ATTRIBUTE =
  /^(?:v?-?cpus?|v?-?cores?|ram|memory|disk|ssd|nvme|storage|space|traffic|transfer|bandwidth|hourly|monthly|yearly|price|per (?:hour|month|year)|price per \w+|users|sites|e-?mails?|visits|products)\b/i;

/** A table with a plan in each row that was copied a cell a line, and the lines it takes up. */
export interface RowGrid {
  readonly table: PlanTable;
  readonly lines: readonly PlainLine[];
  /** Second prices, by the hour, that stand below those by the month. */
  readonly hourly: readonly PlainLine[];
}

/**
 * Finds a table with a plan in each row that was copied a cell a line: a run of headings, one of them of a price, then
 * again and again a name with as many cells.
 */
export function findRowGrid(lines: readonly PlainLine[]): RowGrid | null {
  for (let start = 0; start < lines.length; start += 1) {
    for (const heads of [headingsFrom(lines, start), ...underNames(lines, start)]) {
      if (heads.length < LEAST_COLUMNS || !heads.some(({ plain }) => PRICE.test(plain))) continue;
      const rows = rowsBehind(lines, start + heads.length, heads);
      if (rows.length >= LEAST_PLANS) return gridOf(heads, rows);
    }
  }
  return null;
}

/** Behind "Plan" any words may head a column: as many as leave rows of a name with its cells. */
function underNames(lines: readonly PlainLine[], start: number): ReadonlyArray<readonly PlainLine[]> {
  if (!NAME_HEADING.test(lines[start]?.plain ?? '')) return [];
  const run = lines.slice(start, start + MOST_COLUMNS);
  const end = run.findIndex(({ plain }) => /[\d¤✓✗]/.test(plain) || plain.split(' ').length > MOST_WORDS);
  const most = end < 0 ? run.length : end;
  return Array.from({ length: Math.max(0, most - LEAST_COLUMNS + 1) }, (_, fewer) => run.slice(0, most - fewer));
}

function isHeading({ plain }: PlainLine): boolean {
  return NAME_HEADING.test(plain) || ATTRIBUTE.test(plain) || isUsualQuantity(bareNoun(plain));
}

function headingsFrom(lines: readonly PlainLine[], start: number): readonly PlainLine[] {
  const run = lines.slice(start, start + MOST_COLUMNS);
  const end = run.findIndex((line) => /[\d¤]/.test(line.plain) || !isHeading(line));
  return end < 0 ? run : run.slice(0, end);
}

/** Rows of a name and its cells; the corner may be empty, and its heading then not there. */
function rowsBehind(lines: readonly PlainLine[], from: number, heads: readonly PlainLine[]): ReadonlyArray<readonly PlainLine[]> {
  const count = NAME_HEADING.test(heads[0]?.plain ?? '') ? heads.length : heads.length + 1;
  const asLong = rowsOf(lines, from, count);
  // A price by the hour may stand below the one by the month, in the same cell.
  const longer = asLong.length >= LEAST_PLANS || !/^price/i.test(heads.at(-1)?.plain ?? '') ? [] : rowsOf(lines, from, count + 1);
  return longer.length > asLong.length ? longer : asLong;
}

function rowsOf(lines: readonly PlainLine[], from: number, count: number): ReadonlyArray<readonly PlainLine[]> {
  const rows: Array<readonly PlainLine[]> = [];
  for (let at = from; at + count <= lines.length; at += count) {
    const [name, ...cells] = lines.slice(at, at + count);
    if (!name || !canBeName(name.text, name.plain, true)) break;
    const isRow =
      cells.every(({ plain }) => isCell(plain) && !isSentence(plain)) &&
      cells.some(({ plain }) => /¤\d/.test(plain) || wordPrice(plain) !== null);
    const figures = cells.filter(({ plain }) => /[\d¤✓✗–—-]|unlimited|^free$/iu.test(plain)).length;
    if (!isRow || figures < cells.length / 2) break;
    rows.push([name, ...cells]);
  }
  return rows;
}

/** A table of headings over rows of a name with its cells. */
export function gridOf(heads: readonly PlainLine[], rows: ReadonlyArray<readonly PlainLine[]>): RowGrid {
  const columns = NAME_HEADING.test(heads[0]?.plain ?? '') ? heads.slice(1) : heads;
  return {
    lines: [...heads, ...rows.flatMap((row) => row.slice(0, columns.length + 1))],
    hourly: rows.flatMap((row) => row.slice(columns.length + 1)),
    table: {
      names: rows.map(([name]) => nameWords(name?.text ?? '')),
      nameLines: rows.map(([name]) => name?.line ?? 0),
      heads: rows.map(() => []),
      rows: columns.map(({ plain, line }, column) => ({
        heading: plain,
        line,
        cells: rows.map((row) => ({ plain: row[column + 1]?.plain ?? '', line: row[column + 1]?.line ?? line })),
      })),
      line: rows[0]?.[0]?.line ?? 0,
    },
  };
}

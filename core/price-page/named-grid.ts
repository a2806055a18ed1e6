import { isUsualQuantity } from '../price-phrase/vocabulary';
import { bareNoun } from './counted-things';
import { gridFrom, type LineGrid } from './line-grid';
import { canBeName, isButton, isMark, isPriced } from './line-kinds';
import type { PlainLine } from './plain-line';
import { nameWords } from './plan-names';

const LEAST_PLANS = 2;
const MOST_PLANS = 6;
/** Fewer rows than this behind a few names are cards of a plan each. */
const LEAST_ROWS = 3;
/** What a row of prices is called. */
export const PRICE_HEADING =
  /\b(?:price|prices|pricing|cost|costs|monthly|yearly|annually|month|year|billed|renews?|renewal|introductory)\b|^\d+ (?:months|years)\b/i;

/** What stands in the corner of a table above its headings. */
const CORNER = /^(?:plans?|packages?|features?|compare|products?|what you get|tiers?)$/i;

/**
 * A table of plans that was copied a cell a line and whose names stand nowhere else: a run of names, then again and again
 * a heading with as many cells, one of them a row of prices.
 */
export function findNamedGrid(lines: readonly PlainLine[]): LineGrid | null {
  return findEvenGrid(lines) ?? firstGrid(lines);
}

/** How many rows stand above that of the prices at most. */
const MOST_ABOVE = 20;

/** The largest table a cell a line whose rows are those of a table beyond doubt ({@link isEven}): from a row of prices up to its names. */
export function findEvenGrid(lines: readonly PlainLine[]): LineGrid | null {
  let best: LineGrid | null = null;
  for (const [at, { plain }] of lines.entries()) {
    if (!PRICE_HEADING.test(plain) || (best && at < best.to)) continue;
    const count = pricesBehind(lines, at);
    if (count < LEAST_PLANS) continue;
    for (let above = 0; above <= MOST_ABOVE; above += 1)
      for (const start of above === 0 ? [at - count, at - count - 1] : [at - count - above * (count + 1)]) {
        const grid = start < 0 ? null : gridOf(lines, start, count);
        if (grid && isEven(grid) && grid.to - grid.from > (best ? best.to - best.from : 0)) best = grid;
      }
  }
  return best && rightAboveRows(lines, best);
}

/** How many prices follow a heading, each in a line. */
function pricesBehind(lines: readonly PlainLine[], at: number): number {
  const behind = lines.slice(at + 1, at + 2 + MOST_PLANS);
  const end = behind.findIndex(({ plain }) => !isPriceCell(plain) && !/^[–—-]$/.test(plain));
  const count = end < 0 ? behind.length : end;
  return count > MOST_PLANS || !behind.slice(0, count).some(({ plain }) => isPriceCell(plain)) ? 0 : count;
}

function isPriceCell(plain: string): boolean {
  return /¤\d/.test(plain) || isPriced(plain);
}

/** A site's menu above the names looks like rows of words: the names stand right above the first row that is told. */
function rightAboveRows(lines: readonly PlainLine[], grid: LineGrid): LineGrid {
  const first = grid.table.rows.find(({ cells }) => cells.every(({ plain }) => kindOf(plain) !== 'words'));
  const at = lines.findIndex(({ line, plain }) => line === first?.line && plain === first.heading);
  const count = grid.table.names.length;
  // "For | small teams | growing brands" may stand between.
  for (const start of at < 0 ? [] : [at - count, at - 2 * count - 1]) {
    const next = gridOf(lines, start, count);
    const areNames = next?.table.names.every((name) => /^[\p{Lu}\d]/u.test(name)) ?? false;
    if (next && areNames && next.to === grid.to && isEven(next)) return next;
  }
  return grid;
}

/** The first table a cell a line on a page, with the most rows that it can have there. */
function firstGrid(lines: readonly PlainLine[]): LineGrid | null {
  // Counts under a word that is counted are no menu, whatever stands above them.
  const starts = lines.map((_, start) => start);
  for (const start of [...starts.filter((at) => isCounted(lines[at - 1]) && A_COUNT.test(lines[at]?.plain ?? '')), ...starts]) {
    const grids = Array.from({ length: MOST_PLANS - LEAST_PLANS + 1 }, (_, more) => gridOf(lines, start, LEAST_PLANS + more));
    const found = grids.filter((grid) => grid !== null);
    const [best] = found.sort((a, b) => b.to - a.to);
    if (best) return nearestToRows(lines, best);
  }
  return null;
}

/** What stands above the names can look like one more of them, and the last of them like the heading of a group of rows. */
function nearestToRows(lines: readonly PlainLine[], grid: LineGrid): LineGrid {
  const next = gridOf(lines, grid.from + 1, grid.table.names.length);
  const isHeading = PRICE_HEADING.test(next?.table.names.at(-1) ?? '');
  return next && next.to === grid.to && !isHeading ? nearestToRows(lines, next) : grid;
}

const A_COUNT = /^(?:(?:up to |from |over |above |more than )?\d+\+?|\d+ ?[–-] ?\d+)$/i;

/** "Members" in the corner says what "Up to 50" counts. */
function isCounted(corner: PlainLine | undefined): boolean {
  return corner !== undefined && isUsualQuantity(bareNoun(corner.plain)) && !/\d/.test(corner.plain);
}

/** The most of "Up to 50", "51–250" and "5,000"; what begins above a count has none. */
function mostOf(count: string): string {
  return /^(?:over|above|more than)\b/i.test(count) ? '' : count.replace(/^(?:up to|from) /i, '').replace(/^\d+ ?[–-] ?(?=\d)/, '');
}

/** What tells the plans apart is a limit of each, too. */
function withCounts(grid: LineGrid, { plain: heading, line }: PlainLine, heads: readonly PlainLine[]): LineGrid {
  const counts = { heading, line, cells: heads.map((head) => ({ plain: mostOf(head.plain), line: head.line })) };
  return { ...grid, counts };
}

function gridOf(lines: readonly PlainLine[], start: number, count: number): LineGrid | null {
  const heads = lines.slice(start, start + count);
  const names = heads.map(({ text }) => nameWords(text));
  if (heads.length < count || new Set(names).size < count || CORNER.test(names[0] ?? '')) return null;
  const areCounts = isCounted(lines[start - 1]) && heads.every(({ plain }) => A_COUNT.test(plain));
  if (
    !areCounts &&
    !heads.every(({ text, plain }, index) => canBeName(text, plain, index === 0) || /^(?:free|unlimited|individual)$/i.test(plain))
  )
    return null;
  const grid = gridFrom(lines, start, names);
  if (!grid || grid.table.rows.length < LEAST_ROWS || grid.table.rows.some(({ heading }) => /^¤/.test(heading))) return null;
  const hasPrices = grid.table.rows.some(
    ({ heading, cells }) => PRICE_HEADING.test(heading) && cells.every(({ plain }) => isPriceCell(plain)),
  );
  if (!hasPrices) return null;
  const corner = areCounts ? lines[start - 1] : undefined;
  return corner ? withCounts(grid, corner, heads) : grid;
}

const LEAST_ROWS_OF_A_TABLE = 4;

/** What a cell can be: two cells of a row that are neither alike nor a mark are of no table. */
function kindOf(plain: string): 'price' | 'mark' | 'figure' | 'words' {
  if (isMark(plain) || /^(?:none|n\/a|custom|on request|unlimited\b.*)$/i.test(plain)) return 'mark';
  if (/¤\d/.test(plain) || isPriced(plain)) return 'price';
  return /^[^\p{L}]*\d|^up to \d/iu.test(plain) ? 'figure' : 'words';
}

/**
 * Whether rows are those of a table beyond doubt, even where prices in them look like cards: each heading stands once, is
 * no figure, and what stands in a row is of one kind.
 */
function isEven({ table: { rows, names } }: LineGrid): boolean {
  const headings = new Set(rows.map(({ heading }) => heading.toLowerCase()));
  const isHeading = (text: string) =>
    /^(?:\p{L}|\d+[- ](?:year|month))/u.test(text) && !/¤\d/.test(text) && !isMark(text) && !isButton(text) && !names.includes(text);
  const areHeadings = rows.every(({ heading }) => isHeading(heading));
  const kinds = rows.map(({ cells }) => [...new Set(cells.map(({ plain }) => kindOf(plain)))].filter((kind) => kind !== 'mark'));
  const even = kinds.filter((all) => all.length <= 1);
  const told = even.filter(([kind]) => kind !== 'words');
  return (
    rows.length >= LEAST_ROWS_OF_A_TABLE &&
    headings.size === rows.length &&
    areHeadings &&
    even.length >= rows.length * 0.8 &&
    told.length >= rows.length / 2
  );
}

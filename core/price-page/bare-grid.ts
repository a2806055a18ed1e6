import type { LineGrid } from './line-grid';
import { canBeName, isButton, isMark } from './line-kinds';
import type { PlainLine } from './plain-line';
import { nameWords } from './plan-names';
import { isPriceLine, wordPrice } from './price-pieces';
import type { TableRow } from './page-tables';

const LEAST_PLANS = 2;
const MOST_PLANS = 6;
/** Rows that say by themselves what they are; fewer are items of a card. */
const LEAST_TOLD = 2;

/**
 * A table that was copied a cell a line and has no headings: names, then as many prices, then again and again as many cells that
 * say by themselves what they count ("Up to 100 members", "Up to 2000 members"). Null where there is none.
 */
export function findBareGrid(lines: readonly PlainLine[]): LineGrid | null {
  const arePriced = lines.map(isPrice);
  for (let count = MOST_PLANS; count >= LEAST_PLANS; count -= 1)
    for (let start = 0; start + 2 * count <= lines.length; start += 1) {
      const first = start + count;
      if (!arePriced[first] || !arePriced.slice(first, first + count).every(Boolean)) continue;
      const [names, prices] = [lines.slice(start, first), lines.slice(first, first + count)];
      if (!areNames(names)) continue;
      const rows = rowsFrom(lines, start + 2 * count, count);
      if (rows.filter(isTold).length < LEAST_TOLD) continue;
      const to = start + (2 + rows.length) * count;
      const all = [prices, ...rows].map(rowOf);
      const table = { names: names.map(({ text }) => nameWords(text)), heads: names.map(() => []), rows: all, line: names[0]?.line ?? 0 };
      return { table, from: start, to, head: '', groups: names.map(({ line }) => line) };
    }
  return null;
}

const isPrice = ({ plain }: PlainLine) => isPriceLine(plain) || wordPrice(plain) !== null;

function areNames(names: readonly PlainLine[]): boolean {
  return (
    names.every(({ text, plain }) => canBeName(text, plain, true) || /^free$/i.test(plain)) &&
    new Set(names.map(({ text }) => text)).size === names.length
  );
}

function rowsFrom(lines: readonly PlainLine[], start: number, count: number): PlainLine[][] {
  const rows: PlainLine[][] = [];
  for (let at = start; at + count <= lines.length; at += count) {
    const row = lines.slice(at, at + count);
    if (!isTold(row) && !isAlike(row) && !row.every(({ plain }) => isButton(plain))) break;
    rows.push(row);
  }
  return rows;
}

/** The words of a cell without its figure. */
const nounOf = ({ plain }: PlainLine) =>
  plain
    .toLowerCase()
    .replace(/^(?:up to |unlimited |no )?[¤\d.%]*\s*/, '')
    .replace(/s$/, '');

/** "1 admin", "4 admins": figures of the same, or none. */
function isTold(row: readonly PlainLine[]): boolean {
  const nouns = new Set(row.filter(({ plain }) => !isMark(plain)).map(nounOf));
  const [noun = ''] = nouns;
  return nouns.size === 1 && /\p{L}{2}/u.test(noun) && row.some(({ plain }) => /\d/.test(plain));
}

/** "–", "Own domain", "Own domain": it is there, or not. */
function isAlike(row: readonly PlainLine[]): boolean {
  const words = new Set(row.filter(({ plain }) => !isMark(plain)).map(({ plain }) => plain));
  return words.size === 1 && row.some(({ plain }) => isMark(plain));
}

function rowOf(cells: readonly PlainLine[]): TableRow {
  return { heading: '', line: cells[0]?.line ?? 0, cells: cells.map(({ plain, line }) => ({ plain, line })) };
}

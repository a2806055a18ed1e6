import { canBeName, isCell, isMark, isQuestion, isSentence } from './line-kinds';
import type { PlainLine } from './plain-line';
import { nameWords } from './plan-names';
import { isPriceLine, wordPrice } from './price-pieces';
import { gridOf, type RowGrid } from './row-grid';

const LEAST_HEADINGS = 3;
const MOST_HEADINGS = 14;
const LEAST_PLANS = 2;
const MOST_WORDS = 6;
const PRICE = /^(?:(?:monthly|yearly|annual) )?price\b|\b(?:monthly|yearly|annually|per (?:month|year)|a (?:month|year))\b/i;
/** "Monthly fee on sales", "Wholesale prices" are no prices of a plan. */
const OTHER_PRICES = /\b(?:fees?|wholesale)\b/i;

/**
 * Finds a table that was copied column by column: a run of headings, then again and again a plan's name with one cell for
 * each of them, a price under each heading that names one.
 *
 * @example Price, Products, Logins, Pier, $15, 50, 1, Wharf, $35, 500, 3
 */
export function findColumnGrid(lines: readonly PlainLine[]): RowGrid | null {
  const runs = runsOf(lines.map(canHead));
  for (let start = 0; start < lines.length; start += 1)
    for (let count = Math.min(MOST_HEADINGS, runs[start] ?? 0); count >= LEAST_HEADINGS; count -= 1) {
      const heads = lines.slice(start, start + count);
      if (!heads.some(({ plain }) => PRICE.test(plain))) continue;
      const columns = columnsBehind(lines, start + count, heads);
      const names = new Set(columns.map(([name]) => nameWords(name?.text ?? '').toLowerCase()));
      if (columns.length >= LEAST_PLANS && names.size === columns.length) return gridOf(heads, columns);
    }
  return null;
}

/** How many in a row are so from each place on. */
function runsOf(all: readonly boolean[]): readonly number[] {
  const runs = all.map(() => 0);
  for (let at = all.length - 1; at >= 0; at -= 1) runs[at] = all[at] ? (runs[at + 1] ?? 0) + 1 : 0;
  return runs;
}

function canHead({ plain, role }: PlainLine): boolean {
  const isWords = /^\p{L}/u.test(plain) && !/[\d¤%]/.test(plain) && plain.split(' ').length <= MOST_WORDS;
  return isWords && role !== 'navigation' && role !== 'footer' && !isSentence(plain) && !isQuestion(plain) && !isMark(plain);
}

function columnsBehind(lines: readonly PlainLine[], from: number, heads: readonly PlainLine[]): ReadonlyArray<readonly PlainLine[]> {
  const columns: Array<readonly PlainLine[]> = [];
  for (let at = from; at + heads.length < lines.length; at += heads.length + 1) {
    const [name, ...cells] = lines.slice(at, at + heads.length + 1);
    if (!name || !canBeName(name.text, name.plain, true) || !areCellsOf(heads, cells)) break;
    columns.push([name, ...cells]);
  }
  return columns;
}

/** Each price stands under a heading of one, and what is under the others is short; most are figures or signs. */
function areCellsOf(heads: readonly PlainLine[], cells: readonly PlainLine[]): boolean {
  const isPrice = ({ plain }: PlainLine) => isPriceLine(plain) || wordPrice(plain) !== null;
  const isOfPrice = (head = '') => PRICE.test(head) && !OTHER_PRICES.test(head);
  const isInPlace = cells.every((cell, at) =>
    isOfPrice(heads[at]?.plain) ? isPrice(cell) || isMark(cell.plain) : isCell(cell.plain) && !/^¤[\d.]+$/.test(cell.plain),
  );
  const figures = cells.filter(({ plain }) => isMark(plain) || /^[^\p{L}]*\d|^(?:up to|free|none|no limit)\b/iu.test(plain)).length;
  return isInPlace && cells.some(isPrice) && figures >= cells.length / 2;
}

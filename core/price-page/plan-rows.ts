import { canBeName } from './line-kinds';
import { readItem } from './list-items';
import type { PageTable } from './page-blocks';
import { isPriceLine, pricePieces, wordPrice } from './price-pieces';
import type { ReadingBuilder } from './reading-builder';

const LEAST_ROWS = 2;
const LEAST_ITEMS = 2;
const UNLIMITED = /^(?:unlimited|no limit|∞)$/i;

/**
 * A table without a head whose rows say by themselves what they are: "Small | £12 | 2 staff | 1,000 products". Each row is a
 * plan; "unlimited" is of what the cells above it count.
 *
 * @returns whether it is one, and so is read
 */
export function readPlanRows({ rows }: PageTable, plain: (text: string) => string, builder: ReadingBuilder): boolean {
  const given = rows.map(({ line, cells }) => ({ line, cells: cells.map((cell) => plain(cell.replaceAll('\n', ' '))) }));
  // "Personal | 1 site | ¤39 / year": what each is for, and its price at the end.
  const isLast = given.every(({ cells }) => cells.length > 2 && isPriceLine(cells.at(-1) ?? '') && !isPriceLine(cells[1] ?? ''));
  const told = isLast
    ? given.map(({ line, cells: [name = '', ...cells] }) => ({ line, cells: [name, cells.at(-1) ?? '', ...cells.slice(0, -1)] }))
    : given;
  const arePlans =
    told.length >= LEAST_ROWS &&
    told.every(({ cells: [name = '', price = '', ...items] }) => {
      const isPriced = isPriceLine(price) || wordPrice(price) === 'free';
      return (canBeName(name, name, true) || /^(?:lifetime|for ?ever|free|everything)$/i.test(name)) && isPriced && countedIn(items) > 0;
    }) &&
    (told.filter(({ cells: [, , ...items] }) => countedIn(items) >= LEAST_ITEMS).length * 2 >= told.length ||
      (isLast && builder.plans.length === 0));
  if (!arePlans) return false;
  for (const { line, cells } of told) {
    const [name = '', price = '', ...items] = cells;
    const plan = builder.plan(name, line);
    builder.price(plan, pricePieces([{ line, plain: wordPrice(price) === 'free' ? '¤0 per month' : price }]));
    for (const [at, item] of items.entries()) {
      const noun = UNLIMITED.test(item) ? nounOf(told.map((row) => row.cells[at + 2] ?? '')) : '';
      for (const statement of readItem(`${item} ${noun}`.trim()).statements) builder.state(plan, statement, line);
    }
  }
  return true;
}

function countedIn(items: readonly string[]): number {
  return items.filter((item) => /^unlimited\b/i.test(item) || UNLIMITED.test(item) || (/\d/.test(item) && /\p{L}/u.test(item))).length;
}

/** What the cells of a column count: "products" of "1000 products". */
function nounOf(cells: readonly string[]): string {
  return cells.map((cell) => /^(?:up to )?\d+ (\p{L}[\p{L} ]*)$/u.exec(cell)?.[1]).find((noun) => noun !== undefined) ?? '';
}

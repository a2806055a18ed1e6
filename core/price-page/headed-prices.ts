import { canBeName } from './line-kinds';
import { gridFrom } from './line-grid';
import type { PlainLine } from './plain-line';
import { nameWords } from './plan-names';
import { isPriceLine, isPriceTail, wordPrice } from './price-pieces';

/** A name and what praises it above two prices would look like two names. */
const LEAST_PLANS = 3;
const MOST_PLANS = 6;
const LEAST_ROWS = 3;

/**
 * Names, then as many prices, then perhaps as many words about how each is paid, as a table that is copied a cell a line
 * begins: the prices get the heading that such a table has for its other rows.
 */
export function withHeadedPrices(lines: readonly PlainLine[]): readonly PlainLine[] {
  for (let count = MOST_PLANS; count >= LEAST_PLANS; count -= 1)
    for (let start = 0; start + 2 * count <= lines.length; start += 1) {
      const prices = lines.slice(start + count, start + 2 * count);
      if (!prices.every(({ plain }) => isPrice(plain)) || !areNames(lines, start, count)) continue;
      const tails = tailsAt(lines, start + 2 * count, count);
      const after = start + 2 * count + tails.length;
      // A table goes on with a heading of its own.
      if (isPrice(lines[after]?.plain ?? '')) continue;
      const [first] = prices;
      const heading: PlainLine = { kind: 'line', line: first?.line ?? 0, text: 'Price', plain: 'Price' };
      const cells = prices.map((price, at) => ({ ...price, plain: `${price.plain} ${tails[at]?.plain ?? ''}`.trim() }));
      const headed = [...lines.slice(0, start + count), heading, ...cells, ...lines.slice(after)];
      const names = headed.slice(start, start + count).map(({ text }) => nameWords(text));
      if ((gridFrom(headed, start, names)?.table.rows.length ?? 0) >= LEAST_ROWS) return headed;
    }
  return lines;
}

function isPrice(plain: string): boolean {
  return isPriceLine(plain) || wordPrice(plain) !== null;
}

function areNames(lines: readonly PlainLine[], start: number, count: number): boolean {
  const names = lines.slice(start, start + count);
  return names.every(({ text, plain }) => canBeName(text, plain, true)) && new Set(names.map(({ text }) => text)).size === count;
}

function tailsAt(lines: readonly PlainLine[], start: number, count: number): readonly PlainLine[] {
  const tails = lines.slice(start, start + count);
  return tails.length === count && tails.every(({ plain }) => isPriceTail(plain)) ? tails : [];
}

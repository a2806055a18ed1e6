import { findBareGrid } from './bare-grid';
import { canBeName, isButton } from './line-kinds';
import { gridFrom } from './line-grid';
import { PRICE_HEADING } from './named-grid';
import type { PlainLine } from './plain-line';
import { nameWords } from './plan-names';
import { isPriceLine, isPriceOfSeats, isPriceTail, wordPrice } from './price-pieces';

/** A name and what praises it above two prices would look like two names. */
const LEAST_PLANS = 3;
const MOST_PLANS = 6;
const LEAST_ROWS = 3;

/**
 * Names, then as many prices, then perhaps as many words about how each is paid, as a table that is copied a cell a line
 * begins: the prices get the heading that such a table has for its other rows.
 */
export function withHeadedPrices(given: readonly PlainLine[]): readonly PlainLine[] {
  const lines = withPricesApart(given);
  if (findBareGrid(lines)) return lines;
  for (let count = MOST_PLANS; count >= LEAST_PLANS; count -= 1)
    for (let start = 0; start + 2 * count <= lines.length; start += 1) {
      const prices = lines.slice(start + count, start + 2 * count);
      if (!prices.every(({ plain }) => isPrice(plain)) || !areNames(lines, start, count)) continue;
      const tails = tailsAt(lines, start + 2 * count, count);
      const others = otherPricesAt(lines, start + 2 * count + tails.length, count);
      const after = afterButtons(lines, start + 2 * count + tails.length + others.length, count);
      // A table goes on with a heading of its own.
      if (isPrice(lines[after]?.plain ?? '')) continue;
      const cells = prices.map((price, at) => ({ ...price, plain: `${price.plain} ${tails[at]?.plain ?? ''}`.trim() }));
      // Of prices for each seat the other way of paying is left open: a plan has one price for each.
      const areOfSeats = cells.every(({ plain }) => isPriceOfSeats(plain));
      const rows = [cells, areOfSeats ? [] : others].flatMap((row) => (row.length === 0 ? [] : [headingOver(row), ...row]));
      const headed = [...lines.slice(0, start + count), ...rows, ...lines.slice(after)];
      const names = headed.slice(start, start + count).map(({ text }) => nameWords(text));
      if ((gridFrom(headed, start, names)?.table.rows.length ?? 0) >= LEAST_ROWS) return headed;
    }
  return lines;
}

const NAME_WITH_PRICE = /^(\p{Lu}[\p{L}\d+]*(?: \p{Lu}[\p{L}\d]*)?):? ((?:from )?¤\d.*)$/u;

/**
 * "Free", "Pro ¤5/mo" and "Studio ¤12/mo" above the rows of a table that is copied a cell a line: the names, and below them a row
 * of their prices.
 */
function withPricesApart(lines: readonly PlainLine[]): readonly PlainLine[] {
  for (const [start] of lines.entries()) {
    const heads = headsFrom(lines, start);
    const areNamedApart = new Set(heads.map(({ name }) => name.text)).size === heads.length;
    if (heads.length < 2 || !areNamedApart || !heads.some(({ price }) => price.plain.startsWith('¤'))) continue;
    const names = heads.map(({ name }) => name);
    const prices = heads.map(({ price }) => price);
    const apart = [...lines.slice(0, start), ...names, headingOver(prices), ...prices, ...lines.slice(start + heads.length)];
    const grid = gridFrom(
      apart,
      start,
      names.map(({ text }) => nameWords(text)),
    );
    if ((grid?.table.rows.length ?? 0) > LEAST_ROWS) return apart;
  }
  return lines;
}

function headsFrom(lines: readonly PlainLine[], start: number): Array<{ readonly name: PlainLine; readonly price: PlainLine }> {
  const heads: Array<{ readonly name: PlainLine; readonly price: PlainLine }> = [];
  for (const line of lines.slice(start, start + MOST_PLANS)) {
    const [, named, price = ''] = NAME_WITH_PRICE.exec(line.plain) ?? [];
    const isFree = /^free$/i.test(line.plain);
    if (!isFree && (named === undefined || !isPriceLine(price))) break;
    const name = named ?? line.plain;
    heads.push({ name: { ...line, plain: name, text: name }, price: { ...line, plain: isFree ? 'Free' : price } });
  }
  return heads;
}

function isPrice(plain: string): boolean {
  return isPriceLine(plain) || wordPrice(plain) !== null;
}

function areNames(lines: readonly PlainLine[], start: number, count: number): boolean {
  const names = lines.slice(start, start + count);
  // "Monthly price" right above the prices is their heading already.
  if (PRICE_HEADING.test(names.at(-1)?.plain ?? '')) return false;
  return names.every(({ text, plain }) => canBeName(text, plain, true)) && new Set(names.map(({ text }) => text)).size === count;
}

function headingOver([first]: readonly PlainLine[]): PlainLine {
  return { kind: 'line', line: first?.line ?? 0, text: 'Price', plain: 'Price' };
}

/** "¤15 with annual billing", once for each plan: the same price paid in another way. */
function otherPricesAt(lines: readonly PlainLine[], start: number, count: number): readonly PlainLine[] {
  const others = lines.slice(start, start + count);
  const areSo = others.length === count && others.every(({ plain }) => isPriceLine(plain) && /\p{L}{3}/u.test(plain));
  return areSo && new Set(others.map(({ plain }) => plain.replace(/[\d.]+/g, ''))).size === 1 ? others : [];
}

/** Where the table goes on behind a button for each plan. */
function afterButtons(lines: readonly PlainLine[], start: number, count: number): number {
  const buttons = lines.slice(start, start + count);
  return buttons.length === count && buttons.every(({ plain }) => isButton(plain)) ? start + count : start;
}

function tailsAt(lines: readonly PlainLine[], start: number, count: number): readonly PlainLine[] {
  const tails = lines.slice(start, start + count);
  return tails.length === count && tails.every(({ plain }) => isPriceTail(plain) || isPriceOfSeats(`¤1 ${plain}`)) ? tails : [];
}

import { isOfEnd } from './card-ends';
import { canBeName, isBadge, isButton, isMenu, isQuestion, isSentence } from './line-kinds';
import type { PlainLine } from './plain-line';
import { isPriceLine, isPriceTail } from './price-pieces';
import { isNameLike, type NameEvidence, type PlanHead } from './plan-names';

/** How far above its price a name stands at most where the price comes last in its card. */
const FARTHEST_BEFORE_PRICE = 14;

/** Blocks that begin with their price and have the name below it: each gets its name first, as most cards have it. */
export function withNamesOverPrices(lines: readonly PlainLine[]): readonly PlainLine[] {
  const begins = lines.flatMap(({ plain, opens }, at) => (opens === true && isPriceLine(plain) ? [at] : []));
  const names = begins.map((at) => {
    const behind = lines.slice(at + 1).findIndex(({ plain }) => !isPriceLine(plain) && !isPriceTail(plain));
    return at + 1 + behind;
  });
  const isName = (at: number) => {
    const { text = '', plain = '', opens } = lines[at] ?? {};
    return (
      opens !== true &&
      canBeName(text, plain) &&
      (!isButton(plain) || !plain.includes(' ')) &&
      plain.split(' ').length <= 3 &&
      /^\p{Lu}/u.test(text)
    );
  };
  const areNamed = begins.length >= LEAST_PRICES_FIRST && names.every(isName);
  if (!areNamed || new Set(names.map((at) => lines[at]?.text)).size < names.length) return lines;
  const moved = new Map(begins.map((at, index) => [at, names[index] ?? at]));
  const isMoved = new Set(names);
  return lines.flatMap((line, at): PlainLine[] => {
    if (isMoved.has(at)) return [];
    const name = lines[moved.get(at) ?? -1];
    if (!name) return [line];
    const { opens: _first, ...price } = line;
    return [{ ...name, opens: true }, price];
  });
}

/** Two blocks that begin with a price may be add-ons. */
const LEAST_PRICES_FIRST = 3;

/**
 * Cards whose price comes after what is in them: the name is the first line of each block, behind the button or price
 * that ends the one before.
 */
export function firstsOfBlocks(lines: readonly PlainLine[], anchors: readonly number[]): PlanHead[] {
  const heads = anchors.map((price): PlanHead | null => {
    let at = price - 1;
    while (at >= 0 && price - at < FARTHEST_BEFORE_PRICE && isInsideCard(lines, at)) at -= 1;
    const line = lines[at];
    return line && at < price - 1 && canBeName(line.text, line.plain, true) && !isButton(line.plain) ? { name: at, price } : null;
  });
  const found = heads.filter((head) => head !== null);
  const texts = new Set(found.map(({ name }) => lines[name]?.text));
  return found.length >= 2 && texts.size === found.length ? found : [];
}

/**
 * Cards that end with their price, with no space between them: each name is the line behind the price before. Null where
 * some line there can be none.
 */
export function behindPrices(lines: readonly PlainLine[], anchors: readonly number[], { counts }: NameEvidence): PlanHead[] | null {
  if (anchors.length < LEAST_ENDED_BY_PRICES) return null;
  const isName = (at: number) => {
    const { text = '', plain = '' } = lines[at] ?? {};
    if (isNameLike(lines, at)) return true;
    return canBeName(text, plain, true) && !isButton(plain) && plain.split(' ').length <= 2 && counts.get(text.toLowerCase()) === 1;
  };
  const [first = 0, ...others] = anchors;
  const names = others.map((_, index) => {
    let at = (anchors[index] ?? 0) + 1;
    while (isOfEnd(lines[at]?.plain ?? '')) at += 1;
    return at;
  });
  // "CS-2" above "CS-4" and "CS-8", "Starter server" above "Work server".
  const alike = lines.findIndex((_, at) => at < first && first - at < FARTHEST_BEFORE_PRICE && isCodeLike(lines, at, names));
  let top = alike < 0 ? first - 1 : alike;
  while (alike < 0 && top > 0 && first - top < FARTHEST_BEFORE_PRICE && !(isName(top) && isOutside(lines, top - 1))) top -= 1;
  const heads = [top, ...names].map((name, index) => ({ name, price: anchors[index] ?? 0 }));
  return heads.every(({ name, price }) => isName(name) && price - name >= 2) ? heads : null;
}

/**
 * Cards that end with a price and a button that names them: "Choose Small". The name stands above, wherever the price is. Null
 * where some card has none, or where a name is as near as in other cards.
 */
export function namedByButtons(lines: readonly PlainLine[], anchors: readonly number[]): PlanHead[] | null {
  if (anchors.length < 2) return null;
  const heads = anchors.map((price, index): PlanHead | null => {
    const until = anchors[index + 1] ?? lines.length;
    const button = lines.slice(price + 1, Math.min(until, price + MOST_TO_BUTTON)).find(({ plain }) => isButton(plain));
    const named = button === undefined ? undefined : OF_BUTTON.exec(button.text)?.[1]?.toLowerCase();
    const from = Math.max(anchors[index - 1] ?? 0, price - FARTHEST_BEFORE_PRICE);
    const name = lines.findLastIndex(({ text }, at) => at < price && at >= from && text.toLowerCase() === named);
    return name < 0 ? null : { name, price };
  });
  // What is sold beside the plans has no button that names it, and stands below them.
  const last = heads.findLastIndex((head) => head !== null);
  const found = heads.slice(0, last + 1).filter((head) => head !== null);
  const areAll = found.length === last + 1 && found.length >= 2;
  return areAll && found.every(({ name, price }) => price - name >= LEAST_BETWEEN) ? found : null;
}

const OF_BUTTON = /^(?:choose|get|buy|order|select|take|start with|go with|pick|try)\s+(?:the\s+)?(.+?)(?: plan)?$/i;
const MOST_TO_BUTTON = 6;
/** Names nearer to their prices are found by that. */
const LEAST_BETWEEN = 3;

/** Whether a line differs from names that are codes by its figure alone, or ends with the word that ends all of them. */
function isCodeLike(lines: readonly PlainLine[], at: number, names: readonly number[]): boolean {
  const text = (place: number) => lines[place]?.text ?? '';
  const shape = (place: number) => text(place).replace(/\d+/g, '#');
  const last = (place: number) => / (\p{L}+)$/u.exec(text(place))?.[1];
  const isCode = shape(at).includes('#') && names.every((name) => shape(name) === shape(at));
  return isCode || (last(at) !== undefined && names.every((name) => last(name) === last(at)));
}

const LEAST_ENDED_BY_PRICES = 3;

/** The top of a page, its links and what praises it. */
function isOutside(lines: readonly PlainLine[], at: number): boolean {
  const { plain = '', role } = lines[at] ?? {};
  return (
    at < 0 ||
    role === 'navigation' ||
    isMenu(plain) ||
    isButton(plain) ||
    isSentence(plain) ||
    isQuestion(plain) ||
    lines[at + 1]?.opens === true
  );
}

/** An item with a figure or a tick, which is no name. */
function isInsideCard(lines: readonly PlainLine[], at: number): boolean {
  const { plain = '', text = '', role } = lines[at] ?? {};
  return /\d/.test(plain) || /^[✓✔✗✘•]/.test(text) || role === 'item' || isBadge(plain) || /^unlimited\b/i.test(plain);
}

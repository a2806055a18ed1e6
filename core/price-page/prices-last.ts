import { isOfEnd } from './card-ends';
import { canBeName, isBadge, isButton, isMenu, isQuestion, isSentence } from './line-kinds';
import type { PlainLine } from './plain-line';
import { isNameLike, type NameEvidence, type PlanHead } from './plan-names';

/** How far above its price a name stands at most where the price comes last in its card. */
const FARTHEST_BEFORE_PRICE = 14;

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

import { canBeName } from './line-kinds';
import type { PlainLine } from './plain-line';
import { isPriceLine, wordPrice } from './price-pieces';

/** A plan of a list of prices: its price, and where what is in it begins. */
export interface ListedPlan {
  readonly name: string;
  readonly price: string;
  readonly line: PlainLine;
  /** Place of the line further down that is the name alone. */
  readonly head: number;
}

/** "$39 a month billed monthly, $33 a month billed yearly", "14 € a month for 1,000 contacts": a price with words behind it. */
export function isOffer(plain: string): boolean {
  if (
    !/^(?:from |only |just )?¤\d[\d.]*\s*(?:usd|eur|gbp)?\s*(?:\/|per|a|an|each)\s?(?:month|mo|year|yr|m|y|quarter)\b/i.test(plain) ||
    plain.length > 80
  )
    return false;
  return !/\b(?:additional|extra|further|each)\b|\bper (?!month|year)/i.test(plain);
}

const NAME_THEN_PRICE = /^(\p{Lu}[\p{L}\d+-]*(?: [\p{Lu}\d][\p{L}\d+-]*)?) ((?:from |at |only )?¤.+)$/u;

/**
 * Prices in a list of their own, "Small from 12 a month" and so on, with what is in each plan under its name further down.
 *
 * @returns null where there is no such list
 */
export function listedPlans(lines: readonly PlainLine[]): readonly ListedPlan[] | null {
  const priced = lines.flatMap((line, at) => {
    const [, name = '', price = ''] = NAME_THEN_PRICE.exec(line.plain) ?? [];
    return name !== '' && isPriceLine(price) && canBeName(name, name, true) ? [{ name, price, line, at }] : [];
  });
  const [first] = priced;
  if (!first || priced.length < 2 || priced.some(({ at }, index) => at !== first.at + index)) return null;
  const listed = priced.map(({ at, ...one }) => ({
    ...one,
    head: lines.findIndex(({ text }, place) => place > at && text === one.name),
  }));
  return listed.every(({ head }) => head >= 0) ? listed : null;
}

const NAME_AND_PRICE = /^(\p{Lu}[\p{L}\d &+'’-]{0,30}?)\s*(?:[:–—|·]|\s-)\s*(.+)$/u;

const isPricing = (text: string) => isPriceLine(text) || isOffer(text) || wordPrice(text) === 'free';

/** Where several lines are a name with its price, "Solo — $12/month", and more is said under them, each becomes two lines. */
export function withNamesApart(lines: readonly PlainLine[]): readonly PlainLine[] {
  const parted = lines.map((line) => {
    const [, name = '', price = ''] = NAME_AND_PRICE.exec(line.plain) ?? [];
    const isHead = name !== '' && name.split(' ').length <= 3 && canBeName(name, name, true) && isPricing(price);
    return isHead ? { name, price } : null;
  });
  const heads = parted.filter((one) => one !== null);
  const isUnderEach = parted.every((one, at) => one === null || (at + 1 < lines.length && parted[at + 1] === null));
  if (heads.length < 2 || !isUnderEach || new Set(heads.map(({ name }) => name)).size < heads.length) return lines;
  return lines.flatMap((line, at) => {
    const head = parted[at];
    return head
      ? [
          { ...line, text: head.name, plain: head.name, opens: true },
          { ...line, text: head.price, plain: head.price, opens: false },
        ]
      : [line];
  });
}

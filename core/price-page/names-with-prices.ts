import { canBeName } from './line-kinds';
import type { PlainLine } from './plain-line';
import { nameWords } from './plan-names';
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

/** "t1 nano" begins with the code of its kind. */
const NAME_AND_PRICE = /^((?:\p{Lu}|\p{Ll}{1,3}\d)[\p{L}\d &+'’-]{0,30}?)\s*(?:[:–—|·]|\s-)\s*(.+)$/u;
/** "Maker (¤9/month or ¤90/year)", "Hobby (free)". */
const NAME_WITH_BRACKETS = /^(\p{Lu}[\p{L}\d &+'’-]{0,30}?)\s*\(((?:[Ff]rom )?¤[^()]+|[Ff]ree)\)$/u;
/** "Maxi ¤6/month", "Hearth Monthly ¤29 Yearly ¤290". */
const NAME_BEFORE_PRICE = /^(\p{Lu}[\p{L}\d+'’-]*(?: \p{Lu}[\p{L}\d]*)??) ((?:[Ff]rom |[Mm]onthly |[Yy]early |[Aa]nnual )?¤.+)$/u;
const NO_NAME =
  /^(?:monthly|yearly|annual|annually|from|only|just|now|was|then|or|save|per|billed|paid|pay|regular|regularly|normally|first|total|starting|extra|additional|further|set-?up)\b/i;
/** "Extra hosts: ¤9 a month" names no plan. */
const MORE_OF_IT = /^(?:extra|additional|further|more)\b/i;
const FREE = /^free(?: plan)?$/i;

const isPricing = (text: string) => isPriceLine(text) || isOffer(text) || wordPrice(text) === 'free';

/** Where several lines are a name with its price, "Solo — $12/month", and more is said under them, each becomes two lines. */
export function withNamesApart(given: readonly PlainLine[]): readonly PlainLine[] {
  const lines = withFreePlans(given);
  const all = lines.map(headIn);
  // Names with nothing below them but the next one are sold beside the plans.
  const beside = all.findIndex((one, at) => one !== null && (all[at + 1] ?? null) !== null);
  const parted = beside < 0 ? all : all.map((one, at) => (at < beside ? one : null));
  const heads = parted.filter((one) => one !== null);
  // "Enterprise — price on request" beside two that have one.
  const asked = heads.length < 2 ? [] : lines.map(askedIn);
  const isUnderEach = parted.every((one, at) => one === null || (at + 1 < lines.length && (beside < 0 || lines[at]?.opens === true)));
  if (heads.length < 2 || !isUnderEach || new Set(heads.map(({ name }) => name)).size < heads.length) return lines;
  const first = parted.findIndex((one) => one !== null);
  return lines.flatMap((line, at) => {
    const head =
      parted[at] ?? asked[at] ?? (at < first && isFreeAlone(lines, at, first) ? { name: nameWords(line.plain), price: 'Free' } : null);
    if (!head) return [line];
    const prices = head.price.split(/\s+(?=(?:monthly|yearly|annual) ¤)/i).map((price) => price.replace(BY_WORD, byColon));
    return [
      { ...line, text: head.name, plain: head.name, opens: true },
      ...prices.map((price) => ({ ...line, text: price, plain: price, opens: false })),
    ];
  });
}

/** "Free plan" above what it has, with no other word about its price, is free. */
function withFreePlans(lines: readonly PlainLine[]): readonly PlainLine[] {
  return lines.flatMap((line, at) => {
    const next = lines[at + 1]?.plain ?? '';
    const isOne = line.opens === true && /^(?:(?:the|our) )?free (?:plan|version|tier)$/i.test(line.plain);
    return isOne && /\d|^[✓✔]/u.test(next) && !/¤/.test(next)
      ? [
          { ...line, text: 'Free', plain: 'Free' },
          { ...line, text: '¤0', plain: '¤0', opens: false },
        ]
      : [line];
  });
}

const BY_WORD = /^(monthly|yearly|annual) (?=¤)/i;
const byColon = (_: string, word: string) => (/^monthly$/i.test(word) ? 'monthly: ' : 'yearly: ');

function headIn(line: PlainLine): { readonly name: string; readonly price: string } | null {
  // "1. Seed — ¤15 per month": plans may be numbered.
  const plain = line.plain.replace(/^\d{1,2}[.)]\s+(?=\p{Lu})/u, '');
  const parted = NAME_AND_PRICE.exec(plain) ?? NAME_WITH_BRACKETS.exec(plain);
  const [, name = '', price = ''] = parted ?? NAME_BEFORE_PRICE.exec(plain) ?? [];
  const canHead =
    name !== '' && !(parted === null ? NO_NAME : MORE_OF_IT).test(name) && name.split(' ').length <= 3 && canBeName(name, name, true);
  return canHead && isPricing(price) ? { name, price } : null;
}

/** "Enterprise — price on request". */
function askedIn(line: PlainLine): { readonly name: string; readonly price: string } | null {
  const [, name = '', price = ''] = NAME_AND_PRICE.exec(line.plain) ?? [];
  return wordPrice(price) === 'asked for' && name.split(' ').length <= 2 && canBeName(name, name, true) ? { name, price } : null;
}

/** "Free", with what is in it and no price, above plans that have their prices beside their names. */
function isFreeAlone(lines: readonly PlainLine[], at: number, first: number): boolean {
  const between = lines.slice(at + 1, first);
  return FREE.test(lines[at]?.plain ?? '') && between.length > 0 && !between.some(({ plain }) => /¤/.test(plain) || FREE.test(plain));
}

import { countedThing } from './counted-things';
import type { PlanCard } from './find-plans';
import { isPriceLine, isPriceTail, wordPrice } from './price-pieces';
import type { PlainLine } from './plain-line';

const LEAST_PLANS = 2;
/** "1 site", "up to 500 contacts", "501-2500 contacts", "from 501 to 2500 contacts". */
const FOR_GOOD = String.raw`(?:,? (?:for life|for good|lifetime|forever))?`;
const A_COUNT = new RegExp(
  String.raw`^(?:up to |from |of |over )?(?:\d+ ?(?:[-–]| to | a ) ?)?(\d+) (\p{L}[\p{L} -]{1,24}?)${FOR_GOOD}$`,
  'iu',
);

/** "Up to 500 contacts: ¤9", "Up to 500 contacts — ¤9". */
const PRICED = /^([^:]*?\p{L})(?::| [–—-] )\s*(.*)$/u;

const UNLIMITED = new RegExp(String.raw`^(unlimited|any number of) (\p{L}[\p{L} -]{1,24}?)${FOR_GOOD}$`, 'iu');

/**
 * Plans that are told apart by how many of something they are for, and have no other name: "1 site", "5 sites", each
 * with its price below or behind a colon.
 */
export function countedPlans(lines: readonly PlainLine[]): PlanCard[] {
  const below = lines.flatMap((line, at) => planAt(lines, line, at, pricesBelow) ?? []);
  const above = lines.flatMap((line, at) => planAt(lines, line, at, pricesAbove) ?? []);
  // Where the first price stands before the first count, each count is of the price above it.
  const found = above.length > below.length ? above : below;
  const nouns = new Set(found.map(({ noun }) => noun.replace(/s$/, '')));
  return found.length >= LEAST_PLANS && nouns.size === 1 ? [...found.map(({ card }) => card), ...paidForGood(lines)] : [];
}

/** "Lifetime" with its price, and how many it is for, beside plans that are counted. */
function paidForGood(lines: readonly PlainLine[]): PlanCard[] {
  const at = lines.findIndex(({ plain }, own) => /^(?:lifetime|for ?ever)$/i.test(plain) && isPriceLine(lines[own + 1]?.plain ?? ''));
  const [name, price, below] = lines.slice(at, at + 3);
  if (at < 0 || !name || !price) return [];
  const [, tail, count] = /^(once)?(?:, | )?(?:for )?(up to \d+ \p{L}+|unlimited \p{L}+)$/iu.exec(below?.plain ?? '') ?? [];
  const own = [{ ...price, plain: tail === undefined ? price.plain : `${price.plain} once` }];
  const limit = below && count !== undefined ? [{ ...below, plain: count }] : [];
  return [{ name: name.text, nameLine: name.line, lines: [...own, ...limit] }];
}

function planAt(
  lines: readonly PlainLine[],
  line: PlainLine,
  at: number,
  pricesBeside: (lines: readonly PlainLine[], at: number) => readonly PlainLine[],
): { readonly card: PlanCard; readonly noun: string } | null {
  const [, head = line.plain, price] = PRICED.exec(line.plain) ?? [];
  const [, upTo = '', noun = ''] = A_COUNT.exec(head) ?? UNLIMITED.exec(head) ?? [];
  if (noun === '' || /^(?:months?|years?|weeks?|days?|hours?)\b/i.test(noun) || countedThing(noun) === null) return null;
  const priced = price === undefined ? pricesBeside(lines, at) : [{ ...line, plain: price, text: price }];
  const [first] = priced;
  if (!first || !(isPriceLine(first.plain) || wordPrice(first.plain) === 'free')) return null;
  const limit = { ...line, plain: /^\d/.test(upTo) ? `up to ${upTo} ${noun}` : `${upTo} ${noun}`, text: line.text };
  const name = price === undefined ? line.text : (PRICED.exec(line.text)?.[1] ?? line.text).trim();
  return { card: { name, nameLine: line.line, lines: [...priced, limit] }, noun };
}

function pricesBelow(lines: readonly PlainLine[], at: number): readonly PlainLine[] {
  const after = lines.slice(at + 1);
  const end = after.findIndex(({ plain }) => !isPriceLine(plain) && !isPriceTail(plain) && wordPrice(plain) !== 'free');
  return end < 0 ? after : after.slice(0, end);
}

function pricesAbove(lines: readonly PlainLine[], at: number): readonly PlainLine[] {
  const before = lines.slice(0, at);
  const start = before.findLastIndex(({ plain }) => !isPriceLine(plain) && !isPriceTail(plain) && wordPrice(plain) !== 'free');
  return before.slice(start + 1);
}

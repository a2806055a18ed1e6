import type { FoundPlans, PlanCard } from './find-plans';
import { NUMBER_WORDS } from '../price-phrase/tokens';
import type { PlainLine } from './plain-line';

/** "The Basic plan costs …", "With our Trade plan, at …". */
const NAMES_PLAN = /\b(?:(?:with|on|choose|for) )?(?:the|our) (\p{Lu}[\p{L}\d]*(?: \p{Lu}[\p{L}\d]*)?) (?:plan|package|tariff)\b/iu;
/** "Circle costs ¤35 a month". */
const BEGINS_WITH_NAME = /^(\p{Lu}[\p{L}\d]*(?: \p{Lu}[\p{L}\d]*)?) (?:costs|is|comes (?:at|to)|starts at) (?:only |just )?[^\p{L}\s]/u;
const LEAST_PLANS = 2;
const AMOUNT = /¤\d+(?:\.\d+)?/;
/** Words of a sentence that lead to what a plan has. */
const LEADS =
  /^(?:and|or|with|plus|then|it|they|that|this|which|you|we|there|holds?|room for|carries|its?|also|both|includes?|including|comes? with|gives? you|gets?|get|has|have|is|are|offers?|adds?|allows?|up to a|take|takes|charge|charges)\s+/i;

/**
 * Plans that are told in sentences: each paragraph names its plan, says what it costs, and lists what it has. Its clauses
 * are the lines of the plan's card.
 */
export function prosePlans(lines: readonly PlainLine[]): FoundPlans | null {
  const heads = lines.flatMap((line, at) => {
    const name = nameIn(line);
    return name !== null && AMOUNT.test(line.plain) ? [{ at, name }] : [];
  });
  if (heads.length < LEAST_PLANS || new Set(heads.map(({ name }) => name.toLowerCase())).size < heads.length) return null;
  const taken = new Set<PlainLine>();
  const cards = heads.map(({ at, name }, index): PlanCard => {
    const paragraph = lines[at]?.line;
    const next = heads[index + 1]?.at ?? lines.length;
    const own = lines.slice(at, next).filter((line) => line.line === paragraph);
    for (const line of own) taken.add(line);
    return { name, nameLine: paragraph ?? 0, lines: own.flatMap(clausesOf) };
  });
  return { cards, rest: lines.filter((line) => !taken.has(line)) };
}

function nameIn({ text }: PlainLine): string | null {
  const [, name = ''] = NAMES_PLAN.exec(text) ?? BEGINS_WITH_NAME.exec(text) ?? [];
  return /^\p{Lu}/u.test(name) ? name : null;
}

/** What a sentence says, a clause a line: prices, and what the plan has. */
export function clausesOf(line: PlainLine): PlainLine[] {
  const parts = line.plain
    .replace(/[.!]$/, '')
    .replace(NAMES_PLAN, ' ')
    .replace(BEGINS_WITH_NAME, (lead) => lead.slice(-1))
    .replace(/ \((?:or|and) ([^()]*)\)/g, ', $1,')
    .split(/,\s+|;\s+|\s+(?:and|or)\s+(?=[\p{L}\d¤])|\s+with\s+(?=\d)/u)
    .map(tidied)
    .filter((plain) => plain !== '');
  return parts.map((plain) => ({ ...line, plain, text: plain, role: 'item' as const }));
}

function tidied(clause: string): string {
  let plain = clause.trim();
  const price = /^\D{0,30}?\b(?:costs?|at|is|for|from)?\s*(¤\d+(?:\.\d+)?)\s*(.*)$/.exec(plain);
  if (price) return `${price[1] ?? ''} ${paidPer(price[2] ?? '')}`.trim();
  for (let shorter = plain.replace(LEADS, ''); shorter !== plain; shorter = plain.replace(LEADS, '')) plain = shorter;
  plain = plain.replace(/^no limit on (?:the )?(?:number of )?/i, 'unlimited ').replace(/^nothing from .*$/i, 'no sales fee');
  return plain.replace(/^(up to )?(\p{L}+)\b/u, (whole, upTo: string | undefined, word: string) => {
    const number = NUMBER_WORDS[word.toLowerCase()];
    return number === undefined ? whole : `${upTo ?? ''}${number}`;
  });
}

/** "if you pay for a year" is by the year. */
function paidPer(words: string): string {
  if (/^(?:if|when|for)\b.*\b(?:year|yearly|annually)\b/i.test(words)) return 'a year';
  return words;
}

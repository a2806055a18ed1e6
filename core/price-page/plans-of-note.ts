import type { FoundPlans, PlanCard } from './find-plans';
import { canBeName, isSentence, sectionOf } from './line-kinds';
import { isOffer } from './names-with-prices';
import type { PlainLine } from './plain-line';
import { CLAUSES, cardOf, withRest } from './plans-on-lines';
import { isPriceLine } from './price-pieces';

const A_BULLET = /^[•*·▪►»+]\s*/u;
const NAME_AND_REST =
  /^(\p{Lu}[\p{L}\d+'’-]*(?: [\p{L}\d&+'’-]+){0,2}?)(?:\s*:|\s+[–—|·=-]|\s+(?:is|costs))?\s+((?:(?:from|only|just|at) )?¤\d.*|free\b.*)$/iu;
/** "Set-up: ¤20" and "Extra seats: ¤5" name no plan. */
const NO_PLAN =
  /^(?:monthly|yearly|annual(?:ly)?|set-?up|activation|joining|extra|additional|further|more|price|prices?|total|billed|paid|per|or|and|then|after|save|includes?|domains?|storage|cards?|fees?|first|up to|from|only|just|now|was)\b/i;
const FOR_A_TIME = /¤\d[\d.]*\s*(?:\/|per|a|an|each)?\s?(?:months?|mo|m|monthly|years?|yr|y|yearly|annually)\b|^¤0(?:\.00)?$|^free$/i;
const MOST_OF_A_NOTE = 14;

/** "¤18 Regular: 200 bookings a month". */
const PRICE_AND_NAME =
  /^(¤\d[\d.]*(?:\s*(?:\/|per|a)\s?(?:month|mo|year|yr))?) (\p{Lu}[\p{L}\d+-]*(?: \p{Lu}[\p{L}\d]*)?)(?:\s*:|\s+[–—|·-])\s+(.+)$/u;

/** "¤9/month with 50 products, …" says what is in it. */
const WITH_ITS_LIST = /(?<=(?:month|mo|year|yr)) with (?=\d|up to \d|unlimited\b)/i;

/** A name, its price, and what else is said of it; of a free plan perhaps only that. */
function planOn(given: string): { readonly name: string; readonly clauses: readonly string[] } | null {
  const plain = given.replace(A_BULLET, '');
  const free = /^free(?: plan)?(?:\s*:|\s+[–—|·-])\s+(?!.*¤)(.+)$/i.exec(plain)?.[1];
  if (free !== undefined && !isSentence(free)) return { name: 'Free', clauses: ['free', ...free.split(CLAUSES)] };
  const [, before, named = '', said = ''] = PRICE_AND_NAME.exec(plain) ?? [];
  if (before !== undefined && canBeName(named, named, true)) return { name: named, clauses: [before, ...said.split(CLAUSES)] };
  // "The Team plan costs …" is told in sentences.
  const [, name = '', rest = ''] = /\bplan (?:is|costs)\b/i.test(plain) ? [] : (NAME_AND_REST.exec(plain) ?? []);
  const clauses = rest.replace(WITH_ITS_LIST, ', ').split(CLAUSES);
  const [price = ''] = clauses;
  const isPrice = FOR_A_TIME.test(price) && (isPriceLine(price) || isOffer(price) || /^free$/i.test(price));
  return isPrice && canBeName(name, name, true) && !NO_PLAN.test(name) ? { name, clauses } : null;
}

/**
 * What somebody typed or copied of a few plans, each on a line: "Guild ¤19/month - up to 1000 members - 4% of sales". All
 * prices stand on such lines, one after the other.
 *
 * @returns null where the page is built otherwise
 */
export function plansOfNote(lines: readonly PlainLine[]): FoundPlans | null {
  if (lines.length > MOST_OF_A_NOTE || lines.some(({ plain }) => sectionOf(plain) === 'addons')) return null;
  const found = lines.flatMap((line, at) => {
    const plan = planOn(line.plain);
    return plan ? [{ at, line, ...plan }] : [];
  });
  const [first] = found;
  if (!first) return quotedOfNote(lines);
  if (found.length === 1 && first.at === 0 && first.clauses.length === 1 && lines.length >= 2) return oneOfNote(lines, first);
  const areTogether = found.every(({ at }, index) => at === first.at + index);
  const areAll = !lines.some((line, at) => (isPriceLine(line.plain) || isOffer(line.plain)) && !found.some((one) => one.at === at));
  if (found.length < 2 || !areTogether || !areAll || new Set(found.map(({ name }) => name)).size < found.length) return null;
  const clauses = found.flatMap((one) => one.clauses);
  const isShare = clauses.some((clause) => /^\d+(?:\.\d+)?% fees?$/i.test(clause));
  const said = (clause: string) => (isShare && /^(?:no|zero|without) fees?$/i.test(clause) ? 'no sales fee' : clause);
  const cards = found.map((one) => cardOf(one.line, one.name, one.clauses.map(said)));
  const areSure = found.every((one) => one.clauses.length > 1 || one.line.plain.split('¤').length > 2);
  return { ...withRest(lines, cards), areSure };
}

const A_QUOTED_PLAN =
  /\b(?:plan|package|tariff) [“"‘']([^”"’']{2,30})[”"’'],? (?:is |costs |at |for |renews (?:on [^¤]{3,20} )?at )*(.*)$/iu;

/** 'What we pay: plan "Counter" ¤49/month, 2 registers included': all of the line is about the plan that it names. */
function quotedOfNote(lines: readonly PlainLine[]): FoundPlans | null {
  const cards = lines.flatMap((line): PlanCard[] => {
    const [, name = '', rest = ''] = A_QUOTED_PLAN.exec(line.plain) ?? [];
    const clauses = rest.replace(/\.$/, '').split(CLAUSES);
    return isPriceLine(clauses[0] ?? '') ? [{ ...cardOf(line, name, clauses), name }] : [];
  });
  return cards.length === 1 ? { ...withRest(lines, cards), areSure: true } : null;
}

const MOST_OF_ONE = 6;

/** "Havenpost Pages: ¤8/month or ¤84/year. 3 sites, 1 GB. Extra site ¤2/month": all of it is about the one plan. */
function oneOfNote(
  lines: readonly PlainLine[],
  { line, name, clauses }: { line: PlainLine; name: string; clauses: readonly string[] },
): FoundPlans | null {
  if (lines.length > MOST_OF_ONE || lines.some((one) => one.line !== line.line)) return null;
  const card = cardOf(line, name, clauses);
  return { cards: [{ ...card, lines: [...card.lines, ...lines.slice(1)] }], rest: [], areSure: true };
}

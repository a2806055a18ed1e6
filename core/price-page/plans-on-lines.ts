import { countedPlans } from './counted-plans';
import type { FoundPlans, PlanCard } from './find-plans';
import { canBeName, isPriced, isSentence } from './line-kinds';
import { isOffer } from './names-with-prices';
import type { PlainLine } from './plain-line';
import { nameWords } from './plan-names';
import { isPriceLine } from './price-pieces';

const ON_A_LINE = /^(\p{L}[\p{L}\d &+-]{0,30}?)\s*(?::|–|—| - )\s*((?:free|from )?.*)$/iu;
/** Dashes, bars and points that part what a line says. */
const PARTED = String.raw`\s+[–—|·]\s+|\s-\s`;
/** Between what a line says of a plan, one thing after another. */
export const CLAUSES = new RegExp(String.raw`[,;]\s+(?!then\b)|${PARTED}|(?<=¤[\d.]+ ?(?:\/|per|a)? ?(?:months?|mo|years?|yr)):\s+`);
const PARTS = new RegExp(PARTED);

/** "Small: 10/mo, 50 labels" and "Large: 60/mo …": each line is a plan, its clauses are the card's lines. */
export function plansOnLines(lines: readonly PlainLine[]): FoundPlans {
  const cards = lines.flatMap((line): PlanCard[] => {
    const [, name = '', rest = ''] = ON_A_LINE.exec(line.plain) ?? [];
    const clauses = rest.split(CLAUSES);
    const hasMore = clauses.slice(1).some((clause) => !isPriced(clause));
    const isPlan = hasMore && (isPriceLine(clauses[0] ?? '') || isOffer(clauses[0] ?? '') || /^free$/i.test(clauses[0] ?? ''));
    const isFree = !isPlan && /^free$/i.test(name) && !/¤/.test(rest) && !isSentence(rest);
    return isPlan || isFree ? [cardOf(line, name, isFree ? ['free', ...clauses] : clauses)] : [];
  });
  if (cards.length >= 2 || cards.some(({ name }) => !/^free$/i.test(name))) return withRest(lines, cards);
  const priced = pricedAtEnd(lines);
  return withRest(lines, priced.length >= 2 ? priced : countedPlans(lines));
}

const A_STEP = /^¤\d[\d.]*(?: ?(?:\/|per|a) ?(?:month|mo))? (?:for )?(?:up to )?\d+(?: \p{L}[\p{L} ]*)?\.?$/iu;

/**
 * "Writer: ¤9 a month for up to 1000 readers; ¤19 up to 3000. Own domain, blog.": a plan on a line, the steps of its price, and what
 * it has in the sentences behind them. Null where fewer than two lines are so.
 */
export function plansBySteps(lines: readonly PlainLine[]): FoundPlans | null {
  const cards = lines.map((line, at): { card: PlanCard; isStepped: boolean } | null => {
    if (lines[at - 1]?.line === line.line) return null;
    const [, name = '', rest = ''] = ON_A_LINE.exec(line.plain) ?? [];
    const steps = rest.replace(/\.$/, '').split(/;\s+/);
    const isStepped = steps.length >= 2 && steps.every((step) => A_STEP.test(step));
    const [free, ...items] = rest.replace(/\.$/, '').split(/,\s+/).reverse();
    const isFree = /^free$/i.test(free ?? '') && items.length > 0;
    if (!isStepped && !isFree) return null;
    const behind = lines.filter((one, place) => place > at && one.line === line.line);
    const own = behind.flatMap(({ plain }) => plain.replace(/\.$/, '').split(/,\s+/));
    return { card: cardOf(line, name, [...(isStepped ? steps : ['free', ...items.reverse()]), ...own]), isStepped };
  });
  const found = cards.filter((card) => card !== null);
  const areSo = found.length >= 2 && found.some(({ isStepped }) => isStepped);
  return areSo
    ? {
        ...withRest(
          lines,
          found.map(({ card }) => card),
        ),
        areSure: true,
      }
    : null;
}

/** "Business — 5 sites — ¤99 / year", line after line: a name, what it has, and its price. */
function pricedAtEnd(lines: readonly PlainLine[]): PlanCard[] {
  return lines.flatMap((line): PlanCard[] => {
    const [name = '', ...others] = line.plain.split(PARTS);
    const [price = '', items] = [others.at(-1), others.slice(0, -1)];
    const isPlan = items.length > 0 && canBeName(name, name) && isPriceLine(price) && !items.some(isPriced);
    return isPlan ? [cardOf(line, name, [price, ...items])] : [];
  });
}

/** A plan that a line names, with what the line says of it. */
export function cardOf(line: PlainLine, name: string, said: readonly string[]): PlanCard {
  return { name: nameWords(name), nameLine: line.line, lines: said.map((plain) => ({ ...line, plain, text: plain })) };
}

/** Plans of lines, and the lines that none of them takes up. */
export function withRest(lines: readonly PlainLine[], cards: readonly PlanCard[]): FoundPlans {
  const taken = new Set(cards.flatMap(({ nameLine, lines: own }) => [nameLine, ...own.map(({ line }) => line)]));
  return { cards, rest: lines.filter(({ line }) => !taken.has(line)) };
}

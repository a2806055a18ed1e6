import { countedThing } from './counted-things';
import type { PlanCard } from './find-plans';
import { isPriceLine, isPriceTail } from './price-pieces';
import type { PlainLine } from './plain-line';

const LEAST_PLANS = 2;
const A_COUNT = /^(?:up to )?\d+ \p{L}[\p{L} -]{1,24}$/u;

/**
 * Plans that are told apart by how many of something they are for, and have no other name: "1 site", "5 sites", each
 * with its price below.
 */
export function countedPlans(lines: readonly PlainLine[]): PlanCard[] {
  const cards = lines.flatMap((line, at): PlanCard[] => {
    const price = lines[at + 1];
    const isHead = A_COUNT.test(line.plain) && countedThing(line.plain.replace(/^(?:up to )?\d+ /, '')) !== null;
    if (!isHead || !price || !isPriceLine(price.plain)) return [];
    const after = lines.slice(at + 1);
    const end = after.findIndex(({ plain }) => !isPriceLine(plain) && !isPriceTail(plain));
    return [{ name: line.text, nameLine: line.line, lines: [...after.slice(0, end < 0 ? undefined : end), line] }];
  });
  const nouns = new Set(cards.map(({ name }) => name.replace(/^.*?\d[\d,.]* /, '').replace(/s$/, '')));
  return cards.length >= LEAST_PLANS && nouns.size === 1 ? cards : [];
}

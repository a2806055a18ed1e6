import type { FoundPlans, PlanCard } from './find-plans';
import { canBeName } from './line-kinds';
import { isOffer } from './names-with-prices';
import type { PlainLine } from './plain-line';
import { withRest } from './plans-on-lines';
import { isPriceLine, wordPrice } from './price-pieces';
import { clausesOf } from './prose-plans';

const NAME_AND_PRICE = /^(\p{Lu}[\p{L}\d +-]{0,25}?)\s*(?::|–|—| - )\s*(.+)$/u;
const TELLS = /^(\p{Lu}[\p{L}\d]*(?: \p{Lu}[\p{L}\d]*)?) (?:has|includes|comes with|gives you|offers|adds|gets|holds) (?=\S)/u;

/**
 * Plans of a list of names with prices, "Plus: ¤29 a month", of which sentences tell further down what is in them: "Plus has
 * 5 users and stock counts." Names of which nothing is told may be of anything.
 *
 * @returns null where there is no such list
 */
export function toldPlans(lines: readonly PlainLine[]): FoundPlans | null {
  const priced = lines.flatMap((line, at) => {
    const [, name = '', price = ''] = NAME_AND_PRICE.exec(line.plain) ?? [];
    const isPrice = isPriceLine(price) || isOffer(price) || wordPrice(price) !== null;
    return isPrice && canBeName(name, name, true) ? [{ name, price, line, at }] : [];
  });
  const [first] = priced;
  if (!first || priced.length < 2 || priced.some(({ at }, index) => at !== first.at + index)) return null;
  const told = (name: string) => lines.filter(({ plain }) => TELLS.exec(plain)?.[1] === name);
  if (priced.filter(({ name }) => told(name).length > 0).length < Math.max(2, priced.length - 1)) return null;
  const cards = priced.map(({ name, price, line }): PlanCard => {
    const items = told(name).flatMap((one) => clausesOf({ ...one, plain: one.plain.replace(TELLS, '') }));
    return { name, nameLine: line.line, lines: [{ ...line, plain: price, text: price }, ...items] };
  });
  return { ...withRest(lines, cards), areSure: true };
}

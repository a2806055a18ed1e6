import { capital } from '../wording/capital';
import type { PlainLine } from './plain-line';
import { wholeWords } from './whole-words';

/** Words that stand before a plan's name and its own price. */
const OF_PRICES =
  /\b(?:pric(?:e|es|ing)|costs?|pay|paid|paying|bill(?:ed|ing)?|month(?:ly)?|year(?:ly)?|annual(?:ly)?|plans?|fees?|saves?|saving|licen[cs]es?|lifetime|subscriptions?|renewal|term|from|is|are)\b/i;
const THING = String.raw`(?:\d+ (?:more|extra|additional) )?\p{L}[\p{L}\d’' -]{2,40}?`;

/**
 * What a line sells on one plan alone, said like any other add-on: "Gift vouchers on Branch: ¤6 a month", "Trader: returns
 * portal for ¤9 a month". Null where the line states what a plan itself costs, or nothing of the kind.
 *
 * @example soldOnPlan('Trader: returns portal for ¤9 a month', ['Trader']) // 'Returns portal on Trader: ¤9 a month'
 */
export function soldOnPlan(plain: string, names: readonly string[]): string | null {
  if (plain.split('¤').length !== 2) return null;
  for (const name of names) {
    const named = wholeWords(name);
    const behind = new RegExp(
      `^(${THING}) (?:on|for|with) (?:the )?${named.source}(?: plan)?(?::| –| —|,| at| costs?| is) ?(¤.*)$`,
      named.flags,
    ).exec(plain.replace(/^(?:extras?|add-?ons?|optional): ?/i, ''));
    const before = new RegExp(`^(?:on )?${named.source}(?::| –| —|,) (?:add )?(${THING}) (?:for|at|costs|is) (¤.*)$`, named.flags).exec(
      plain,
    );
    const [, thing = '', price = ''] = behind ?? before ?? [];
    if (thing !== '' && !OF_PRICES.test(thing)) return `${capital(thing)} on ${name}: ${price}`;
  }
  return null;
}

/** Lines with what is sold on one plan alone said like any other add-on. */
export function withThingsFirst(lines: readonly PlainLine[], names: readonly string[]): PlainLine[] {
  return lines.map((line) => ({ ...line, plain: soldOnPlan(line.plain, names) ?? line.plain }));
}

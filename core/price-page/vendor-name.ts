import type { PlainLine } from './plain-line';
import { isButton } from './line-kinds';
import { wholeWords } from './whole-words';

const NO_VENDOR =
  /^(?:free|monthly|yearly|annually|annual|prices?|pricing|plans?|preise|tarife?|prix|tarifs|precios|prezzi|prijzen|contacts|menu|home)$|\b(?:price|pricing|monthly|yearly|month|year)\b|^(?:for|from|with|all|our|your|choose|compare|pick|find|why|how|what)\b/i;

/**
 * Whose page it is: the name that its title and its first lines have in common, or its first line; '' if neither reads
 * as a name.
 */
export function vendorOf(lines: readonly PlainLine[], title: string, plans: readonly string[]): string {
  const isName = (text: string) =>
    /^\p{Lu}[\p{L}\d&’' .-]{1,40}$/u.test(text) &&
    text.split(' ').length <= 3 &&
    !plans.includes(text) &&
    !isButton(text) &&
    !NO_VENDOR.test(text);
  // What stands under the first plan's name is about that plan.
  const firstPlan = lines.findIndex(({ text }) => plans.includes(text));
  const firsts = lines
    .slice(0, firstPlan <= 0 ? 6 : Math.min(6, firstPlan))
    .map(({ text }) => text)
    .filter(isName);
  const parts = title.split(/\s*[|–—·:]\s*|\s+-\s+/).filter((part) => !/^(?:plans?|pricing|prices?|compare|what it costs)\b/i.test(part));
  const inTitle = firsts.find((text) => title.includes(text)) ?? parts.find(isName);
  const again = firsts.find((text) => lines.some(({ text: other }) => other !== text && wholeWords(text).test(other)));
  return inTitle ?? again ?? firsts[0] ?? '';
}

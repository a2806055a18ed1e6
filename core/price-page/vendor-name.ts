import type { PlainLine } from './plain-line';
import { isButton } from './line-kinds';
import { wholeWords } from './whole-words';

const NO_VENDOR =
  /^(?:free|monthly|yearly|annually|annual|prices?|pricing|plans?|preise|tarife?|prix|tarifs|precios|prezzi|prijzen|contacts|menu|home|(?:other |our )?fees)$|^(?:plans?|prices?|pricing|fees|packages) (?:and|&) (?:plans?|prices?|pricing|fees|packages)$|\b(?:plans|packages)$|\b(?:price|pricing|monthly|yearly|month|year)\b|^(?:for|from|with|all|more|our|your|choose|compare|pick|find|why|how|what)\b/i;

/** What a site's own links are called, which stand at the top as the name does. */
const LINK =
  /^(?:(?:web |shared |managed )?hosting|servers?|domains?|e-?mail|features?|products?|solutions?|platform|templates?|themes?|events|courses|classes|webinars|communities|payments?|cards?|sell|buy|shop|sellers?|fees|licen[cs]es|extensions|add-?ons|integrations|carriers|customers?|stories|resources|developers|partners|company|tour|demo|docs|support|why us|how it works)$/i;

/** "Havenpost Shop pricing 2026"; "Simple pricing" says nothing of whose it is. */
const NAME_AND_PRICING =
  /^(?!(?:simple|fair|clear|honest|transparent|straightforward|easy|flexible|friendly|plain)\b)(.+?) (?:pricing|prices|price list|preise|fees)(?: 20\d\d)?$/i;

/**
 * Whose page it is: the name that its title and its first lines have in common, else its first line, else one that is said
 * again; '' if none reads as a name.
 */
export function vendorOf(given: readonly PlainLine[], title: string, plans: readonly string[]): string {
  // "Havenpost:" above a few typed lines.
  const lines = given.map((line, at) => (at === 0 ? { ...line, text: line.text.replace(/\s*:$/, '') } : line));
  const isName = (text: string) =>
    /^\p{Lu}[\p{L}\d&’' .-]{1,40}$/u.test(text) &&
    text.split(' ').length <= (text === lines[0]?.text ? 4 : 3) &&
    !text.endsWith('.') &&
    !plans.includes(text) &&
    !isButton(text) &&
    !LINK.test(text) &&
    !NO_VENDOR.test(text);
  // What stands under the first plan's name is about that plan.
  const firstPlan = lines.findIndex(({ text }) => plans.includes(text));
  const firsts = lines
    .slice(0, firstPlan <= 0 ? 6 : Math.min(6, firstPlan))
    // What a plan has without limit is no vendor, in whatever language the page says it.
    .filter(({ plain }) => !/^unlimited\b/i.test(plain))
    .map(({ text }) => text)
    .filter(isName);
  const parts = title
    .split(/\s*[|–—·:]\s*|\s+-\s+/)
    .map((part) => part.replace(/\s+(?:plans and )?(?:pricing|prices|plans)$/i, ''))
    .filter((part) => !/^(?:plans?|pricing|prices?|compare|what it costs)\b/i.test(part));
  const said = firsts.find((text) => title.includes(text));
  // "Members" is only a word of "Anole Members – what it costs".
  const inTitle = parts.find((part) => isName(part) && said !== undefined && wholeWords(said).test(part)) ?? said ?? parts.find(isName);
  const again = firsts.find((text) => lines.some(({ text: other }) => other !== text && wholeWords(text).test(other)));
  const onTop = firsts.find((text) => text === lines[0]?.text);
  const named = NAME_AND_PRICING.exec(lines[0]?.text ?? '')?.[1];
  return inTitle ?? onTop ?? again ?? firsts[0] ?? (named !== undefined && isName(named) ? named : '');
}

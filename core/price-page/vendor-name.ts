import type { PlainLine } from './plain-line';
import { isButton } from './line-kinds';

/**
 * Whose page it is: the name that its title and its first lines have in common, or its first line; '' if neither reads
 * as a name.
 */
export function vendorOf(lines: readonly PlainLine[], title: string, plans: readonly string[]): string {
  const isName = (text: string) =>
    /^\p{Lu}[\p{L}\d&’' .-]{1,40}$/u.test(text) && text.split(' ').length <= 3 && !plans.includes(text) && !isButton(text);
  const firsts = lines
    .slice(0, 6)
    .map(({ text }) => text)
    .filter(isName);
  const parts = title.split(/\s*[|–—·:]\s*|\s+-\s+/).filter((part) => !/^(?:plans?|pricing|prices?|compare|what it costs)\b/i.test(part));
  const inTitle = firsts.find((text) => title.includes(text)) ?? parts.find(isName);
  const again = firsts.find((text) => lines.some(({ text: other }) => other !== text && isWithin(text, other)));
  return inTitle ?? again ?? firsts[0] ?? '';
}

/** Whether a name stands in a text as whole words. */
function isWithin(name: string, text: string): boolean {
  return new RegExp(`(?<![\\p{L}\\d])${name.replace(/[.*+?^${}()|[\]\\]/g, '\\$&')}(?![\\p{L}\\d])`, 'u').test(text);
}

import type { LineRole } from './page-blocks';

const SIGNS: ReadonlyArray<readonly [RegExp, string]> = [
  [/\b(not|no|cross|times|close|minus|excluded|without|unavailable|false)\b/, '✗'],
  [/\b(yes|check|checked|checkmark|tick|included|available|done|ok|true)\b/, '✓'],
];
/** So long are the words of a hidden price at most. */
const LONGEST_PRICE = 80;

/** The sign that an icon's name stands for, and a space; empty for any other name. */
export function signOf(name: string): string {
  const sign = SIGNS.find(([pattern]) => pattern.test(name.toLowerCase()))?.[1];
  return sign === undefined ? '' : `${sign} `;
}

/** Whether the names of an element are those of a drawing, such as a tick. */
export function isIcon(names: string): boolean {
  return /\b(?:ic|icon|icons|glyph|sprite)\b/.test(names.replace(/[-_]/g, ' '));
}

/** When a hidden price holds by the names of its element; null where they do not say. */
export function cycleOf(names: string): string | null {
  if (/\b(year|yearly|annual|annually)\b/i.test(names)) return 'yearly';
  return /\b(month|monthly)\b/i.test(names) ? 'monthly' : null;
}

/** When a hidden price holds by its own words, "$13/mo billed monthly"; null where they do not say. */
export function cycleSaid(words: string): string | null {
  const text = words.replace(/\s+/g, ' ').trim().toLowerCase();
  if (!/\d/.test(text) || text.length > LONGEST_PRICE) return null;
  if (/\b(?:billed|paid) (?:monthly|by the month)\b|\bmonth[- ]to[- ]month\b/.test(text)) return 'monthly';
  return /\b(?:billed|paid) (?:yearly|annually|by the year)\b|(?:\/|\bper |\ba ) ?(?:yr|year)\b/.test(text) ? 'yearly' : null;
}

/** What a line of an element is on the page; undefined for what is none of the kinds that are told apart. */
export function roleOf(tag: string, attributes: Readonly<Record<string, string>>, names: string): LineRole | undefined {
  if (/^h[1-6]$/.test(tag) || tag === 'dt' || tag === 'caption') return 'heading';
  if (tag === 'li') return 'item';
  if (tag === 'button' || attributes['role'] === 'button' || /\b(btn|button|cta)\b/.test(names)) return 'button';
  if (tag === 'nav' || tag === 'header' || tag === 'option') return 'navigation';
  return tag === 'footer' ? 'footer' : undefined;
}

/** So long is a value at most that is set beside its name. */
const LONGEST_VALUE = 24;

/** Whether "2 GB" under "RAM" of a definition list is said of it: a price below its name is told apart, a fee named as one is not. */
export function isValueOf(name: string, text: string): boolean {
  if (/\d/.test(name) || text.length > LONGEST_VALUE || /\d[.,]\d\d\b|[€$£¥?]|\b[A-Z]{3} ?\d/.test(text)) return false;
  return !text.includes('%') || /\b(?:commission|sales fee|transaction fee)\b/i.test(name);
}

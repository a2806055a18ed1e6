/** Stands for a line that was joined to the one before; it ends no block. */
export const JOINED = '\u0000';

/** What a mail quotes begins with ">". */
const QUOTED = /^\s*>+ ?/;

/**
 * The lines of a text as a browser would copy them, without what people do to it: quotes of a mail, small letters, dashes
 * for bullets.
 */
export function asCopied(text: string): readonly string[] {
  const lines = withCapitals(text).replace(/\r\n?/g, '\n').split('\n');
  return withBullets(withoutColons(withoutIndent(lines.map((line) => withoutMarkup(line.replace(QUOTED, ''))))));
}

/** "**Starter**", "[Sign up](https://…)" and "---", as Markdown writes what is bold, a link and a rule. */
function withoutMarkup(line: string): string {
  if (/^\s*[-*_=]{3,}\s*$/.test(line)) return '';
  return line.replace(/\*\*(?=\S)(.+?)\*\*/g, '$1').replace(/!?\[([^\]\n]*)\]\([^)\s]*\)/g, '$1');
}

/** Lines that all begin some spaces in have been set in as a whole. */
function withoutIndent(lines: readonly string[]): readonly string[] {
  const starts = lines.filter((line) => line.trim() !== '').map((line) => /^ */.exec(line)?.[0].length ?? 0);
  const least = starts.reduce((one, other) => Math.min(one, other), Infinity);
  return least > 0 && least < Infinity ? lines.map((line) => line.slice(least)) : lines;
}

const A_NAME_WITH_COLON = /^\p{Lu}[\p{L}+]*(?: [\p{L}+]+){0,2}:$/u;
const NO_NAME =
  /\b(?:prices?|pricing|costs?|fees?|rates?|plans?|monthly|yearly|annual(?:ly)?|includ\w*|features?|total|extras?|add-?ons?|plus|from)\b/i;

/** How far below its name a plan's price stands at most. */
const FARTHEST_PRICE = 3;

/** "Spark:" above its price, two times or more, are names as people type them. */
function withoutColons(lines: readonly string[]): readonly string[] {
  const told = lines.map((line) => ({ text: line.trim() })).filter(({ text }) => text !== '');
  const isName = ({ text }: { readonly text: string }, index: number) => {
    const below = told.slice(index + 1, index + 1 + FARTHEST_PRICE);
    const price = below.findIndex((line) => /^(?:[€$£]|[A-Z]{3} )\s?\d|^\d[\d.,]*\s?[€$£]|^(?:free|custom)$/i.test(line.text));
    const isNear = price >= 0 && !below.slice(0, price).some((line) => line.text.endsWith(':'));
    return A_NAME_WITH_COLON.test(text) && !NO_NAME.test(text) && isNear;
  };
  const names = new Set(told.filter(isName).map(({ text }) => text));
  if (names.size < 2) return lines;
  return lines.map((line) => (names.has(line.trim()) ? line.trim().replace(/:$/, '') : line));
}

const LEAST_SPACED = 8;

/**
 * The places of lines in a text with an empty line between any two, without these: they part nothing. More than one
 * between two lines is one.
 */
export function placesWithoutSpacing(lines: readonly string[]): readonly number[] {
  const isEmpty = (at: number) => (lines[at] ?? '').trim() === '';
  const told = lines.flatMap((_line, at) => (isEmpty(at) ? [] : [at]));
  const close = told.filter((at, index) => told[index + 1] === at + 1).length;
  const all = lines.map((_line, at) => at);
  if (told.length < LEAST_SPACED || close * 10 > told.length) return all;
  return all.filter((at) => !isEmpty(at) || (isEmpty(at - 1) && !isEmpty(at + 1)));
}

/** Where somebody typed everything in small letters, names begin no other way than words do. */
function withCapitals(text: string): string {
  if (/\p{Lu}/u.test(text)) return text;
  return text
    .replace(/^\s*\p{Ll}/gmu, (first) => first.toUpperCase())
    .replace(/\b(?:eur|usd|gbp|chf|cad|aud|sek|nok|dkk|pln)\b/g, (code) => code.toUpperCase());
}

const A_DASH = /^\s*[–—-] +(?=[\p{L}\d€$£])/u;

/** Dashes before every item are bullets, as people type them; beside ticks or other signs of what is there they say what is not there. */
function withBullets(lines: readonly string[]): readonly string[] {
  const dashed = lines.filter((line) => A_DASH.test(line)).length;
  const hasOthers = lines.some((line) => /^\s*(?:[✓✔☑✅√•·▪◦‣►»]\s*[\p{L}\d]|\+\s*\p{L})/u.test(line));
  return dashed < 2 || hasOthers ? lines : lines.map((line) => line.replace(A_DASH, '• '));
}

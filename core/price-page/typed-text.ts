/** What a mail quotes begins with ">". */
const QUOTED = /^\s*>+ ?/;

/**
 * The lines of a text as a browser would copy them, without what people do to it: quotes of a mail, small letters, dashes
 * for bullets.
 */
export function asCopied(text: string): readonly string[] {
  const lines = withCapitals(text).replace(/\r\n?/g, '\n').split('\n');
  return withBullets(lines.map((line) => line.replace(QUOTED, '')));
}

/** Where somebody typed everything in small letters, names begin no other way than words do. */
function withCapitals(text: string): string {
  if (/\p{Lu}/u.test(text)) return text;
  return text
    .replace(/^\s*\p{Ll}/gmu, (first) => first.toUpperCase())
    .replace(/\b(?:eur|usd|gbp|chf|cad|aud|sek|nok|dkk|pln)\b/g, (code) => code.toUpperCase());
}

const A_DASH = /^\s*[–—-]\s+(?=[\p{L}\d€$£])/u;

/** Dashes before every item are bullets, as people type them; beside ticks or other bullets they say what is not there. */
function withBullets(lines: readonly string[]): readonly string[] {
  const dashed = lines.filter((line) => A_DASH.test(line)).length;
  const hasOthers = lines.some((line) => /^\s*[✓✔☑✅√✗✘✖❌×•·▪◦‣►»+]/u.test(line));
  return dashed < 2 || hasOthers ? lines : lines.map((line) => line.replace(A_DASH, '• '));
}

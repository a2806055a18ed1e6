/** Names are looked for in every line of a page: each pattern is made once. Those that keep their place are not shared. */
const MADE = new Map<string, RegExp>();
const MOST_MADE = 2_000;

/**
 * A pattern that finds words only where they stand as whole words: "Pro" is not in "Products". What a page writes in
 * capitals as a heading it hardly ever writes so in a sentence.
 *
 * @param flags - besides `u`
 */
export function wholeWords(words: string, flags = ''): RegExp {
  const key = `${flags} ${words}`;
  const known = MADE.get(key);
  if (known) return known;
  const isInCapitals = words.length > 2 && words === words.toUpperCase() && words !== words.toLowerCase();
  const made = new RegExp(
    `(?<![\\p{L}\\d])${words.replace(/[.*+?^${}()|[\]\\]/g, '\\$&')}(?![\\p{L}\\d])`,
    `u${flags}${isInCapitals && !flags.includes('i') ? 'i' : ''}`,
  );
  if (flags.includes('g')) return made;
  if (MADE.size >= MOST_MADE) MADE.clear();
  MADE.set(key, made);
  return made;
}

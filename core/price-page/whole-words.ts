/**
 * A pattern that finds words only where they stand as whole words: "Pro" is not in "Products". What a page writes in
 * capitals as a heading it hardly ever writes so in a sentence.
 *
 * @param flags - besides `u`
 */
export function wholeWords(words: string, flags = ''): RegExp {
  const isInCapitals = words.length > 2 && words === words.toUpperCase() && words !== words.toLowerCase();
  return new RegExp(
    `(?<![\\p{L}\\d])${words.replace(/[.*+?^${}()|[\]\\]/g, '\\$&')}(?![\\p{L}\\d])`,
    `u${flags}${isInCapitals && !flags.includes('i') ? 'i' : ''}`,
  );
}

/**
 * A pattern that finds words only where they stand as whole words: "Pro" is not in "Products".
 *
 * @param flags - besides `u`
 */
export function wholeWords(words: string, flags = ''): RegExp {
  return new RegExp(`(?<![\\p{L}\\d])${words.replace(/[.*+?^${}()|[\]\\]/g, '\\$&')}(?![\\p{L}\\d])`, `u${flags}`);
}

/**
 * Words with their first letter a capital one, as they begin a line.
 *
 * @example capital('sales fee') // 'Sales fee'
 */
export function capital(words: string): string {
  return words.charAt(0).toUpperCase() + words.slice(1);
}

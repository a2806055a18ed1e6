import { readFileSync } from 'node:fs';
import { readPricePage } from '../core/price-page/read-price-page';
import { pageAsJson } from './page-sheet';
import type { Output } from './price';

const MISUSED = 1;
const REFUSED = 2;

/**
 * The `read-page` command: reads pricing pages and prints what they say, a JSON object a line, in the order given.
 *
 * @param args - `[--currency CODE] FILE…`
 * @returns the exit code: 2 if a file could not be opened, 1 if the call was wrong
 */
export function readPages(args: readonly string[], output: Output): number {
  const at = args.indexOf('--currency');
  const currency = at >= 0 ? args[at + 1] : undefined;
  const files = args.filter((_, index) => at < 0 || (index !== at && index !== at + 1));
  if (files.length === 0 || (at >= 0 && !/^[A-Z]{3}$/.test(currency ?? ''))) {
    output.problem('Name the pages to read: npm run --silent read-page -- [--currency EUR] FILE…');
    return MISUSED;
  }
  let code = 0;
  for (const file of files) {
    try {
      output.out(JSON.stringify(pageAsJson(file, readPricePage(readFileSync(file, 'utf8'), currency === undefined ? {} : { currency }))));
    } catch (error) {
      if (!(error instanceof Error && 'code' in error)) throw error;
      output.problem(`${file}: ${error.message}`);
      code = REFUSED;
    }
  }
  return code;
}

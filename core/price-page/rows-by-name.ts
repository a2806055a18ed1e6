import { nameWords } from './plan-names';
import type { PlainLine } from './plain-line';
import type { LineGrid } from './line-grid';
import type { TableRow } from './page-tables';

/**
 * Finds what is said of one thing plan by plan: a heading, and below it each plan's name with its own value ("Staff
 * accounts", "Lite: 1", "Basic: 2"). Rates are left to the fees, which read them with their section.
 *
 * @param names - of the page's plans
 */
export function findRowsByName(lines: readonly PlainLine[], names: readonly string[]): LineGrid[] {
  const count = names.length;
  if (count < 2) return [];
  return lines.flatMap((heading, at): LineGrid[] => {
    if (/[\d¤%]/.test(heading.plain)) return [];
    const cells = lines.slice(at + 1, at + 1 + count).map((line, index) => valueOf(line, names[index] ?? ''));
    if (cells.length < count || cells.some((cell) => cell === null)) return [];
    const row: TableRow = { heading: heading.plain, line: heading.line, cells: cells.filter((cell) => cell !== null) };
    const table = { names: [...names], nameLines: [], heads: names.map(() => []), rows: [row], line: heading.line };
    return [{ table, from: at, to: at + 1 + count, head: '', groups: [] }];
  });
}

/** "Lite: 1" is Lite's; a rate or a price is no count. */
function valueOf({ plain, text, line }: PlainLine, name: string): TableRow['cells'][number] | null {
  const [, said = ''] = /^([^:]+):\s/.exec(text) ?? [];
  const value = plain.slice(plain.indexOf(':') + 1).trim();
  return said !== '' && nameWords(said).toLowerCase() === name.toLowerCase() && !/[¤%]/.test(value) ? { plain: value, line } : null;
}

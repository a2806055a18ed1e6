import { isMark } from './line-kinds';
import type { PageTable } from './page-blocks';

/**
 * Whether a table without names of its own goes on with the columns of the plans in the table above it: rows of a heading
 * and a cell for each of them, of which the first begins with a figure, a tick or a dash.
 *
 * @param names - of the plans in the columns of the last table; none where there was none
 */
export function goesOn({ rows }: PageTable, names: readonly string[]): boolean {
  const [first] = rows;
  if (!first || names.length < 2 || rows.some(({ cells }) => cells.length !== names.length + 1)) return false;
  const [heading = '', ...own] = first.cells;
  return /^\p{L}/u.test(heading) && own.some((cell) => isMark(cell) || /^[^\p{L}]{0,3}\d/u.test(cell));
}

/** A table that goes on, with the names of its plans. */
export function withNamesAbove(table: PageTable, names: readonly string[]): PageTable {
  return { ...table, rows: [{ line: table.line, cells: ['', ...names] }, ...table.rows] };
}

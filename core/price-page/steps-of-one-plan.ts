import { isUsualQuantity } from '../price-phrase/vocabulary';
import { bareNoun } from './counted-things';
import type { PageTable } from './page-blocks';
import type { PlanTable } from './page-tables';

const LEAST_STEPS = 2;
const BY_MONTH = /^(?:price|costs?|monthly|(?:price |cost )?(?:per|a) month|monthly (?:price|billing|payment)|billed monthly)$/i;
const BY_YEAR =
  /^(?:yearly|annual(?:ly)?|(?:price |cost )?(?:per|a) year|(?:yearly|annual) (?:price|billing|payment)|billed (?:yearly|annually))$/i;

/**
 * The steps of the one plan of a page that has no name: "Subscribers | Monthly | Yearly" over so many and what they cost. What
 * a year costs is left open: a price has steps of one term.
 *
 * @param plain - writes a cell in plain figures
 * @returns a table of one plan, called "Plan"; null where the table is another
 */
export function stepsOfOnePlan({ rows, line }: PageTable, plain: (text: string) => string): PlanTable | null {
  const [head, ...body] = rows.map((row) => ({ line: row.line, cells: row.cells.map(plain) }));
  const [counted = '', ...columns] = head?.cells ?? [];
  if (/\d/.test(counted) || !isUsualQuantity(bareNoun(counted)) || columns.length === 0 || columns.length > 2) return null;
  const column = columns.findIndex((name) => BY_MONTH.test(name));
  if (column < 0 || columns.some((name, at) => at !== column && !BY_YEAR.test(name))) return null;
  const steps = body.filter(
    ({ cells }) => /^(?:up to |to )?\d+\+?$/i.test(cells[0] ?? '') && /^(?:¤\d|free$)/i.test(cells[column + 1] ?? ''),
  );
  if (steps.length < LEAST_STEPS || steps.length < body.length - 1) return null;
  const cells = (row: (typeof body)[number]) => [{ plain: row.cells[column + 1] ?? '', line: row.line }];
  return {
    names: ['Plan'],
    heads: [[]],
    rows: body.map((row) => ({ heading: row.cells[0] ?? '', line: row.line, cells: cells(row) })),
    line,
  };
}

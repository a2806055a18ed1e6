import type { FoundPlans } from './find-plans';
import { isPriced } from './line-kinds';
import type { PageTable } from './page-blocks';
import { planTable } from './page-tables';
import { type FigureFormat, plainText } from './plain-figures';

/** A table of more than names and prices, which may be the one of the plans. */
export function hasColumns({ rows }: PageTable): boolean {
  return rows.some(({ cells }) => cells.length > 2);
}

/** Names with nothing but a price each, below a table that prices other plans, are sold beside them. */
export function areBelowTable({ cards }: FoundPlans, tables: readonly PageTable[], format: FigureFormat): boolean {
  const plain = (text: string) => plainText(text, format);
  const named = tables.flatMap((table) => {
    const plans = hasColumns(table) ? planTable(table, plain, []) : null;
    const hasPrices = plans?.rows.some(
      ({ heading, cells }) => /\bpric|month|year|today\b/i.test(heading) && cells.some((cell) => /¤\d/.test(cell.plain)),
    );
    return plans && hasPrices ? [{ line: table.line, names: plans.names }] : [];
  });
  return (
    cards.length > 0 &&
    cards.every(
      ({ name, nameLine, lines }) =>
        lines.every((one) => isPriced(one.plain)) && named.some((table) => nameLine > table.line && !table.names.includes(name)),
    )
  );
}

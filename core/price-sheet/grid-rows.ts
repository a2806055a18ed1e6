import type { PriceSheet } from '../decision/price-sheet';
import type { Charge } from '../decision-file/price-sheet-schema';
import type { RowKind } from '../price-phrase/row-kind';
import { columnsOf, type Part } from './parts';
import { chargeOf } from './rows/charge-row';
import { ROW_RULES, ruleOf } from './rows/kinds';
import { type RowHeading, SECTIONS } from './rows/row-rule';

/** A row of a price sheet: what it states, for each column. */
export interface GridRow extends RowHeading {
  readonly kind: RowKind;
}

/** The rows of a sheet: those that state something, the usual ones, and those a person asked for. */
export function gridRows(sheet: PriceSheet, asked: readonly RowKind[] = [], columns: readonly Part[] = columnsOf(sheet)): GridRow[] {
  const wanted = { sheet, columns, asked, areAddons: sheet.kind === 'offer' && columns !== columnsOf(sheet) };
  const kinds: readonly RowKind[] = [
    ...Object.values(ROW_RULES).flatMap((rule): readonly RowKind[] => rule.kinds(wanted)),
    ...asked.filter(({ kind }) => kind === 'charge' || sheet.kind !== 'processor'),
  ];
  const rows = new Map<string, GridRow>();
  for (const row of kinds.map(rowOf)) if (!rows.has(row.key)) rows.set(row.key, row);
  return SECTIONS.flatMap((section) => [...rows.values()].filter((row) => row.section === section));
}

/** The row that states something of a kind. */
export function rowOf(kind: RowKind): GridRow {
  return { ...ruleOf(kind).heading(kind), kind };
}

/** The charge of a part that stands in a row. */
export function chargeIn(part: Part, { kind }: GridRow): Charge | undefined {
  return kind.kind === 'charge' ? chargeOf(part, kind) : undefined;
}

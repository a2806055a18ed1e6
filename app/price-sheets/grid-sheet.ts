import type { PriceSheet } from '#core/decision/price-sheet';
import type { GridRow } from '#core/price-sheet/grid-rows';
import type { Part } from '#core/price-sheet/parts';
import type { Cells } from './use-cells';
import { gridSheet as words } from './words/grid-sheet';

/** A sheet as its grid shows it, and how it is changed. */
export interface GridSheet {
  readonly id: string;
  readonly sheet: PriceSheet;
  readonly rows: readonly GridRow[];
  readonly columns: readonly Part[];
  columnsOf(sheet: PriceSheet): readonly Part[];
  /** Quantities that the forecast states. */
  readonly known: readonly string[];
  readonly write: Cells;
  onChange(key: string, label: string, change: (sheet: PriceSheet) => PriceSheet): void;
}

/** How a figure of a part is called. */
export function nameOf({ title }: GridRow, { label }: Part): string {
  return `${label || words.thisPlan}, ${title.toLowerCase()}`;
}

/** The key under which what is typed into a cell is kept. */
export function keyOf(sheetId: string, row: GridRow, part: Part): string {
  return `${sheetId}.${part.id}.${row.key}`;
}

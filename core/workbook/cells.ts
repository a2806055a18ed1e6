/** How a cell's number is shown. */
export type NumberFormat = 'money' | 'number' | 'whole';

/** A cell of a workbook; a formula is written without its equals sign. */
export type Cell =
  | { readonly kind: 'text'; readonly text: string; readonly style?: 'head' | 'title' | 'quiet' | 'strong' }
  | {
      readonly kind: 'number';
      readonly value: string;
      readonly format?: NumberFormat;
      /** Meant to be changed. */ readonly isInput?: boolean;
    }
  | { readonly kind: 'formula'; readonly formula: string; readonly format?: NumberFormat; readonly isStrong?: boolean }
  | null;

/** A finished sheet; the first row is row 1 of the spreadsheet. */
export interface WorkbookSheet {
  readonly name: string;
  readonly rows: ReadonlyArray<readonly Cell[]>;
  /** Widths of columns in characters. */
  readonly widths: readonly number[];
  /** Rows and columns that stay in view. */
  readonly frozen: { readonly rows: number; readonly columns: number };
}

/** A sheet that is being filled from top to bottom. */
export interface SheetInProgress {
  readonly name: string;
  readonly rows: Cell[][];
  /** Adds a row and says its number in the spreadsheet, counted from 1. */
  add(...cells: Cell[]): number;
}

export function newSheet(name: string): SheetInProgress {
  const rows: Cell[][] = [];
  return {
    name,
    rows,
    add(...cells) {
      rows.push(cells);
      return rows.length;
    },
  };
}

export const text = (value: string, style?: Extract<Cell, { kind: 'text' }>['style']): Cell => ({
  kind: 'text',
  text: value,
  ...(style ? { style } : {}),
});
export const number = (value: string, format: NumberFormat = 'number', isInput = false): Cell => ({
  kind: 'number',
  value,
  format,
  isInput,
});
export const input = (value: string, format: NumberFormat = 'number'): Cell => number(value, format, true);
export const formula = (written: string, format: NumberFormat = 'number', isStrong = false): Cell => ({
  kind: 'formula',
  formula: written,
  format,
  isStrong,
});

/**
 * A column's letters.
 *
 * @param index - 0 for the first
 * @example columnLetters(27) // 'AB'
 */
export function columnLetters(index: number): string {
  const rest = Math.floor(index / 26);
  return `${rest > 0 ? columnLetters(rest - 1) : ''}${String.fromCharCode(65 + (index % 26))}`;
}

/**
 * A cell of another sheet, which stays the same wherever the formula is copied to.
 *
 * @param column - index, 0 for the first
 * @param row - as spreadsheets count, 1 for the first
 * @example fixedCell('Prices', 3, 12) // 'Prices!$D$12'
 */
export function fixedCell(sheet: string, column: number, row: number): string {
  return `${sheet}!$${columnLetters(column)}$${row}`;
}

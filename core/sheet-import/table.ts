import Papa from 'papaparse';

/** A table of texts; every row has as many cells as the widest. */
export type Table = readonly (readonly string[])[];

/** A table that was read, and what of it was left out. */
export interface ReadTable {
  readonly table: Table;
  /** Rows and columns past what a price sheet can have; 0 if all was read. */
  readonly rowsLeftOut: number;
  readonly columnsLeftOut: number;
}

const MOST_ROWS = 500;
const MOST_COLUMNS = 60;
const LONGEST_CELL = 500;

/** Brings rows into the form of a table: empty rows and columns go, cells are cut to what a figure can need. */
export function tableOf(rows: readonly (readonly string[])[]): ReadTable {
  const trimmed = rows.map((row) => row.map((cell) => cell.replace(/\s+/g, ' ').trim()));
  const filled = trimmed.filter((row) => row.some((cell) => cell !== ''));
  const width = filled.reduce((most, row) => Math.max(most, row.length), 0);
  const used = Array.from({ length: width }, (_, column) => column).filter((column) => filled.some((row) => (row[column] ?? '') !== ''));
  const columns = used.slice(0, MOST_COLUMNS);
  const table = filled.slice(0, MOST_ROWS).map((row) => columns.map((column) => (row[column] ?? '').slice(0, LONGEST_CELL)));
  return { table, rowsLeftOut: Math.max(0, filled.length - MOST_ROWS), columnsLeftOut: used.length - columns.length };
}

/**
 * Reads separated values (RFC 4180): commas, semicolons, tabs or bars, found out by themselves.
 *
 * @param text - a file's text, or what a spreadsheet puts on the clipboard
 */
export function delimitedTable(text: string): ReadTable {
  const delimiter = /\t/.test(text.slice(0, 10_000)) ? '\t' : '';
  const { data } = Papa.parse<string[]>(text.replace(/^\uFEFF/, ''), {
    delimiter,
    delimitersToGuess: [';', ',', '|'],
    skipEmptyLines: 'greedy',
  });
  return tableOf(data);
}

/** The table with rows and columns exchanged. */
export function transposed(table: Table): Table {
  return (table[0] ?? []).map((_, column) => table.map((row) => row[column] ?? ''));
}

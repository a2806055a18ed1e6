import Papa from 'papaparse';

/** A cell of a CSV file: what people typed, or a figure of ours. */
export type CsvCell = { readonly typed: string } | string;

/** Spreadsheets take a text that begins so for a formula. */
const DANGEROUS = /^[=+\-@\t\r\n＝＋－＠]/;

/**
 * What a person typed, so that no spreadsheet takes it for a formula: an apostrophe stands before it.
 *
 * @example defused('=1+1') // "'=1+1"
 */
export function defused(text: string): string {
  return DANGEROUS.test(text.trimStart()) || DANGEROUS.test(text) ? `'${text}` : text;
}

/** A table as CSV (RFC 4180): comma, quotes doubled, lines ended by CR LF. Texts that people typed are defused. */
export function csvText(rows: ReadonlyArray<readonly CsvCell[]>): string {
  const cells = rows.map((row) => row.map((cell) => (typeof cell === 'string' ? cell : defused(cell.typed))));
  return `${Papa.unparse(cells, { newline: '\r\n' })}\r\n`;
}

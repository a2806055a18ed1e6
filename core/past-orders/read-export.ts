import Papa from 'papaparse';
import { type ColumnRole, roleOfName, rolesOf } from './column-role';
import { ExportRows } from './export-rows';
import { type Encoding, encodingOf, RecordCutter, RefusedExport, separatorOf } from './export-text';
import { type FoundOrders, type OrderChoices, ordersOfRows } from './orders-of-rows';

/** What a person says about a file where it does not say so itself, or says so wrongly. */
export interface ExportChoices extends OrderChoices {
  /** Roles by the column's place, in place of those that were recognised. */
  readonly roles?: Readonly<Record<number, ColumnRole>>;
}

/** A column of the file, and what it was taken for. */
export interface ExportColumn {
  readonly name: string;
  readonly role: ColumnRole;
  /** Some of its values; none where it is left out, as it may tell who ordered. */
  readonly examples: readonly string[];
}

/** An export of orders as it was read. */
export interface ReadExport extends FoundOrders {
  readonly encoding: Encoding;
  readonly separator: string;
  readonly columns: readonly ExportColumn[];
}

const HEADER_WITHIN = 40;
const EXAMPLES = 3;

/**
 * Reads an export of orders that comes in pieces, with as little of it in memory as can be: of every row only what is of
 * use, and nothing of who ordered.
 */
export class ExportReader {
  private cutter: RecordCutter | null = null;
  private encoding: Encoding = 'utf-8';
  private separator = ',';
  private header: { readonly cells: readonly string[]; readonly roles: readonly ColumnRole[]; readonly rows: ExportRows } | null = null;
  private line = 0;
  private waiting: string[][] = [];
  private readonly examples: Array<Set<string>> = [];

  /** @param given - `windows-1252` once it has turned out not to be UTF-8 */
  constructor(
    private readonly choices: ExportChoices = {},
    private readonly given?: Encoding,
  ) {}

  /**
   * Takes the next piece of the file.
   *
   * @throws RefusedExport where it is no export of orders, NotUtf8 where it has to be read again
   */
  push(bytes: Uint8Array, isLast = false): void {
    if (!this.cutter) {
      const found = encodingOf(bytes);
      this.encoding = found === 'utf-8' ? (this.given ?? found) : found;
      this.cutter = new RecordCutter(this.encoding);
    }
    const text = this.cutter.push(bytes, isLast);
    if (this.line === 0) this.separator = separatorOf(text);
    const { data } = Papa.parse<string[]>(text, { delimiter: this.separator, skipEmptyLines: false });
    // Behind the last line break there is an empty record that is none.
    if (text.endsWith('\n')) data.pop();
    for (const cells of data) this.take(cells);
  }

  /** @throws RefusedExport where nothing in it can be an order */
  finish(): ReadExport {
    if (!this.header) this.findHeader();
    if (!this.header) throw new RefusedExport(NO_HEADER);
    const { cells, roles, rows } = this.header;
    return {
      ...ordersOfRows(rows, this.choices, this.separator),
      encoding: this.encoding,
      separator: this.separator,
      columns: cells.map((name, at) => ({ name, role: roles[at] ?? 'left-out', examples: [...(this.examples[at] ?? [])] })),
    };
  }

  private take(cells: string[]): void {
    this.line += 1;
    if (cells.every((cell) => cell.trim() === '')) {
      if (!this.header) this.waiting.push([]);
      return;
    }
    if (this.header) return this.takeRow(cells, this.line);
    this.waiting.push(cells);
    if (this.waiting.length >= HEADER_WITHIN) this.findHeader();
  }

  /** The header is the line with the most names that say something; what stands above it is passed over. */
  private findHeader(): void {
    const scores = this.waiting.map((cells) => new Set(cells.map(roleOfName).filter((role) => role !== 'left-out')).size);
    const best = Math.max(0, ...scores);
    const place = scores.indexOf(best);
    const cells = this.waiting[place]?.map((cell) => cell.trim()) ?? [];
    if (best < 2 && this.choices.roles === undefined) throw new RefusedExport(this.waiting.length === 0 ? EMPTY : NO_HEADER);
    const recognised = rolesOf(cells);
    const roles = cells.map((_, at) => this.choices.roles?.[at] ?? recognised[at] ?? 'left-out');
    this.header = { cells, roles, rows: new ExportRows(roles) };
    const rest = this.waiting.slice(place + 1);
    this.waiting = [];
    rest.forEach((row, at) => row.length > 0 && this.takeRow(row, place + at + 2));
  }

  private takeRow(cells: readonly string[], line: number): void {
    const header = this.header;
    // Files that were joined have their header once more in the middle.
    if (!header || cells.every((cell, at) => cell.trim() === header.cells[at])) return;
    header.rows.add(cells, line);
    header.roles.forEach((role, at) => {
      if (role === 'left-out' || role === 'number') return;
      const seen = (this.examples[at] ??= new Set());
      const value = cells[at]?.trim() ?? '';
      if (seen.size < EXAMPLES && value !== '' && value.length <= 40) seen.add(value);
    });
  }
}

const EMPTY = 'This file is empty. Export your orders from the shop as CSV, then drop that file here.';
const NO_HEADER =
  'No line of this file names a date and an amount. Its columns should be named in one line, such as “Date” and “Total”; then drop it here again.';

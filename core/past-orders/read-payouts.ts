import Papa from 'papaparse';
import { RefusedExport, separatorOf } from './export-text';
import { readWrittenAmount } from './written-amount';
import { readWrittenDay } from './written-day';

/** A payment of a customer as whoever took it settled it. */
export interface Payment {
  /** Days since 1 January 1970. */
  readonly day: number;
  /** What the customer paid, in ten-thousandths, above 0. */
  readonly gross: number;
  /** What was kept of it, in ten-thousandths; below 0 where it was more than given back. */
  readonly fee: number;
  /** Its line in the file. */
  readonly line: number;
}

/** A list of payments as it was read. */
export interface ReadPayouts {
  readonly payments: readonly Payment[];
  /** Lines that are no payment: refunds, transfers, monthly fees. */
  readonly others: number;
  /** Lines whose day or amounts cannot be read. */
  readonly unread: { readonly count: number; readonly first: ReadonlyArray<{ readonly line: number; readonly why: string }> };
}

type Column = 'day' | 'gross' | 'fee' | 'net';

/** What columns are called; the surer names first. */
const NAMES: Readonly<Record<Column, readonly RegExp[]>> = {
  gross: [/\bgross\b|\bbrutto\b|\bbrut\b/i, /\b(amount|total|paid|betrag|summe|montant|importe)\b/i],
  fee: [/\bfees?\b|geb(ü|ue)hr|\bfrais\b|\bcomisi[oó]n\b|\bkosten\b/i, /\b(commission|charged?)\b/i],
  net: [/\bnet\b|\bnetto\b|\bneto\b/i, /\b(payout|paid out|auszahlung|received)\b/i],
  day: [/^(date|day|datum|fecha)$/i, /\b(created|date|day|paid|time|datum|buchungstag|settled|available)\b/i],
};
const HEADER_WITHIN = 40;
const MOST_LINES = 1_000_000;
const FIRST_UNREAD = 8;

/**
 * Reads a list of payments of a processor or a bank: a line each with its day and two of what was paid, what was kept and
 * what was paid out. Signs before and behind amounts, decimal commas, and fees written below zero are read.
 *
 * @throws RefusedExport where there is no such list, in words that say what to do
 */
export function readPayouts(text: string): ReadPayouts {
  const { data } = Papa.parse<string[]>(text.replace(/^\uFEFF/, ''), { delimiter: separatorOf(text), skipEmptyLines: false });
  const at = data.slice(0, HEADER_WITHIN).findIndex((cells) => isHeader(columnsOf(cells)));
  const columns = columnsOf(data[at] ?? []);
  if (at < 0) throw new RefusedExport(NO_HEADER);
  const rows = data
    .slice(at + 1)
    .flatMap((cells, index) => (cells.every((cell) => cell.trim() === '') ? [] : [{ cells, line: at + index + 2 }]));
  if (rows.length > MOST_LINES)
    throw new RefusedExport('There are more than a million lines. Export the payments by the year, and drop one year.');
  const signs = decidedFrom(
    rows.map(({ cells }) => cells),
    columns,
  );
  const payments: Payment[] = [];
  const unread: Array<{ line: number; why: string }> = [];
  let others = 0;
  for (const { cells, line } of rows) {
    const read = paymentIn(cells, columns, signs);
    if (typeof read === 'string') unread.push({ line, why: read });
    else if (read.gross <= 0) others += 1;
    else payments.push({ ...read, line });
  }
  return { payments, others, unread: { count: unread.length, first: unread.slice(0, FIRST_UNREAD) } };
}

const NO_HEADER =
  'No line of this file names a day and two of gross, fee and net. Export the list of payments with these columns, then drop it here again.';

type Columns = Readonly<Record<Column, number>>;

function columnsOf(cells: readonly string[]): Columns {
  const found: Record<Column, number> = { gross: -1, fee: -1, net: -1, day: -1 };
  for (const round of [0, 1])
    for (const column of ['fee', 'net', 'gross', 'day'] as const) {
      if (found[column] >= 0) continue;
      found[column] = cells.findIndex((cell, at) => NAMES[column][round]?.test(cell.trim()) && !Object.values(found).includes(at));
    }
  return found;
}

function isHeader({ day, gross, fee, net }: Columns): boolean {
  return day >= 0 && [gross, fee, net].filter((at) => at >= 0).length >= 2;
}

interface Signs {
  readonly sign: 'point' | 'comma';
  readonly order: 'dayFirst' | 'monthFirst';
}

/** The decimal sign and the order of day and month with which more of the file can be read; the day first where both can. */
function decidedFrom(rows: readonly (readonly string[])[], { day, gross, fee, net }: Columns): Signs {
  const amounts = [gross, fee, net].filter((at) => at >= 0);
  const counts = { point: 0, comma: 0, dayFirst: 0, monthFirst: 0 };
  for (const cells of rows) {
    for (const at of amounts) {
      const { point, comma } = readWrittenAmount((cells[at] ?? '').trim());
      counts.point += Number(point !== null);
      counts.comma += Number(comma !== null);
    }
    const { dayFirst, monthFirst } = readWrittenDay((cells[day] ?? '').trim());
    counts.dayFirst += Number(dayFirst !== null);
    counts.monthFirst += Number(monthFirst !== null);
  }
  return {
    sign: counts.comma > counts.point ? 'comma' : 'point',
    order: counts.monthFirst > counts.dayFirst ? 'monthFirst' : 'dayFirst',
  };
}

function paymentIn(cells: readonly string[], columns: Columns, { sign, order }: Signs): Omit<Payment, 'line'> | string {
  const written = (column: Column) => (cells[columns[column]] ?? '').trim();
  const day = readWrittenDay(written('day'))[order];
  if (day === null) return `“${written('day')}” is not a day.`;
  const amounts: Partial<Record<'gross' | 'fee' | 'net', number>> = {};
  for (const column of ['gross', 'fee', 'net'] as const) {
    if (columns[column] < 0 || written(column) === '') continue;
    const amount = readWrittenAmount(written(column))[sign];
    if (amount === null) return `“${written(column)}” is not an amount.`;
    amounts[column] = amount;
  }
  const { net } = amounts;
  // Some write what they keep below zero, some above.
  const fee = amounts.fee === undefined ? undefined : Math.abs(amounts.fee);
  const gross = amounts.gross ?? (net === undefined || fee === undefined ? undefined : net + fee);
  const kept = fee ?? (gross === undefined || net === undefined ? undefined : gross - net);
  return gross === undefined || kept === undefined ? 'Two of gross, fee and net are needed.' : { day, gross, fee: kept };
}

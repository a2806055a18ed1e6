import { dayCounted } from '../calendar/counted-day';
import { type ExportRows, type NumberColumn, WORD_COLUMNS } from './export-rows';
import { type KeptFile, type KeptPart, type KeptWords, ORDERS_A_PART, type WordColumn } from './kept-orders';

/** An order as it is kept: the row it begins in, and in ten-thousandths what was paid and given back. */
export interface RowOrder {
  readonly row: number;
  value: number;
  refunded: number;
}

/**
 * What is kept of orders that were read.
 *
 * @param tooMany - columns of which nothing is kept
 */
export function keptParts(rows: ExportRows, days: NumberColumn, orders: readonly RowOrder[], tooMany: readonly WordColumn[]) {
  const isKept = (column: WordColumn) => rows.has(column) && !tooMany.includes(column);
  const words = Object.fromEntries(
    WORD_COLUMNS.map((column) => [column, isKept(column) ? [...rows.values[column].keys()] : ['']]),
  ) as KeptWords;
  let [first, last] = [Infinity, -Infinity];
  const partOf = (some: readonly RowOrder[]): KeptPart => {
    const part: KeptPart = { day: [], value: [], refunded: [], number: [], currency: [], country: [], means: [], channel: [] };
    for (const { row, value, refunded } of some) {
      const day = days.at(row);
      first = Math.min(first, day);
      last = Math.max(last, day);
      part.day.push(day);
      part.value.push(value);
      part.refunded.push(refunded);
      part.number.push(rows.number.at(row));
      for (const column of WORD_COLUMNS) part[column].push(isKept(column) ? rows.words[column].at(row) : 0);
    }
    return part;
  };
  const parts: KeptPart[] = [];
  for (let at = 0; at < orders.length; at += ORDERS_A_PART) parts.push(partOf(orders.slice(at, at + ORDERS_A_PART)));
  const file: Omit<KeptFile, 'name'> = { orders: orders.length, from: dayCounted(first), to: dayCounted(last), words };
  return { file, parts };
}

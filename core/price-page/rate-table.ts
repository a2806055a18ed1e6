import { feesIn } from './fees';
import type { PageTable } from './page-blocks';
import type { ReadingBuilder } from './reading-builder';

const CHANNEL =
  /^(?:online|in person|in store|in-store|at the till|by phone|keyed in|card reader|terminal|contactless|card not present|card present)$/i;
/** Heads of a column that holds a whole rate, or the first part of one. */
const RATE =
  /^(?:fees?|rates?|prices?|costs?|charges?|percentage|percent|%|what (?:we take|it costs|you pay)|(?:fee |price )?per (?:transaction|payment|sale))$/i;
/** Heads of a column with what comes on top of a rate. */
const FIXED = /^(?:fixed|flat|plus|fixed (?:fee|amount|part)|flat fee)$/i;

/** What is paid by the month is something that is had beside a plan. */
const PAID_BY_TIME = /(?:\/|\b(?:per|a)) ?(?:month|mo|year|yr)\b/i;

/** "How they pay | Where | Fee": what a rate is of stands in several columns, which are one name. */
function withOneName(rows: PageTable['rows']): PageTable['rows'] {
  const [head, ...body] = rows;
  const width = head?.cells.length ?? 0;
  const isOfWords = (at: number) => body.every(({ cells }) => /\p{L}/u.test(cells[at] ?? '') && !/\d/.test(cells[at] ?? ''));
  const areNames = width > 2 && RATE.test(head?.cells.at(-1) ?? '') && Array.from({ length: width - 1 }, (_, at) => at).every(isOfWords);
  if (!areNames) return rows;
  return rows.map((row) => ({ ...row, cells: [row.cells.slice(0, -1).join(', '), row.cells.at(-1) ?? ''] }));
}

/** A table of rates by kind of card and channel, or by way of paying, has no plans in its head. */
export function isRateTable(table: PageTable): boolean {
  const rows = withOneName(table.rows);
  const [head, ...body] = rows;
  const names = head?.cells.slice(1).filter((cell) => cell !== '') ?? [];
  const isOfRates = names.every((cell) => CHANNEL.test(cell)) || (names.length <= 2 && isRateColumns(names));
  const rates = body.filter(({ cells }) => cells.some((cell) => /\d\s?%/.test(cell))).length;
  const others = body.filter(({ cells }) => cells.some((cell) => PAID_BY_TIME.test(cell))).length;
  return names.length > 0 && isOfRates && rates > others;
}

function isRateColumns([rate = '', fixed]: readonly string[]): boolean {
  return RATE.test(rate) && (fixed === undefined || FIXED.test(fixed));
}

/** Rates by kind of card and channel, or by way of paying: of a processor, or of every plan of the page. */
export function readRateTable(table: PageTable, plain: (text: string) => string, builder: ReadingBuilder, isProcessor: boolean): void {
  const [head, ...body] = withOneName(table.rows);
  const columns = (head?.cells.slice(1) ?? []).map(plain);
  const plans = isProcessor ? [builder.plan('', 0)] : builder.plans;
  for (const { line, cells } of body) {
    const [name = '', ...written] = cells.map(plain);
    const rates = isRateColumns(columns) ? [joined(written)] : written;
    for (const [column, rate] of rates.entries()) {
      const channel = isRateColumns(columns) ? '' : (columns[column] ?? '');
      const heading = `${name} ${channel}`.trim().toLowerCase();
      const label = channel === '' ? name : `${name}, ${channel.toLowerCase()}`;
      for (const { statement } of feesIn(rate, { heading, isFee: true, isProcessor: true }))
        for (const plan of plans) builder.state(plan, { ...statement, charge: { ...statement.charge, label } }, line);
    }
  }
}

/** "1.5%" and "¤0.25" in two columns are one rate; a bare amount is charged for each payment. */
function joined(cells: readonly string[]): string {
  const parts = cells.filter((cell) => /\d/.test(cell));
  const [only = ''] = parts;
  return parts.length === 1 && /^¤[\d.]+$/.test(only) ? `${only} per payment` : parts.map((part) => part.replace(/^\+\s*/, '')).join(' + ');
}

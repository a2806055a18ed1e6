import Papa from 'papaparse';
import * as z from 'zod';
import type { Stream } from '../decision-file/forecast-schema';
import type { DecisionFile } from '../decision-file/schema';
import { type Problem, RefusedFileError } from '../fields/problems';
import { type PastOrder, type PastOrders, pastOrdersOf } from './past-orders';

const COLUMNS = ['date', 'value', 'stream', 'card', 'refunded'] as const;
/** So many lines are told; more would hide what they have in common. */
const MOST_TOLD = 20;

const rowSchema = z.object({
  date: z.iso.date('use a day such as 2026-11-28'),
  value: z
    .string()
    .regex(/^\d{1,9}(\.\d{1,6})?$/, 'use an amount above 0 with a point, such as 48.00')
    .refine((text) => Number(text) > 0, 'use an amount above 0 with a point, such as 48.00'),
  stream: z.string().default(''),
  card: z.string().default(''),
  refunded: z.enum(['', '0', '1'], 'use 0 or 1').default(''),
});

/**
 * Reads past orders as CSV (decision file §11), by date and for the same date in the order of the file.
 *
 * @param text - RFC 4180, the first line the names: `date`, `value`, and optionally `stream`, `card`, `refunded`
 * @throws RefusedFileError with the lines that cannot be read, or where there is no order
 */
export function readPastOrders(text: string, { forecast }: Pick<DecisionFile, 'forecast'>): PastOrders {
  const { data, meta } = Papa.parse<Record<string, string>>(text.replace(/^\uFEFF/, ''), { header: true, skipEmptyLines: 'greedy' });
  const names = meta.fields ?? [];
  const problems: Problem[] = names
    .filter((name) => !COLUMNS.some((column) => column === name))
    .map((name) => ({ path: 'line 1', found: JSON.stringify(name), wanted: `use the columns ${COLUMNS.join(', ')}` }));
  for (const column of ['date', 'value'])
    if (!names.includes(column)) problems.push({ path: 'line 1', found: 'nothing', wanted: `add the column ${column}` });
  if (problems.length > 0) throw new RefusedFileError(problems);
  const orders = data.flatMap((row, index) => {
    const order = orderOf(row, forecast.streams);
    if (!Array.isArray(order)) return [order];
    problems.push(...order.map((problem) => ({ ...problem, path: `line ${index + 2}, ${problem.path}` })));
    return [];
  });
  if (problems.length > 0) throw new RefusedFileError(problems.slice(0, MOST_TOLD));
  const read = pastOrdersOf(orders);
  if (!read) throw new RefusedFileError([{ path: 'line 2', found: 'nothing', wanted: 'add an order to a line of its own' }]);
  return read;
}

function orderOf(row: Record<string, string>, streams: readonly Stream[]): PastOrder | Problem[] {
  const read = rowSchema.safeParse(row);
  if (!read.success)
    return read.error.issues.map(({ path: [column], message }) => ({
      path: String(column),
      found: JSON.stringify(row[String(column)] ?? ''),
      wanted: message,
    }));
  const { date, value, stream: id, card: kind, refunded } = read.data;
  const stream = id === '' ? 0 : streams.findIndex((one) => one.id === id);
  const found = streams[stream];
  if (!found)
    return [{ path: 'stream', found: JSON.stringify(id), wanted: `use one of ${streams.map((one) => one.id).join(', ') || 'no stream'}` }];
  const kinds = Object.keys(found.cards ?? { domestic: '100' });
  const card = kind === '' ? 'domestic' : kind;
  if (!kinds.includes(card)) return [{ path: 'card', found: JSON.stringify(card), wanted: `use one of ${kinds.join(', ')}` }];
  return { date, value, stream, card, refunded: refunded === '1' };
}

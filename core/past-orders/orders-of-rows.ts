import { AMOUNTS, type AmountColumn, type ExportRows, type NumberColumn, WHOLE_REFUND, WORD_COLUMNS } from './export-rows';
import { type KeptFile, type KeptPart, MOST_VALUES, type WordColumn } from './kept-orders';
import { keptParts, type RowOrder } from './kept-parts';
import { RefusedExport } from './export-text';

export type DayOrder = 'day-first' | 'month-first';

/** What a person decides where the file leaves it open. */
export interface OrderChoices {
  readonly dayOrder?: DayOrder;
  /** Whether orders that were called off, and tests, are kept too. */
  readonly withCalledOff?: boolean;
}

/** What was found in the rows of an export. */
export interface FoundOrders {
  /** What is kept, still without a name; null where it is still to be asked in which order day and month stand. */
  readonly found: { readonly file: Omit<KeptFile, 'name'>; readonly parts: readonly KeptPart[] } | null;
  /** How day and month stand; `ask` where every day could be either. */
  readonly dayOrder: DayOrder | 'ask';
  readonly decimalSign: '.' | ',';
  /** Rows that belong to an order before them. */
  readonly furtherRows: number;
  /** Orders that were called off, or tests, and left out. */
  readonly calledOff: number;
  /** Orders that were refunded in part; they count as not refunded. */
  readonly partlyRefunded: number;
  /** Orders of nothing, such as presents. */
  readonly free: number;
  /** Amounts given back for orders that are not in the file. */
  readonly strayRefunds: number;
  readonly unread: { readonly count: number; readonly first: ReadonlyArray<{ readonly line: number; readonly why: string }> };
  /** Columns whose values are too many to tell orders apart by; they are not kept. */
  readonly tooMany: readonly WordColumn[];
}

const MOST_TOLD = 50;

/** What the rows come to, once it is known how the whole file writes days and amounts. */
export function ordersOfRows(rows: ExportRows, choices: OrderChoices, separator: string): FoundOrders {
  if (!rows.has('date'))
    throw new RefusedExport('No column says when an order was placed. Say which one does, or export your orders with their date.');
  if (!rows.has('total') && !rows.has('subtotal'))
    throw new RefusedExport('No column says what was paid for an order. Say which one does, or export your orders with their total.');
  if (rows.length === 0) throw new RefusedExport('This file names its columns, but there is no order in it.');
  const dayOrder = choices.dayOrder ?? dayOrderOf(rows);
  const decimalSign = decimalSignOf(rows, separator);
  const days = dayOrder === 'month-first' ? rows.monthFirst : rows.dayFirst;
  const read = new Reading(rows, days, decimalSign);
  const orders = read.orders(choices.withCalledOff === true);
  if (orders.kept.length === 0 && read.unread.count > 0) {
    const [first] = read.unread.first;
    throw new RefusedExport(`No row of this file can be read as an order. Line ${first?.line}: ${first?.why}`);
  }
  if (orders.kept.length === 0) throw new RefusedExport('Every order in this file was called off, is a test or costs nothing.');
  const tooMany = WORD_COLUMNS.filter((column) => isListOfNames(rows.values[column], orders.kept.length));
  return {
    found: dayOrder === 'ask' ? null : keptParts(rows, days, orders.kept, tooMany),
    dayOrder,
    decimalSign,
    furtherRows: orders.furtherRows,
    calledOff: orders.calledOff,
    partlyRefunded: orders.kept.filter(({ refunded, value }) => refunded > 0 && refunded < value).length,
    free: orders.free,
    strayRefunds: orders.strayRefunds,
    unread: read.unread,
    tooMany,
  };
}

/** So few different values are not told from a list of names by their number. */
const FEW_VALUES = 3;

/**
 * Whether a column tells orders apart by who placed them, whatever it was taken for: by more values than there are places
 * of selling, by another one for more than half of the orders, or by mail addresses.
 */
function isListOfNames(values: ReadonlyMap<string, number>, orders: number): boolean {
  if (values.size > MOST_VALUES || [...values.keys()].some((value) => value.includes('@'))) return true;
  return values.size > FEW_VALUES && values.size * 2 > orders;
}

/** Day or month first, by days that can only be one of them; `ask` where all could be either and it makes a difference. */
function dayOrderOf({ dayFirst, monthFirst, length }: ExportRows): DayOrder | 'ask' {
  let [onlyDayFirst, onlyMonthFirst, differ] = [0, 0, 0];
  for (let row = 0; row < length; row++) {
    const [a, b] = [dayFirst.at(row), monthFirst.at(row)];
    if (!Number.isNaN(a) && Number.isNaN(b)) onlyDayFirst += 1;
    else if (Number.isNaN(a) && !Number.isNaN(b)) onlyMonthFirst += 1;
    else if (!Number.isNaN(a) && a !== b) differ += 1;
  }
  if (onlyDayFirst + onlyMonthFirst === 0) return differ > 0 ? 'ask' : 'day-first';
  return onlyDayFirst >= onlyMonthFirst ? 'day-first' : 'month-first';
}

function decimalSignOf({ amounts, length }: ExportRows, separator: string): '.' | ',' {
  let [onlyPoint, onlyComma] = [0, 0];
  for (const column of AMOUNTS)
    for (let row = 0; row < Math.min(length, amounts[column].point.length); row++) {
      const [point, comma] = [amounts[column].point.at(row), amounts[column].comma.at(row)];
      if (Number.isNaN(comma) && !Number.isNaN(point)) onlyPoint += 1;
      else if (Number.isNaN(point) && !Number.isNaN(comma)) onlyComma += 1;
    }
  if (onlyPoint === onlyComma) return separator === ';' ? ',' : '.';
  return onlyPoint > onlyComma ? '.' : ',';
}

class Reading {
  readonly unread: { count: number; first: Array<{ line: number; why: string }> } = { count: 0, first: [] };

  constructor(
    private readonly rows: ExportRows,
    private readonly days: NumberColumn,
    private readonly sign: '.' | ',',
  ) {}

  orders(withCalledOff: boolean) {
    const orders: RowOrder[] = [];
    const byNumber = new Map<number, RowOrder>();
    const isSum = this.hasLines();
    let [furtherRows, calledOff, strayRefunds] = [0, 0, 0];
    for (let row = 0; row < this.rows.length; row++) {
      const number = this.rows.number.at(row);
      const known = number === 0 ? undefined : byNumber.get(number);
      const value = this.valueIn(row);
      if (known && value >= 0) {
        furtherRows += 1;
        if (isSum) known.value += value;
        known.refunded += isSum ? this.refundIn(row) : 0;
        continue;
      }
      const why = this.problemIn(row, value);
      if (why) this.tell(row, why);
      else if (value < 0) {
        if (known) known.refunded -= value;
        else strayRefunds += 1;
      } else if (this.rows.calledOff.at(row) === 1 && !withCalledOff) calledOff += 1;
      else {
        const order = { row, value, refunded: this.refundIn(row) };
        orders.push(order);
        if (number !== 0) byNumber.set(number, order);
      }
    }
    const kept = orders.filter(({ value }) => value > 0);
    const free = orders.length - kept.length;
    for (const order of kept) order.refunded = Math.min(order.refunded, order.value);
    return { kept, furtherRows, calledOff, free, strayRefunds };
  }

  /** Whether rows with the same number are lines of one order, whose amounts make its total; else they repeat it. */
  private hasLines(): boolean {
    const first = new Map<number, number>();
    for (let row = 0; row < this.rows.length; row++) {
      const number = this.rows.number.at(row);
      const value = this.valueIn(row);
      if (number === 0 || !(value > 0)) continue;
      const known = first.get(number);
      if (known === undefined) first.set(number, value);
      else if (known !== value) return true;
    }
    return false;
  }

  private amountIn(column: AmountColumn, row: number): number {
    if (!this.rows.has(column)) return 0;
    const { point, comma } = this.rows.amounts[column];
    return (this.sign === '.' ? point : comma).at(row);
  }

  private valueIn(row: number): number {
    if (this.rows.has('total')) return this.amountIn('total', row);
    const sum = this.amountIn('subtotal', row) + this.amountIn('shipping', row) + this.amountIn('tax', row);
    // A discount is written with or without its minus.
    return sum - Math.abs(this.amountIn('discount', row));
  }

  private refundIn(row: number): number {
    if (this.rows.refundedByStatus.has(row)) return WHOLE_REFUND;
    return Math.abs(this.amountIn('refunded', row)) || 0;
  }

  private problemIn(row: number, value: number): string | null {
    if (Number.isNaN(this.days.at(row))) return 'the date cannot be read.';
    return Number.isNaN(value) ? 'the amount cannot be read.' : null;
  }

  private tell(row: number, why: string): void {
    this.unread.count += 1;
    if (this.unread.first.length < MOST_TOLD) this.unread.first.push({ line: this.rows.line.at(row), why });
  }
}

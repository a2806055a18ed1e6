import type { ColumnRole } from './column-role';
import { MOST_VALUES, type WordColumn } from './kept-orders';
import { readWrittenAmount, type WrittenAmount } from './written-amount';
import { readWrittenDay, type WrittenDay } from './written-day';

/** Columns with amounts. */
export const AMOUNTS = ['total', 'subtotal', 'shipping', 'tax', 'discount', 'refunded'] as const;
export type AmountColumn = (typeof AMOUNTS)[number];
export const WORD_COLUMNS = ['currency', 'country', 'means', 'channel'] as const satisfies readonly WordColumn[];

/** Stands for NaN where numbers are kept in four bytes. */
const NOTHING = -(2 ** 31);
const ROOMS = { any: Float64Array, whole: Int32Array, place: Uint8Array } as const;

/** A growing column of numbers; NaN where there is none, but for places. A million rows take 8, 4 or 1 MB. */
export class NumberColumn {
  private room: Float64Array | Int32Array | Uint8Array;
  length = 0;

  /** @param holds - any numbers, whole ones of up to nine digits, or places below 256 */
  constructor(private readonly holds: keyof typeof ROOMS = 'any') {
    this.room = new ROOMS[holds](1024);
  }

  push(value: number): void {
    if (this.length === this.room.length) {
      const wider = new ROOMS[this.holds](this.room.length * 2);
      wider.set(this.room);
      this.room = wider;
    }
    this.room[this.length++] = this.holds === 'whole' && Number.isNaN(value) ? NOTHING : value;
  }

  at(index: number): number {
    const value = this.room[index] ?? NaN;
    return this.holds === 'whole' && value === NOTHING ? NaN : value;
  }
}

/** An amount column read with either decimal sign. */
interface AmountReadings {
  readonly point: NumberColumn;
  readonly comma: NumberColumn;
}

/** Words that an order was called off by, or never was one. */
const CALLED_OFF =
  /\b(cancel\w*|void\w*|failed|declined|expired|abandoned|draft|test\w*|storniert|abgebrochen|fehlgeschlagen|annul\w*|geannuleerd)\b/i;
const REFUNDED = /\b(refunded|returned|erstattet|rembours\w+|reembols\w+|terugbetaald)\b/i;
const PARTLY = /\b(part\w*|teil\w*)\b/i;
const YES = /^(1|yes|y|true|ja|oui|s[ií]|x)$/i;
const NO = /^(0|no|n|false|nein|non|nee)?$/i;
/** Marks a refund of the whole order where its amount is not said. */
export const WHOLE_REFUND = Infinity;

/**
 * The rows of an export as far as they are of use, each date and amount read both ways: which way it is can only be told
 * once all rows are there.
 */
export class ExportRows {
  readonly line = new NumberColumn('whole');
  readonly dayFirst = new NumberColumn('whole');
  readonly monthFirst = new NumberColumn('whole');
  readonly number = new NumberColumn();
  /** 1 for an order that was called off, or a test. */
  readonly calledOff = new NumberColumn('place');
  readonly amounts: Readonly<Record<AmountColumn, AmountReadings>>;
  readonly words: Readonly<Record<WordColumn, NumberColumn>>;
  /** Different values of each column of words, up to one more than can be. */
  readonly values: Readonly<Record<WordColumn, Map<string, number>>>;
  /** Rows whose status says that they were refunded, where no column says how much. */
  readonly refundedByStatus = new Set<number>();
  private readonly days = new Map<string, WrittenDay>();
  private readonly at: Partial<Record<ColumnRole, number>>;
  private readonly statuses: readonly number[];

  constructor(roles: readonly ColumnRole[]) {
    this.at = Object.fromEntries(roles.map((role, index) => [role, index]));
    this.statuses = roles.flatMap((role, index) => (role === 'status' ? [index] : []));
    const readings = () => ({ point: new NumberColumn(), comma: new NumberColumn() });
    this.amounts = {
      total: readings(),
      subtotal: readings(),
      shipping: readings(),
      tax: readings(),
      discount: readings(),
      refunded: readings(),
    };
    const places = () => new NumberColumn('place');
    this.words = { currency: places(), country: places(), means: places(), channel: places() };
    this.values = { currency: new Map(), country: new Map(), means: new Map(), channel: new Map() };
  }

  get length(): number {
    return this.line.length;
  }

  has(role: ColumnRole): boolean {
    return this.at[role] !== undefined;
  }

  /** Takes a row in. */
  add(cells: readonly string[], line: number): void {
    this.line.push(line);
    const day = this.dayOf(this.cell(cells, 'date'));
    this.dayFirst.push(day.dayFirst ?? NaN);
    this.monthFirst.push(day.monthFirst ?? NaN);
    this.number.push(numberOf(this.cell(cells, 'number')));
    const status = this.statuses.map((at) => cells[at]?.trim() ?? '').join(' ');
    this.calledOff.push(Number(CALLED_OFF.test(status)));
    for (const column of AMOUNTS) {
      if (!this.has(column)) continue;
      const amount = this.amountIn(column, this.cell(cells, column), status);
      this.amounts[column].point.push(amount.point ?? NaN);
      this.amounts[column].comma.push(amount.comma ?? NaN);
    }
    for (const column of WORD_COLUMNS) if (this.has(column)) this.words[column].push(this.wordIn(column, this.cell(cells, column)));
    if (!this.has('refunded') && REFUNDED.test(status) && !PARTLY.test(status)) this.refundedByStatus.add(this.length - 1);
  }

  private cell(cells: readonly string[], role: ColumnRole): string {
    const at = this.at[role];
    return at === undefined ? '' : (cells[at] ?? '').trim();
  }

  private dayOf(text: string): WrittenDay {
    // Orders of a day have times of their own; their day is read once.
    const written = /^[^T]*?\d{4}|^\S+/.test(text) ? (text.split(/[T ](?=\d{1,2}:)/, 1)[0] ?? text) : text;
    const known = this.days.get(written) ?? readWrittenDay(written);
    this.days.set(written, known);
    return known;
  }

  private amountIn(column: AmountColumn, text: string, status: string): WrittenAmount {
    if (text === '') return { point: 0, comma: 0 };
    if (column !== 'refunded') return readWrittenAmount(text);
    if (NO.test(text)) return { point: 0, comma: 0 };
    if (YES.test(text) || (REFUNDED.test(text) && !PARTLY.test(`${text} ${status}`))) return { point: WHOLE_REFUND, comma: WHOLE_REFUND };
    return readWrittenAmount(text);
  }

  private wordIn(column: WordColumn, text: string): number {
    const values = this.values[column];
    const known = values.get(text);
    if (known !== undefined) return known;
    // Beyond this it is a list of names, of which nothing more is kept.
    if (values.size > MOST_VALUES) return MOST_VALUES;
    values.set(text, values.size);
    return values.size - 1;
  }
}

const [OFFSET, PRIME, MASK] = [0xcbf2_9ce4, 0x0100_0193, 0x1f_ffff];

/** A whole number that an order's number always comes to; 0 for none. */
export function numberOf(text: string): number {
  if (text === '') return 0;
  let [low, high] = [OFFSET, PRIME];
  for (let at = 0; at < text.length; at++) {
    const code = text.charCodeAt(at);
    low = Math.imul(low ^ code, PRIME);
    high = Math.imul(high ^ code, OFFSET | 1) + low;
  }
  return (high & MASK) * 2 ** 32 + (low >>> 0) || 1;
}

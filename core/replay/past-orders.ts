import { countedDay, dayCounted } from '../calendar/counted-day';
import { addMonths, type Month, monthsBetween } from '../calendar/month';

/** An order that was placed (decision file §11). */
export interface PastOrder {
  /** `YYYY-MM-DD`. */
  readonly date: string;
  /** What the customer paid, base currency: above 0, at most nine digits and six decimals. */
  readonly value: string;
  /** Place of its stream in the forecast. */
  readonly stream: number;
  /** Kind of card or wallet it was paid with. */
  readonly card: string;
  readonly refunded: boolean;
}

/** Past orders in columns, by date and for the same date in the order in which they came; a million take 16 MB. */
export interface PastOrders {
  /** The month of the earliest. */
  readonly start: Month;
  /** How many months there are from the earliest order's to the latest's. */
  readonly months: number;
  /** Where each month's orders begin, and behind the last month where they end. */
  readonly starts: Uint32Array;
  /** Days since 1 January 1970. */
  readonly day: Int32Array;
  /** What customers paid, in whole units of the last decimal that any of them has. */
  readonly units: Float64Array;
  /** The largest of them. */
  readonly mostUnits: number;
  /** How many decimals such a unit stands for: 2 where values are in cents. */
  readonly digits: number;
  readonly stream: Uint8Array;
  /** How many streams there are at most: one more than the last one's place. */
  readonly streams: number;
  /** Place of the kind of card in `kinds`. */
  readonly kind: Uint8Array;
  readonly kinds: readonly string[];
  /** 1 where it was refunded. */
  readonly refunded: Uint8Array;
}

/** Values have at most so many decimals: a million orders of a thousand million still add up without loss. */
const MOST_DIGITS = 6;
/** So many streams, or kinds of card, fit into a column. */
const MOST_PLACES = 256;
const FIRST_ROOM = 1024;

/** Takes orders in one after the other, in any order of days. */
export class PastOrderCollector {
  private count = 0;
  private day = new Int32Array(FIRST_ROOM);
  private units = new Float64Array(FIRST_ROOM);
  private stream = new Uint8Array(FIRST_ROOM);
  private kind = new Uint8Array(FIRST_ROOM);
  private refunded = new Uint8Array(FIRST_ROOM);
  private readonly kinds = new Map<string, number>();
  private readonly days = new Map<string, number>();

  get length(): number {
    return this.count;
  }

  /** @throws RangeError where there are more streams or kinds of card than fit */
  add({ date, value, stream, card, refunded }: PastOrder): void {
    this.addUnits(this.dayOf(date), unitsOf(value), stream, card, refunded);
  }

  /**
   * Takes in an order that is in numbers already.
   *
   * @param day - days since 1 January 1970
   * @param millionths - its value in millionths of the base currency, whole
   */
  addUnits(day: number, millionths: number, stream: number, card: string, refunded: boolean): void {
    if (this.count === this.day.length) this.makeRoom();
    const at = this.count++;
    this.day[at] = day;
    this.units[at] = millionths;
    this.stream[at] = withinPlaces(stream);
    const kind = this.kinds.get(card) ?? withinPlaces(this.kinds.size);
    this.kinds.set(card, kind);
    this.kind[at] = kind;
    this.refunded[at] = Number(refunded);
  }

  /** All of them by date; null where there is none. */
  finish(): PastOrders | null {
    if (this.count === 0) return null;
    const order = inOrderOf(this.day.subarray(0, this.count));
    const monthOf = (at: number) => dayCounted(this.day[at] ?? 0).slice(0, 7);
    const start = monthOf(order[0] ?? 0);
    const months = monthsBetween(start, monthOf(order.at(-1) ?? 0)) + 1;
    const starts = new Uint32Array(months + 1).fill(this.count);
    const known = new Map<number, number>();
    for (let at = this.count - 1; at >= 0; at--) {
      const day = this.day[order[at] ?? 0] ?? 0;
      const month = known.get(day) ?? monthsBetween(start, dayCounted(day).slice(0, 7));
      known.set(day, month);
      starts[month] = at;
    }
    // A month without an order begins where the next one does.
    for (let month = months - 1; month >= 0; month--) starts[month] = Math.min(starts[month] ?? 0, starts[month + 1] ?? 0);
    const digits = this.digitsNeeded();
    const unit = 10 ** (MOST_DIGITS - digits);
    const units = inOrder(this.units, order, new Float64Array(this.count), unit);
    const stream = inOrder(this.stream, order, new Uint8Array(this.count));
    return {
      start,
      months,
      starts,
      digits,
      day: inOrder(this.day, order, new Int32Array(this.count)),
      units,
      mostUnits: units.reduce((most, one) => Math.max(most, one), 0),
      stream,
      streams: stream.reduce((most, one) => Math.max(most, one), 0) + 1,
      kind: inOrder(this.kind, order, new Uint8Array(this.count)),
      kinds: [...this.kinds.keys()],
      refunded: inOrder(this.refunded, order, new Uint8Array(this.count)),
    };
  }

  private digitsNeeded(): number {
    let digits = 0;
    for (let at = 0; at < this.count; at++)
      while (digits < MOST_DIGITS && (this.units[at] ?? 0) % 10 ** (MOST_DIGITS - digits) !== 0) digits += 1;
    return digits;
  }

  private dayOf(date: string): number {
    const known = this.days.get(date) ?? countedDay(date);
    this.days.set(date, known);
    return known;
  }

  private makeRoom(): void {
    const room = this.day.length * 2;
    const wider = <Column extends Int32Array | Float64Array | Uint8Array>(column: Column, made: Column): Column => {
      made.set(column);
      return made;
    };
    this.day = wider(this.day, new Int32Array(room));
    this.units = wider(this.units, new Float64Array(room));
    this.stream = wider(this.stream, new Uint8Array(room));
    this.kind = wider(this.kind, new Uint8Array(room));
    this.refunded = wider(this.refunded, new Uint8Array(room));
  }
}

/** The orders from a month on, in the same columns; all where they begin later, null where none is left. */
export function ordersFrom(orders: PastOrders, from: Month): PastOrders | null {
  const { starts, months, start } = orders;
  let first = Math.max(0, monthsBetween(start, from));
  // Months begin with the first that has an order.
  while (first < months && starts[first] === starts[first + 1]) first += 1;
  if (first === 0) return orders;
  if (first >= months) return null;
  const begin = starts[first] ?? 0;
  const rest = <Column extends Int32Array | Float64Array | Uint8Array>(column: Column) => column.subarray(begin) as Column;
  const units = rest(orders.units);
  return {
    ...orders,
    start: addMonths(start, first),
    months: months - first,
    starts: starts.subarray(first).map((place) => place - begin),
    day: rest(orders.day),
    units,
    mostUnits: units.reduce((most, one) => Math.max(most, one), 0),
    stream: rest(orders.stream),
    kind: rest(orders.kind),
    refunded: rest(orders.refunded),
  };
}

/** Past orders in columns; null where there is none. */
export function pastOrdersOf(orders: Iterable<PastOrder>): PastOrders | null {
  const collector = new PastOrderCollector();
  for (const order of orders) collector.add(order);
  return collector.finish();
}

/** Places in the order of their days, and for the same day as they came; in time that grows with their number alone. */
function inOrderOf(days: Int32Array): Uint32Array {
  const first = days.reduce((least, day) => Math.min(least, day), Infinity);
  const last = days.reduce((most, day) => Math.max(most, day), -Infinity);
  const next = new Uint32Array(last - first + 2);
  for (const day of days) next[day - first + 1] = (next[day - first + 1] ?? 0) + 1;
  for (let day = 1; day < next.length; day++) next[day] = (next[day] ?? 0) + (next[day - 1] ?? 0);
  const order = new Uint32Array(days.length);
  for (let at = 0; at < days.length; at++) {
    const day = (days[at] ?? 0) - first;
    const place = next[day] ?? 0;
    order[place] = at;
    next[day] = place + 1;
  }
  return order;
}

/** A column in another order, each of its numbers divided. */
function inOrder<Column extends Float64Array | Int32Array | Uint8Array>(column: Column, order: Uint32Array, made: Column, by = 1): Column {
  for (let at = 0; at < order.length; at++) made[at] = (column[order[at] ?? 0] ?? 0) / by;
  return made;
}

/** A decimal in whole millionths, exactly: its digits are put together as a whole number. */
function unitsOf(value: string): number {
  const point = value.indexOf('.');
  if (point < 0) return Number(value) * 10 ** MOST_DIGITS;
  const places = value.length - point - 1;
  return Number(value.slice(0, point) + value.slice(point + 1)) * 10 ** (MOST_DIGITS - places);
}

function withinPlaces(place: number): number {
  if (place >= MOST_PLACES) throw new RangeError(`At most ${MOST_PLACES} streams and kinds of card fit`);
  return place;
}

import { addMonths } from '../calendar/month';
import type { NumberForecast, NumberStream } from '../forecast/number-forecast';
import type { Bands, CountedOrders, Expression, ExpressionName, Figure, Orders, RatedBand } from '../rules/expression/expression';

/**
 * An expression at one level of sales, in floating point, as a function of the scale k that multiplies all orders and
 * subscribers (decision file §2). What does not depend on k is worked out already; what is left has a few forms. Each
 * has a value in every month; none holds references to the level it was made at.
 */
export type Form =
  | Line
  | { readonly is: 'sum'; readonly of: readonly Form[] }
  | { readonly is: 'scaled'; readonly of: Form; readonly by: Float64Array }
  | { readonly is: 'at-least' | 'at-most'; readonly of: Form; readonly bound: Float64Array }
  | { readonly is: 'packages'; readonly of: Form; readonly size: number }
  | BandForm
  | { readonly is: 'so-far' | 'increase'; readonly of: Form }
  | { readonly is: 'used-up'; readonly credit: Form; readonly bills: Form };

/** fixed + growing × k, by month; null for a part that is nothing. */
export interface Line {
  readonly is: 'line';
  readonly fixed: Float64Array | null;
  readonly growing: Float64Array | null;
}

export interface BandForm {
  readonly is: 'bands';
  readonly of: Form;
  readonly how: Bands['how'];
  readonly bands: readonly NumberBand[];
}

/** A band; the last one is open. */
export interface NumberBand {
  readonly upTo: number;
  /** Per unit, in the charge's currency. */
  readonly rate: number;
  readonly flat: number;
}

/** What forms are made from. */
export interface FormWorld {
  readonly forecast: NumberForecast;
  /** Base units for one unit of a currency. */
  rate(currency: string): number;
}

/** Turns expressions into forms at one level; those that are the same have the same form. */
export class FormMaker {
  private readonly known = new Map<Expression, Form>();
  private readonly counted = new Map<string, Float64Array>();
  readonly months: number;

  constructor(readonly world: FormWorld) {
    this.months = world.forecast.months;
  }

  form(expression: Expression): Form {
    const found = this.known.get(expression);
    if (found) return found;
    const make = MAKERS[expression.is] as Make<ExpressionName>;
    const form = make(this, expression);
    this.known.set(expression, form);
    return form;
  }

  /** The value of what does not depend on the scale. */
  constant(expression: Expression): Float64Array {
    const form = this.form(expression);
    if (!isConstant(form)) throw new RangeError(`“${expression.is}” depends on the level of sales where only a fixed figure can stand`);
    return form.fixed ?? nothing(this.months);
  }

  fixed(value: number): Line {
    return { is: 'line', fixed: value === 0 ? null : new Float64Array(this.months).fill(value), growing: null };
  }

  /** What is counted alike is added up once. */
  count(key: string, add: (into: Float64Array) => void): Float64Array {
    const found = this.counted.get(key);
    if (found) return found;
    const months = new Float64Array(this.months);
    add(months);
    this.counted.set(key, months);
    return months;
  }
}

type Make<Name extends ExpressionName> = (maker: FormMaker, expression: Extract<Expression, { is: Name }>) => Form;

const MAKERS: { readonly [Name in ExpressionName]: Make<Name> } = {
  figure: (maker, one) => figureLine(one, maker.months),
  rate: (maker, { currency }) => maker.fixed(maker.world.rate(currency)),
  orders: (maker, one) => ({ is: 'line', fixed: null, growing: countedOrders(maker, one) }),
  'order-value': ({ world }, { stream, value }) => {
    const found = world.forecast.streams[stream];
    return { is: 'line', fixed: (value === 'net' ? found?.netOrderValue : found?.orderValue) ?? null, growing: null };
  },
  quantity: (maker, { id, streams }) => {
    const { forecast } = maker.world;
    if (streams !== null) return { is: 'line', fixed: null, growing: subscribersOf(maker, streams) };
    const months = forecast.quantities.get(id) ?? null;
    return forecast.scaled.has(id) ? { is: 'line', fixed: null, growing: months } : { is: 'line', fixed: months, growing: null };
  },
  sum: (maker, { of }) => summed(of.map((part) => maker.form(part))),
  difference: (maker, { of, less }) => summed([maker.form(of), scaled(maker.form(less), minusOne(maker.months))]),
  product: (maker, { of, times }) => {
    const [first, second] = [maker.form(of), maker.form(times)];
    return isConstant(first) ? scaled(second, maker.constant(of)) : scaled(first, maker.constant(times));
  },
  quotient: (maker, { of, by }) =>
    scaled(
      maker.form(of),
      maker.constant(by).map((value) => 1 / value),
    ),
  proportion: (maker, { of, part, whole }) => {
    const [amounts, wholes] = [evenly(maker.form(of)), evenly(maker.form(whole))];
    return scaled(
      maker.form(part),
      amounts.map((amount, month) => (wholes[month] ? amount / (wholes[month] ?? 1) : 0)),
    );
  },
  'at-least': (maker, { of, bound }) => bounded('at-least', maker.form(of), maker.constant(bound)),
  'at-most': (maker, { of, bound }) => bounded('at-most', maker.form(of), maker.constant(bound)),
  packages: (maker, { of, size }) => ({ is: 'packages', of: maker.form(of), size: maker.constant(size)[0] ?? 1 }),
  bands: (maker, { of, how, bands }) => ({ is: 'bands', of: maker.form(of), how, bands: bandsInNumbers(bands) }),
  'so-far': (maker, { of }) => running('so-far', maker.form(of)),
  increase: (maker, { of }) => running('increase', maker.form(of)),
  'last-months': (maker, { of, months }) => {
    const form = maker.form(of);
    if (form.is !== 'line') throw new RangeError('Only plain quantities are added up over months');
    return { is: 'line', fixed: form.fixed && lastMonths(form.fixed, months), growing: form.growing && lastMonths(form.growing, months) };
  },
  between: (maker, { of, from, until }) => {
    const { start, months } = maker.world.forecast;
    const isIn = (month: string) => (from === null || month >= from) && (until === null || month <= until);
    return scaled(
      maker.form(of),
      Float64Array.from({ length: months }, (_, index) => (isIn(addMonths(start, index)) ? 1 : 0)),
    );
  },
  'used-up': (maker, { credit, bills }) => ({ is: 'used-up', credit: maker.form(credit), bills: maker.form(bills) }),
  // Break-evens are about unrounded totals (decision file §8).
  rounded: (maker, { of }) => maker.form(of),
  payments: (maker, { due }) => {
    const fixed = new Float64Array(maker.months);
    for (const { month, price } of due) fixed[month] = (fixed[month] ?? 0) + (maker.constant(price)[0] ?? 0);
    return { is: 'line', fixed, growing: null };
  },
};

/** Whether a form is the same at every scale. */
export function isConstant(form: Form): form is Line & { growing: null } {
  return form.is === 'line' && form.growing === null;
}

function figureNumber({ value, isPercent }: Figure): number {
  return isPercent ? Number(value) / 100 : Number(value);
}

const figureLines = new WeakMap<Figure, Line>();

/** A figure is the same at every level: its form is made once. */
function figureLine(one: Figure, months: number): Line {
  const found = figureLines.get(one);
  if (found && (found.fixed === null || found.fixed.length === months)) return found;
  const value = figureNumber(one);
  const line: Line = { is: 'line', fixed: value === 0 ? null : new Float64Array(months).fill(value), growing: null };
  figureLines.set(one, line);
  return line;
}

const numberBands = new WeakMap<readonly RatedBand[], readonly NumberBand[]>();

/** Bands in floating point; those that are the same are read once. */
export function bandsInNumbers(bands: readonly RatedBand[]): readonly NumberBand[] {
  const found = numberBands.get(bands) ?? bands.map(numberBand);
  numberBands.set(bands, found);
  return found;
}

function numberBand({ upTo, each, percent, flat }: RatedBand, index: number, all: readonly RatedBand[]): NumberBand {
  const isOpen = upTo === null || index === all.length - 1;
  return { upTo: isOpen ? Infinity : Number(upTo.value), rate: figureNumber(each) + figureNumber(percent), flat: figureNumber(flat) };
}

function countedOrders(maker: FormMaker, { of, stream: only, value }: Orders): Float64Array {
  const { streams } = maker.world.forecast;
  return maker.count(`${of.key} ${only} ${value}`, (into) => {
    for (let place = 0; place < streams.length; place++) {
      const stream = streams[place];
      if (!stream || (only !== null && place !== only)) continue;
      const share = countedShare(of, stream, place);
      if (share <= 0) continue;
      const valued = value === 'net' ? stream.netOrderValue : stream.orderValue;
      const values = value === null ? null : valued;
      for (let month = 0; month < into.length; month++) {
        const orders = (stream.orders[month] ?? 0) * share;
        into[month] = (into[month] ?? 0) + (values === null ? orders : orders * (values[month] ?? 0));
      }
    }
  });
}

/** The share of a stream's orders that is counted, a fraction. */
function countedShare({ counts, withoutRefunded }: CountedOrders, { cards, refunded }: NumberStream, place: number): number {
  let share = 0;
  for (const [card, part] of cards) if (counts(place, card)) share += part;
  return withoutRefunded ? share * (1 - refunded) : share;
}

function subscribersOf(maker: FormMaker, streams: readonly number[]): Float64Array {
  return maker.count(`subscribers ${streams.join(' ')}`, (into) => {
    for (const place of streams)
      for (let month = 0; month < into.length; month++)
        into[month] = (into[month] ?? 0) + (maker.world.forecast.streams[place]?.subscribers?.[month] ?? 0);
  });
}

/** Makes something that only depends on how many months there are once for each number of them. */
function onceForMonths(make: (months: number) => Float64Array): (months: number) => Float64Array {
  const known = new Map<number, Float64Array>();
  return (months) => {
    const found = known.get(months) ?? make(months);
    known.set(months, found);
    return found;
  };
}

const minusOne = onceForMonths((months) => new Float64Array(months).fill(-1));
const nothing = onceForMonths((months) => new Float64Array(months));

/** The sum of forms; lines are added up at once. */
function summed(parts: readonly Form[]): Form {
  let line: Line = { is: 'line', fixed: null, growing: null };
  const others: Form[] = [];
  for (const part of parts)
    if (part.is === 'line') line = { is: 'line', fixed: plus(line.fixed, part.fixed), growing: plus(line.growing, part.growing) };
    else others.push(part);
  if (line.fixed || line.growing || others.length === 0) others.push(line);
  const [only, ...more] = others;
  return only && more.length === 0 ? only : { is: 'sum', of: others };
}

function plus(a: Float64Array | null, b: Float64Array | null): Float64Array | null {
  if (!a || !b) return a ?? b;
  const sums = new Float64Array(a.length);
  for (let month = 0; month < a.length; month++) sums[month] = (a[month] ?? 0) + (b[month] ?? 0);
  return sums;
}

function scaled(form: Form, by: Float64Array): Form {
  if (form.is === 'line')
    return { is: 'line', fixed: form.fixed && times(form.fixed, by), growing: form.growing && times(form.growing, by) };
  return { is: 'scaled', of: form, by };
}

function times(values: Float64Array, by: Float64Array): Float64Array {
  const products = new Float64Array(values.length);
  for (let month = 0; month < values.length; month++) products[month] = (values[month] ?? 0) * (by[month] ?? 0);
  return products;
}

/** What grows evenly with the scale, or does not change with it: the quotient of two such does not depend on it. */
function evenly(form: Form): Float64Array {
  if (form.is !== 'line' || (form.fixed && form.growing)) throw new RangeError('Only what grows evenly is set in proportion');
  return form.growing ?? form.fixed ?? new Float64Array(0);
}

function bounded(is: 'at-least' | 'at-most', of: Form, bound: Float64Array): Form {
  if (!isConstant(of)) return { is, of, bound };
  const hold = is === 'at-least' ? Math.max : Math.min;
  return { is: 'line', fixed: bound.map((limit, month) => hold(of.fixed?.[month] ?? 0, limit)), growing: null };
}

function running(is: 'so-far' | 'increase', of: Form): Form {
  if (of.is !== 'line') return { is, of };
  const run = is === 'so-far' ? soFar : increase;
  return { is: 'line', fixed: of.fixed && run(of.fixed), growing: of.growing && run(of.growing) };
}

/** The sum of all months up to each. */
export function soFar(values: Float64Array): Float64Array {
  let sum = 0;
  return values.map((value) => (sum += value));
}

/** By how much each month is above the one before. */
export function increase(values: Float64Array): Float64Array {
  return values.map((value, month) => value - (month === 0 ? 0 : (values[month - 1] ?? 0)));
}

function lastMonths(values: Float64Array, months: number): Float64Array {
  return values.map((_, month) => values.subarray(Math.max(0, month - months + 1), month + 1).reduce((sum, value) => sum + value, 0));
}

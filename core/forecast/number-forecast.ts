import { addMonths, type Month, monthOfYear } from '../calendar/month';
import type { Driver, Forecast, Series, Stream } from '../decision-file/forecast-schema';
import { scaledQuantities } from './scaled-quantities';

/** One stream by month, in floating point; see the exact `StreamForecast`. */
export interface NumberStream {
  readonly stream: Stream;
  readonly channel: string;
  readonly orders: Float64Array;
  readonly subscribers: Float64Array | null;
  /** Base currency. */
  readonly orderValue: Float64Array;
  readonly netOrderValue: Float64Array;
  /** Fraction. */
  readonly refunded: number;
  /** Fractions. */
  readonly cards: ReadonlyArray<readonly [kind: string, share: number]>;
}

/**
 * Expected sales at scale 1 in floating point, for curves, maps and whatever is worked out thousands of times;
 * money that is shown comes from the exact `MonthlyForecast`.
 */
export interface NumberForecast {
  /** First month, and how many there are. */
  readonly start: Month;
  readonly months: number;
  readonly streams: readonly NumberStream[];
  readonly orders: Float64Array;
  /** Base currency. */
  readonly sales: Float64Array;
  readonly quantities: ReadonlyMap<string, Float64Array>;
  /** The quantities that a scale multiplies (decision file §2). */
  readonly scaled: ReadonlySet<string>;
  /** What it was worked out from, and the quantities that are series of their own. */
  readonly stated: Forecast;
  readonly series: ReadonlyMap<string, Float64Array>;
}

/** What a forecast is worked out from. */
export interface ForecastSource {
  readonly forecast: Forecast;
  readonly start: Month;
  readonly months: number;
}

/** Works out expected sales for every month of the horizon, in floating point (decision file §2). */
export function numberForecast({ forecast, start, months }: ForecastSource): NumberForecast {
  const calendar = calendarOf(start, months);
  const series = new Map<string, Float64Array>();
  for (const [id, driver] of Object.entries(forecast.drivers ?? {})) if (!isRatio(driver)) series.set(id, seriesNumbers(driver, calendar));
  return added(
    forecast,
    forecast.streams.map((stream) => numberStream(stream, calendar)),
    series,
    scaledQuantities(forecast),
    { start, months },
  );
}

/** A stream with more or fewer orders (and subscribers), and dearer or cheaper ones, by factors. */
export function scaledStream(stream: NumberStream, orders: number, value: number): NumberStream {
  const times = (values: Float64Array, factor: number) => (factor === 1 ? values : values.map((one) => one * factor));
  const orderValue = times(stream.orderValue, value);
  return {
    ...stream,
    orders: times(stream.orders, orders),
    subscribers: stream.subscribers && times(stream.subscribers, orders),
    orderValue,
    netOrderValue: stream.netOrderValue === stream.orderValue ? orderValue : times(stream.netOrderValue, value),
  };
}

/** The forecast with other streams in the place of its own, everything that follows from them worked out anew. */
export function withStreams(from: NumberForecast, streams: readonly NumberStream[]): NumberForecast {
  return added(from.stated, streams, from.series, from.scaled, from);
}

/** The months of a forecast from one on, as they are; `stated` is still what all months were worked out from. */
export function fromMonth(forecast: NumberForecast, from: number): NumberForecast {
  const later = (values: Float64Array) => values.subarray(from);
  const laterOf = (of: ReadonlyMap<string, Float64Array>) => new Map([...of].map(([id, values]) => [id, later(values)]));
  return {
    ...forecast,
    start: addMonths(forecast.start, from),
    months: forecast.months - from,
    streams: forecast.streams.map((stream) => ({
      ...stream,
      orders: later(stream.orders),
      subscribers: stream.subscribers && later(stream.subscribers),
      orderValue: later(stream.orderValue),
      netOrderValue: later(stream.netOrderValue),
    })),
    orders: later(forecast.orders),
    sales: later(forecast.sales),
    quantities: laterOf(forecast.quantities),
    series: laterOf(forecast.series),
  };
}

function added(
  forecast: Forecast,
  streams: readonly NumberStream[],
  series: ReadonlyMap<string, Float64Array>,
  scaled: ReadonlySet<string>,
  { start, months }: Pick<NumberForecast, 'start' | 'months'>,
): NumberForecast {
  const orders = new Float64Array(months);
  const sales = new Float64Array(months);
  const subscribers = new Float64Array(months);
  for (const stream of streams)
    for (let month = 0; month < months; month++) {
      const count = stream.orders[month] ?? 0;
      orders[month] = (orders[month] ?? 0) + count;
      sales[month] = (sales[month] ?? 0) + count * (stream.orderValue[month] ?? 0);
    }
  fillSubscribers(subscribers, streams);
  const counted = new Map<string, Float64Array>([['subscribers', subscribers], ...series]);
  const quantities = new Map(counted);
  for (const [id, driver] of Object.entries(forecast.drivers ?? {}))
    if (isRatio(driver)) {
      const values = new Float64Array(months);
      fillRatio(values, driver, streams, counted);
      quantities.set(id, values);
    }
  return { start, months, streams, orders, sales, quantities, scaled, stated: forecast, series };
}

/** Months of the horizon with their names and places in the year; the same for every forecast of a decision. */
interface Calendar {
  readonly names: readonly Month[];
  readonly inYear: readonly number[];
}

const calendars = new Map<string, Calendar>();
const MOST_CALENDARS = 16;

function calendarOf(start: Month, months: number): Calendar {
  const key = `${start} ${months}`;
  const found = calendars.get(key);
  if (found) return found;
  const names = Array.from({ length: months }, (_, index) => addMonths(start, index));
  const calendar = { names, inYear: names.map(monthOfYear) };
  if (calendars.size >= MOST_CALENDARS) calendars.clear();
  calendars.set(key, calendar);
  return calendar;
}

function seriesNumbers(series: Series, { names, inYear }: Calendar): Float64Array {
  const values = new Float64Array(names.length);
  if (typeof series === 'string') return values.fill(Number(series));
  const growth = 1 + Number(series.growth ?? '0') / 100;
  const add = Number(series.add ?? '0');
  const season = series.season?.map(Number);
  let grown = Number(series.start);
  for (let index = 0; index < values.length; index++) {
    if (index > 0) grown *= growth;
    const name = names[index] ?? '';
    const set = series.set && Object.hasOwn(series.set, name) ? series.set[name] : undefined;
    const value = set === undefined ? (grown + add * index) * (season?.[inYear[index] ?? 0] ?? 1) : Number(set);
    values[index] = Math.max(value, 0);
  }
  return values;
}

function numberStream(stream: Stream, calendar: Calendar): NumberStream {
  const subscribers = stream.subscribers ? subscriberNumbers(stream.subscribers, calendar) : null;
  const every = stream.subscribers?.every ?? 1;
  const orderValue = seriesNumbers(stream.orderValue, calendar);
  const contained = 1 + Number(stream.salesTax ?? '0') / 100;
  return {
    stream,
    channel: stream.channel ?? 'own-site',
    orders: subscribers ? subscribers.map((count) => count / every) : seriesNumbers(stream.orders ?? '0', calendar),
    subscribers,
    orderValue,
    netOrderValue: contained === 1 ? orderValue : orderValue.map((value) => value / contained),
    refunded: Number(stream.refunds ?? '0') / 100,
    cards: stream.cards ? Object.entries(stream.cards).map(([kind, share]) => [kind, Number(share) / 100] as const) : [['domestic', 1]],
  };
}

function subscriberNumbers({ start, joins, churn }: NonNullable<Stream['subscribers']>, calendar: Calendar): Float64Array {
  const counts = seriesNumbers(joins, calendar);
  const staying = 1 - Number(churn) / 100;
  let count = Number(start);
  for (let month = 0; month < counts.length; month++) {
    if (month > 0) count = count * staying + (counts[month] ?? 0);
    counts[month] = count;
  }
  return counts;
}

/** A quantity that goes with another one. */
type Ratio = Extract<Driver, { per: string }>;

/** Whether a quantity goes with another one, and is no series of its own. */
export function isRatio(driver: Driver): driver is Ratio {
  return typeof driver === 'object' && 'per' in driver;
}

/** What quantities are counted from in a stream. */
type CountedStream = Pick<NumberStream, 'stream' | 'orders' | 'orderValue' | 'subscribers'>;

/** All subscribers by month. */
export function fillSubscribers(into: Float64Array, streams: ReadonlyArray<Pick<NumberStream, 'subscribers'>>): void {
  into.fill(0);
  for (const { subscribers } of streams)
    if (subscribers) for (let month = 0; month < into.length; month++) into[month] = (into[month] ?? 0) + (subscribers[month] ?? 0);
}

/** What goes with orders, sales, subscribers or another quantity, by month (decision file §2, drivers). */
export function fillRatio(
  into: Float64Array,
  { per, ratio, streams: only }: Ratio,
  all: readonly CountedStream[],
  series: ReadonlyMap<string, Float64Array>,
): void {
  const rate = Number(ratio);
  into.fill(0);
  if (!['orders', 'sales'].includes(per) && !(per === 'subscribers' && only)) {
    const of = series.get(per);
    for (let month = 0; month < into.length; month++) into[month] = (of?.[month] ?? 0) * rate;
    return;
  }
  for (const { stream, orders, orderValue, subscribers } of all) {
    if (only && !only.includes(stream.id)) continue;
    for (let month = 0; month < into.length; month++) {
      const count =
        per === 'subscribers' ? (subscribers?.[month] ?? 0) : (orders[month] ?? 0) * (per === 'sales' ? (orderValue[month] ?? 0) : 1);
      into[month] = (into[month] ?? 0) + count * rate;
    }
  }
}

import { Decimal, decimal, fraction, HUNDRED, ONE, sum, ZERO } from '../amount/decimal';
import { type Month, monthsFrom } from '../calendar/month';
import type { Lift } from '../decision-file/candidate-schema';
import type { Driver, Forecast, Stream } from '../decision-file/forecast-schema';
import { liftOf } from './lift';
import { seriesValues } from './series';

/** One stream with its months worked out; all arrays are indexed by month. */
export interface StreamForecast {
  readonly stream: Stream;
  readonly channel: string;
  /** Expected orders, not rounded. */
  readonly orders: readonly Decimal[];
  /** Subscribers, for a subscription stream. */
  readonly subscribers: readonly Decimal[] | null;
  /** What the customer pays for an order, base currency. */
  readonly orderValue: readonly Decimal[];
  /** The order value without the sales tax it contains, base currency. */
  readonly netOrderValue: readonly Decimal[];
  /** Share of the orders that is refunded, a fraction. */
  readonly refunded: Decimal;
  /** Share of the orders by kind of card or wallet, fractions that add up to 1. */
  readonly cards: ReadonlyArray<readonly [kind: string, share: Decimal]>;
  /** Kinds that orders were paid with, month by month; where they are past orders (decision file §11). */
  readonly cardsByMonth?: ReadonlyArray<ReadonlySet<string>>;
}

/** Expected sales worked out month by month, at one scale (decision file §2). */
export interface MonthlyForecast {
  readonly months: readonly Month[];
  readonly streams: readonly StreamForecast[];
  /** Orders of all streams. */
  readonly orders: readonly Decimal[];
  /** Orders × order value of all streams, base currency. */
  readonly sales: readonly Decimal[];
  /** Every other quantity by its id, `subscribers` among them. */
  readonly quantities: ReadonlyMap<string, readonly Decimal[]>;
  /** What is left of them before costs, where it is known order by order (decision file §11). */
  readonly kept?: readonly Decimal[];
}

const DOMESTIC: Record<string, string> = { domestic: '100' };

/**
 * Works out expected sales for every month of the horizon.
 *
 * @param forecast - the decision file's forecast
 * @param start - first month
 * @param months - number of months
 * @param scale - multiplies orders and subscribers of every stream, and all that is `per` them (decision file §2)
 * @param lift - multiplies those of some streams besides (decision file §5)
 */
export function forecastMonths(forecast: Forecast, start: Month, months: number, scale: Decimal = ONE, lift?: Lift): MonthlyForecast {
  const streams = forecast.streams.map((stream) => forecastStream(stream, start, months, scale.times(liftOf(lift, stream.id))));
  const calendar = monthsFrom(start, months);
  const each = (value: (month: number) => Decimal) => calendar.map((_, month) => value(month));
  const orders = each((month) => ordersOf(streams, month));
  const sales = each((month) => salesOf(streams, month));
  const quantities = new Map<string, readonly Decimal[]>();
  quantities.set(
    'subscribers',
    each((month) => subscribersOf(streams, month)),
  );
  const drivers = Object.entries(forecast.drivers ?? {});
  for (const [id, driver] of drivers) if (!isRatio(driver)) quantities.set(id, seriesValues(driver, start, months));
  const series = new Map(quantities);
  for (const [id, driver] of drivers) {
    if (!isRatio(driver)) continue;
    const of = driver.streams ? streams.filter(({ stream }) => driver.streams?.includes(stream.id)) : streams;
    const ratio = decimal(driver.ratio);
    quantities.set(
      id,
      each((month) => ratio.times(quantityPer(driver, of, series, month))),
    );
  }
  return { months: calendar, streams, orders, sales, quantities };
}

function quantityPer(
  driver: { per: string; streams?: string[] | undefined },
  streams: readonly StreamForecast[],
  series: ReadonlyMap<string, readonly Decimal[]>,
  month: number,
): Decimal {
  if (driver.per === 'orders') return ordersOf(streams, month);
  if (driver.per === 'sales') return salesOf(streams, month);
  if (driver.per === 'subscribers' && driver.streams) return subscribersOf(streams, month);
  return series.get(driver.per)?.[month] ?? ZERO;
}

function isRatio(driver: Driver): driver is Extract<Driver, { per: string }> {
  return typeof driver === 'object' && 'per' in driver;
}

function ordersOf(streams: readonly StreamForecast[], month: number): Decimal {
  return sum(streams.map((stream) => stream.orders[month] ?? ZERO));
}

function salesOf(streams: readonly StreamForecast[], month: number): Decimal {
  return sum(streams.map((stream) => (stream.orders[month] ?? ZERO).times(stream.orderValue[month] ?? ZERO)));
}

function subscribersOf(streams: readonly StreamForecast[], month: number): Decimal {
  return sum(streams.map((stream) => stream.subscribers?.[month] ?? ZERO));
}

function forecastStream(stream: Stream, start: Month, months: number, scale: Decimal): StreamForecast {
  const subscribers = stream.subscribers ? subscriberMonths(stream.subscribers, start, months, scale) : null;
  const every = decimal(stream.subscribers?.every ?? 1);
  const orders = subscribers
    ? subscribers.map((count) => count.div(every))
    : seriesValues(stream.orders ?? '0', start, months).map((count) => count.times(scale));
  const orderValue = seriesValues(stream.orderValue, start, months);
  const contained = ONE.plus(fraction(stream.salesTax ?? '0'));
  return {
    stream,
    channel: stream.channel ?? 'own-site',
    orders,
    subscribers,
    orderValue,
    netOrderValue: contained.eq(ONE) ? orderValue : orderValue.map((value) => value.div(contained)),
    refunded: fraction(stream.refunds ?? '0'),
    cards: Object.entries(stream.cards ?? DOMESTIC).map(([kind, share]) => [kind, decimal(share).div(HUNDRED)]),
  };
}

/** n(0) = start, n(m) = n(m−1) × (1 − churn/100) + joins(m), times the scale (decision file §2). */
function subscriberMonths(subscribers: NonNullable<Stream['subscribers']>, start: Month, months: number, scale: Decimal): Decimal[] {
  const joins = seriesValues(subscribers.joins, start, months);
  const staying = ONE.minus(fraction(subscribers.churn));
  const counts: Decimal[] = [];
  let count = decimal(subscribers.start);
  for (let month = 0; month < months; month++) {
    if (month > 0) count = count.times(staying).plus(joins[month] ?? ZERO);
    counts.push(count.times(scale));
  }
  return counts;
}

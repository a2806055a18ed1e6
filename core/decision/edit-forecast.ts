import { decimal } from '../amount/decimal';
import type { Driver, Forecast, Series, Stream } from '../decision-file/forecast-schema';
import type { Decision } from './decision-schema';

/** The fields of a series that is not constant. */
export type ShapedSeries = Exclude<Series, string>;

/** A series with all its fields, also where a plain number was stated. */
export function shaped(series: Series | undefined): ShapedSeries {
  if (series === undefined) return { start: '0' };
  return typeof series === 'string' ? { start: series } : series;
}

/**
 * A series with some fields changed, written as plainly as it can be.
 *
 * @example withSeries('96', { growth: '1.2' }) // { start: '96', growth: '1.2' }
 */
export function withSeries(
  series: Series | undefined,
  change: { [Field in keyof ShapedSeries]?: ShapedSeries[Field] | undefined },
): Series {
  const merged = { ...shaped(series), ...change };
  const kept = Object.entries(merged).filter(([, value]) => value !== undefined);
  return kept.length === 1 ? (merged.start ?? '0') : (Object.fromEntries(kept) as ShapedSeries);
}

/** The decision with its forecast changed. */
export function withForecast(decision: Decision, change: (forecast: Forecast) => Forecast): Decision {
  return { ...decision, forecast: change(decision.forecast) };
}

/** The forecast with one stream changed, or removed if `change` gives null. */
export function withStream(forecast: Forecast, id: string, change: (stream: Stream) => Stream | null): Forecast {
  const streams = forecast.streams.flatMap((stream) => {
    const changed = stream.id === id ? change(stream) : stream;
    return changed ? [changed] : [];
  });
  return { ...forecast, streams };
}

/** A stream with nothing sold yet. */
export function newStream(id: string, label: string): Stream {
  return { id, label, kind: 'goods', orders: '0', orderValue: '0' };
}

/** A stream of another kind: subscriptions have subscribers instead of orders. */
export function withKind(stream: Stream, kind: Stream['kind']): Stream {
  if (kind === 'subscription') {
    const { orders, ...rest } = stream;
    return { ...rest, kind, subscribers: stream.subscribers ?? { start: shaped(orders).start, joins: '0', churn: '0' } };
  }
  const { subscribers, ...rest } = stream;
  return { ...rest, kind, orders: stream.orders ?? subscribers?.start ?? '0' };
}

/** A series with one month set by hand, or with null back on its course. */
export function withMonthSet(series: Series | undefined, month: string, value: string | null): Series {
  const { [month]: _former, ...others } = shaped(series).set ?? {};
  const set = value === null ? others : { ...others, [month]: value };
  return withSeries(series, { set: Object.keys(set).length > 0 ? set : undefined });
}

/** The months of a stream that are set by hand: of its orders, or of its joins. */
export function monthsSet({ orders, subscribers }: Stream): Readonly<Record<string, string>> {
  return shaped(subscribers ? subscribers.joins : orders).set ?? {};
}

/** The stream with one month's orders (or joins) set by hand, or with null back on their course. */
export function withStreamMonthSet(stream: Stream, month: string, value: string | null): Stream {
  const { subscribers } = stream;
  return subscribers
    ? { ...stream, subscribers: { ...subscribers, joins: withMonthSet(subscribers.joins, month, value) } }
    : { ...stream, orders: withMonthSet(stream.orders, month, value) };
}

/**
 * A decision in which a stream's orders lie between two figures a month: the middle is expected, the ends are the
 * cautious and the hopeful version.
 */
export function withOrdersBetween(
  decision: Decision,
  id: string,
  { least, most }: { readonly least: string; readonly most: string },
): Decision {
  const middle = decimal(least).plus(most).div(2).toDecimalPlaces(MIDDLE_PLACES);
  const apart = (end: string) => decimal(end).div(middle).minus(1).times(100).toDecimalPlaces(DIFFERENCE_PLACES).toFixed();
  const versions = decision.versions ?? {};
  const differing = (version: 'cautious' | 'hopeful', end: string) => {
    const { streams, ...all } = versions[version] ?? {};
    return { ...all, streams: { ...streams, [id]: { ...streams?.[id], orders: middle.isZero() ? '0' : apart(end) } } };
  };
  return {
    ...withForecast(decision, (forecast) =>
      withStream(forecast, id, (one) => ({ ...one, orders: withSeries(one.orders, { start: middle.toFixed() }) })),
    ),
    versions: { ...versions, cautious: differing('cautious', least), hopeful: differing('hopeful', most) },
  };
}

/** The middle is a guess; it is told with so many places. */
const MIDDLE_PLACES = 2;

/** So exactly a difference gives the end of a range again. */
const DIFFERENCE_PLACES = 10;

/** The forecast with one of its other quantities changed, or removed with null. */
export function withQuantity(forecast: Forecast, id: string, driver: Driver | null): Forecast {
  const { [id]: _former, ...others } = forecast.drivers ?? {};
  return { ...forecast, drivers: driver === null ? others : { ...forecast.drivers, [id]: driver } };
}

/** What of a quantity is counted by month, so that single months can be set by hand; null for one that is counted by something else. */
export function countedByMonth(driver: Driver | undefined): ShapedSeries | null {
  return driver === undefined || (typeof driver === 'object' && 'per' in driver) ? null : shaped(driver);
}

import { Decimal, decimal, fraction, HUNDRED, ONE, ZERO } from '../amount/decimal';
import type { Driver, Forecast, Series, Stream } from '../decision-file/forecast-schema';
import type { Differences, StreamDifferences, Versions } from './versions-schema';

/** The three versions of expected sales. */
export type VersionName = 'cautious' | 'expected' | 'hopeful';

export const VERSION_NAMES: readonly VersionName[] = ['cautious', 'expected', 'hopeful'];

/** What the versions differ by as long as nobody says otherwise. */
const USUAL: Readonly<Record<'cautious' | 'hopeful', Differences>> = { cautious: { orders: '-25' }, hopeful: { orders: '25' } };

/** How a version differs from what is expected; nothing for the expected one itself. */
export function differencesOf(versions: Versions | undefined, version: VersionName): Differences {
  return version === 'expected' ? {} : (versions?.[version] ?? USUAL[version]);
}

/**
 * The forecast in one of its versions, as a forecast of its own.
 *
 * Growth changes by percentage points a month, orders, joins, subscribers at the start and order values by percent;
 * refunds, churn and margin stay between 0 and 100%. Quantities that are counted per order or subscriber follow by
 * themselves, others only where a difference is stated for them.
 *
 * @example inVersion(forecast, { orders: '-25' }) // three quarters of all orders
 */
export function inVersion(forecast: Forecast, differences: Differences): Forecast {
  const { streams: own = {}, quantities = {}, ...all } = differences;
  const streams = forecast.streams.map((stream) => streamInVersion(stream, { ...all, ...own[stream.id] }));
  const drivers = Object.entries(forecast.drivers ?? {}).map(
    ([id, driver]) => [id, quantities[id] === undefined ? driver : scaledDriver(driver, quantities[id])] as const,
  );
  return { ...forecast, streams, ...(forecast.drivers ? { drivers: Object.fromEntries(drivers) } : {}) };
}

function streamInVersion(
  stream: Stream,
  { orders = '0', orderValue = '0', growth = '0', refunds, churn, margin }: StreamDifferences,
): Stream {
  const { subscribers } = stream;
  return {
    ...stream,
    orderValue: scaled(stream.orderValue, orderValue, '0'),
    ...(stream.orders === undefined ? {} : { orders: scaled(stream.orders, orders, growth) }),
    ...(subscribers
      ? {
          subscribers: {
            ...subscribers,
            start: times(subscribers.start, orders),
            joins: scaled(subscribers.joins, orders, growth),
            ...(churn ? { churn: moved(subscribers.churn, churn) } : {}),
          },
        }
      : {}),
    ...(refunds ? { refunds: moved(stream.refunds ?? '0', refunds) } : {}),
    ...(margin ? { margin: moved(stream.margin ?? '100', margin) } : {}),
  };
}

/** Digits kept of what comes out: far below anything that is counted, and short enough for a decision file. */
const PLACES = 12;

function times(value: string, percent: string): string {
  return decimal(value)
    .times(ONE.plus(fraction(percent)))
    .toDecimalPlaces(PLACES)
    .toFixed();
}

/** A percentage moved by points, between 0 and 100. */
function moved(value: string, points: string): string {
  return Decimal.min(HUNDRED, Decimal.max(ZERO, decimal(value).plus(points))).toFixed();
}

function scaled(series: Series, percent: string, growth: string): Series {
  if (decimal(percent).isZero() && decimal(growth).isZero()) return series;
  if (typeof series === 'string')
    return decimal(growth).isZero() ? times(series, percent) : { start: times(series, percent), growth: grown('0', growth) };
  const { set, add } = series;
  return {
    ...series,
    start: times(series.start, percent),
    ...(decimal(growth).isZero() ? {} : { growth: grown(series.growth ?? '0', growth) }),
    ...(add === undefined ? {} : { add: times(add, percent) }),
    ...(set ? { set: Object.fromEntries(Object.entries(set).map(([month, value]) => [month, times(value, percent)])) } : {}),
  };
}

function grown(growth: string, points: string): string {
  return Decimal.max(HUNDRED.negated(), decimal(growth).plus(points)).toFixed();
}

function scaledDriver(driver: Driver, percent: string): Driver {
  if (typeof driver === 'object' && 'per' in driver) return { ...driver, ratio: times(driver.ratio, percent) };
  return scaled(driver, percent, '0');
}

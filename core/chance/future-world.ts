import type { Month } from '../calendar/month';
import type { DecisionFile } from '../decision-file/schema';
import type { Lift } from '../decision-file/candidate-schema';
import type { Driver, Stream } from '../decision-file/forecast-schema';
import { liftOf } from '../forecast/lift';
import { fillRatio, fillSubscribers, isRatio, type NumberForecast, numberForecast } from '../forecast/number-forecast';

/** A stream in one future, by month; its arrays are filled anew for every future. */
export interface FutureStream {
  /** As it is expected. */
  readonly stream: Stream;
  readonly orders: Float64Array;
  readonly subscribers: Float64Array | null;
  /** Base currency. */
  readonly orderValue: Float64Array;
  readonly netOrderValue: Float64Array;
  /** Fraction. */
  refunded: number;
  readonly kinds: readonly string[];
  /** Fractions, one for each kind. */
  readonly shares: Float64Array;
  /** Fraction of what is sold that is left after the goods. */
  readonly margin: number;
}

/** What candidates are priced by in one future; the same arrays are used again for the next. */
export interface FutureWorld {
  readonly start: Month;
  readonly months: number;
  readonly streams: readonly FutureStream[];
  readonly quantities: ReadonlyMap<string, Float64Array>;
  /** Base units for one unit of a currency, by month. */
  readonly rates: ReadonlyMap<string, Float64Array>;
}

/** A world in which everything is as expected. */
export function expectedWorld(file: DecisionFile, forecast: NumberForecast = numberForecast(file)): FutureWorld {
  const { start, months } = forecast;
  return {
    start,
    months,
    streams: forecast.streams.map(({ stream, orders, subscribers, orderValue, netOrderValue, refunded, cards }) => ({
      stream,
      orders: orders.slice(),
      subscribers: subscribers?.slice() ?? null,
      orderValue: orderValue.slice(),
      netOrderValue: netOrderValue.slice(),
      refunded,
      kinds: cards.map(([kind]) => kind),
      shares: Float64Array.from(cards, ([, share]) => share),
      margin: Number(stream.margin ?? '100') / 100,
    })),
    quantities: new Map([...forecast.quantities].map(([id, values]) => [id, values.slice()])),
    rates: new Map(Object.entries(file.rates ?? {}).map(([currency, rate]) => [currency, new Float64Array(months).fill(Number(rate))])),
  };
}

/** A world that follows another, with the orders that a candidate's lift brings. */
export function liftedWorld(base: FutureWorld, file: DecisionFile, forecast: NumberForecast): FutureWorld {
  const lifted = expectedWorld(file, forecast);
  return { ...lifted, rates: base.rates };
}

/** Fills a lifted world from the one it follows. */
export function fillLifted(lifted: FutureWorld, base: FutureWorld, lift: Lift | undefined): void {
  lifted.streams.forEach((stream, place) => {
    const from = base.streams[place];
    if (!from) return;
    const factor = liftOf(lift, stream.stream.id).toNumber();
    for (let month = 0; month < base.months; month++) {
      stream.orders[month] = (from.orders[month] ?? 0) * factor;
      if (stream.subscribers) stream.subscribers[month] = (from.subscribers?.[month] ?? 0) * factor;
    }
    stream.orderValue.set(from.orderValue);
    stream.netOrderValue.set(from.netOrderValue);
    stream.refunded = from.refunded;
    stream.shares.set(from.shares);
  });
}

/** Works out what follows from the streams of a world: subscribers, and quantities that go with orders or sales. */
export function fillQuantities({ streams, quantities }: FutureWorld, drivers: Readonly<Record<string, Driver>>): void {
  const subscribers = quantities.get('subscribers');
  if (subscribers) fillSubscribers(subscribers, streams);
  for (const [id, driver] of Object.entries(drivers)) {
    const values = quantities.get(id);
    if (values && isRatio(driver)) fillRatio(values, driver, streams, quantities);
  }
}

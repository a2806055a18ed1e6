import { type Decimal, decimal, fraction, ONE, plus, ZERO } from '../amount/decimal';
import { type Month, monthsBetween, monthsFrom } from '../calendar/month';
import type { Driver } from '../decision-file/forecast-schema';
import type { DecisionFile } from '../decision-file/schema';
import type { MonthlyForecast, StreamForecast } from '../forecast/forecast';
import { seriesValues } from '../forecast/series';
import type { Orders } from '../rules/expression/expression';
import type { PastOrder } from './past-order';

/** Past orders by month, in the place of a forecast (decision file §11). */
export interface ReplayedWorld {
  readonly start: Month;
  readonly months: number;
  readonly forecast: MonthlyForecast;
  /** Orders by month, by date and then by line of the file. */
  readonly byMonth: ReadonlyArray<readonly PastOrder[]>;
  /** Orders that are counted in every month, or what customers paid for them; exact. */
  counted(orders: Orders): readonly Decimal[];
  /** What a customer paid without the sales tax it contains. */
  netOf(order: PastOrder): Decimal;
}

/** Puts past orders in the place of a file's forecast. */
export function replayedWorld(file: DecisionFile, orders: readonly PastOrder[]): ReplayedWorld {
  const start = orders[0]?.month ?? file.start;
  const months = monthsBetween(start, orders.at(-1)?.month ?? start) + 1;
  const byMonth: PastOrder[][] = Array.from({ length: months }, () => []);
  for (const order of orders) byMonth[monthsBetween(start, order.month)]?.push(order);
  const contained = file.forecast.streams.map(({ salesTax }) => ONE.plus(fraction(salesTax ?? '0')));
  const netOf = ({ value, stream }: PastOrder) => value.div(contained[stream] ?? ONE);
  const added = (wanted: (order: PastOrder) => boolean, amount: (order: PastOrder) => Decimal) =>
    byMonth.map((all) => all.reduce((sum, order) => (wanted(order) ? plus(sum, amount(order)) : sum), ZERO));
  const streams = file.forecast.streams.map((stream, place): StreamForecast => {
    const isOf = (order: PastOrder) => order.stream === place;
    const counts = added(isOf, () => ONE);
    const average = (values: readonly Decimal[]) => values.map((value, month) => (counts[month]?.gt(0) ? value.div(counts[month]) : ZERO));
    const cardsByMonth = byMonth.map((all) => new Set(all.filter(isOf).map(({ card }) => card)));
    return {
      stream,
      channel: stream.channel ?? 'own-site',
      orders: counts,
      subscribers: null,
      orderValue: average(added(isOf, ({ value }) => value)),
      netOrderValue: average(added(isOf, netOf)),
      refunded: ZERO,
      cards: [...new Set(cardsByMonth.flatMap((kinds) => [...kinds]))].map((kind) => [kind, ONE] as const),
      cardsByMonth,
    };
  });
  const margins = file.forecast.streams.map(({ margin }) => fraction(margin ?? '100'));
  const forecast: Omit<MonthlyForecast, 'quantities'> = {
    months: monthsFrom(start, months),
    streams,
    orders: added(
      () => true,
      () => ONE,
    ),
    sales: added(
      () => true,
      ({ value }) => value,
    ),
    kept: added(
      ({ refunded }) => !refunded,
      (order) => netOf(order).times(margins[order.stream] ?? ONE),
    ),
  };
  return {
    start,
    months,
    byMonth,
    netOf,
    forecast: { ...forecast, quantities: quantitiesOf(file, forecast, added) },
    counted: ({ of, stream: only, value }) =>
      added(
        (order) =>
          (only === null || order.stream === only) && of.counts(order.stream, order.card) && !(of.withoutRefunded && order.refunded),
        (order) => {
          if (value === null) return ONE;
          return value === 'net' ? netOf(order) : order.value;
        },
      ),
  };
}

type Adding = (wanted: (order: PastOrder) => boolean, amount: (order: PastOrder) => Decimal) => Decimal[];

/** Series as the file's own calendar has them, month for month; what is `per` something follows the orders. */
function quantitiesOf(
  { forecast: { streams, drivers = {} }, start }: DecisionFile,
  { months }: Pick<MonthlyForecast, 'months'>,
  added: Adding,
): Map<string, readonly Decimal[]> {
  const series = new Map<string, readonly Decimal[]>([['subscribers', months.map(() => ZERO)]]);
  const entries = Object.entries(drivers);
  for (const [id, driver] of entries) if (!isRatio(driver)) series.set(id, seriesValues(driver, start, months.length));
  const quantities = new Map(series);
  for (const [id, driver] of entries) {
    if (!isRatio(driver)) continue;
    const isOf = ({ stream }: PastOrder) => driver.streams?.includes(streams[stream]?.id ?? '') ?? true;
    const follows = () => {
      if (driver.per === 'orders') return added(isOf, () => ONE);
      if (driver.per === 'sales') return added(isOf, ({ value }) => value);
      // The subscribers of some streams are replaced by orders, so there are none.
      if (driver.per === 'subscribers' && driver.streams) return months.map(() => ZERO);
      return series.get(driver.per) ?? months.map(() => ZERO);
    };
    quantities.set(
      id,
      follows().map((amount) => amount.times(decimal(driver.ratio))),
    );
  }
  return quantities;
}

function isRatio(driver: Driver): driver is Extract<Driver, { per: string }> {
  return typeof driver === 'object' && 'per' in driver;
}

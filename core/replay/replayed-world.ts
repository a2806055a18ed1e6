import { type Decimal, decimal, fraction, ONE, plus, ZERO } from '../amount/decimal';
import { monthsFrom } from '../calendar/month';
import type { Driver } from '../decision-file/forecast-schema';
import type { DecisionFile } from '../decision-file/schema';
import type { MonthlyForecast, StreamForecast } from '../forecast/forecast';
import { seriesValues } from '../forecast/series';
import type { Orders } from '../rules/expression/expression';
import { type OrderCell, orderCells } from './order-cells';
import type { PastOrders } from './past-orders';

/** Past orders by month, in the place of a forecast (decision file §11). */
export interface ReplayedWorld {
  readonly orders: PastOrders;
  readonly forecast: MonthlyForecast;
  /** Orders that are counted in every month, or what customers paid for them; exact. */
  counted(orders: Orders): readonly Decimal[];
  /** What a customer of a stream pays for 1 without sales tax. */
  contained(stream: number): Decimal;
}

/** Puts past orders in the place of a file's forecast. */
export function replayedWorld(file: DecisionFile, orders: PastOrders): ReplayedWorld {
  const cells = orderCells(orders);
  const all = file.forecast.streams.map(({ salesTax }) => ONE.plus(fraction(salesTax ?? '0')));
  const contained = (stream: number) => all[stream] ?? ONE;
  const net = (cell: OrderCell) => cell.value.div(contained(cell.stream));
  const added: Adding = (wanted, amount) =>
    cells.map((month) => month.reduce((sum, cell) => (wanted(cell) ? plus(sum, amount(cell)) : sum), ZERO));
  const streams = file.forecast.streams.map((stream, place): StreamForecast => {
    const isOf = (cell: OrderCell) => cell.stream === place;
    const counts = added(isOf, ({ count }) => count);
    const average = (values: readonly Decimal[]) => values.map((value, month) => (counts[month]?.gt(0) ? value.div(counts[month]) : ZERO));
    const cardsByMonth = cells.map((month) => new Set(month.filter(isOf).map(({ card }) => card)));
    return {
      stream,
      channel: stream.channel ?? 'own-site',
      orders: counts,
      subscribers: null,
      orderValue: average(added(isOf, ({ value }) => value)),
      netOrderValue: average(added(isOf, net)),
      refunded: ZERO,
      cards: [...new Set(cardsByMonth.flatMap((kinds) => [...kinds]))].map((kind) => [kind, ONE] as const),
      cardsByMonth,
    };
  });
  const margins = file.forecast.streams.map(({ margin }) => fraction(margin ?? '100'));
  const every = () => true;
  const forecast: Omit<MonthlyForecast, 'quantities'> = {
    months: monthsFrom(orders.start, orders.months),
    streams,
    orders: added(every, ({ count }) => count),
    sales: added(every, ({ value }) => value),
    kept: added(
      ({ refunded }) => !refunded,
      (cell) => net(cell).times(margins[cell.stream] ?? ONE),
    ),
  };
  return {
    orders,
    contained,
    forecast: { ...forecast, quantities: quantitiesOf(file, forecast, added) },
    counted: ({ of, stream: only, value }) =>
      added(
        ({ stream, card, refunded }) => (only === null || stream === only) && of.counts(stream, card) && !(of.withoutRefunded && refunded),
        (cell) => {
          if (value === null) return cell.count;
          return value === 'net' ? net(cell) : cell.value;
        },
      ),
  };
}

type Adding = (wanted: (cell: OrderCell) => boolean, amount: (cell: OrderCell) => Decimal) => Decimal[];

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
    const isOf = ({ stream }: OrderCell) => driver.streams?.includes(streams[stream]?.id ?? '') ?? true;
    const follows = () => {
      if (driver.per === 'orders') return added(isOf, ({ count }) => count);
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

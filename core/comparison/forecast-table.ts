import { ONE, ZERO } from '../amount/decimal';
import { moneyText, roundMoney } from '../amount/currencies';
import type { Month } from '../calendar/month';
import type { Pricing } from '../pricing/pricing';

/** Expected sales of one month, as the forecast comes out. */
export interface ForecastMonth {
  readonly month: Month;
  /** Orders of each stream in file order, 4 places. */
  readonly orders: readonly string[];
  readonly allOrders: string;
  /** Sales of each stream in file order, base currency. */
  readonly streamSales: readonly string[];
  /** All sales, base currency. */
  readonly sales: string;
  /** Every other quantity in the order of the file, 4 places. */
  readonly quantities: readonly string[];
  /** Sales as a share of the best month's, 0 to 1, for a bar. */
  readonly ofBest: number;
}

/** Expected sales month by month, for reading. */
export function forecastTable(pricing: Pricing): ForecastMonth[] {
  const forecast = pricing.forecastAt(ONE);
  const { currency } = pricing.file;
  const drivers = Object.keys(pricing.file.forecast.drivers ?? {});
  const count = (value = ZERO) => value.toDecimalPlaces(4).toFixed();
  const best = Math.max(...forecast.sales.map((sales) => sales.toNumber()), 0);
  return forecast.months.map((month, index) => {
    const sales = forecast.sales[index];
    return {
      month,
      orders: forecast.streams.map((stream) => count(stream.orders[index])),
      streamSales: forecast.streams.map((stream) =>
        moneyText(roundMoney((stream.orders[index] ?? ZERO).times(stream.orderValue[index] ?? ZERO), currency), currency),
      ),
      allOrders: count(forecast.orders[index]),
      quantities: drivers.map((id) => count(forecast.quantities.get(id)?.[index])),
      sales: sales ? moneyText(roundMoney(sales, currency), currency) : '0',
      ofBest: best > 0 && sales ? sales.toNumber() / best : 0,
    };
  });
}

import { decimal, type Decimal, sum } from '../amount/decimal';
import { moneyText, roundMoney } from '../amount/currencies';
import type { Pricing } from '../pricing/pricing';

/** A level of sales in one unit: what is sold in an average month, in a year, and over the whole horizon. */
export interface LevelInUnit {
  /** `sales` in base currency, `orders` of all streams, or `stream` and `members` of one. */
  readonly unit: 'sales' | 'orders' | 'stream' | 'members';
  /** Name of the stream; empty for all together. */
  readonly label: string;
  readonly month: string;
  /** Null for members: they are there or not, and are not added up over months. */
  readonly year: string | null;
  readonly whole: string | null;
}

const PLACES = 4;
const A_YEAR = 12;

/**
 * A level of sales in every unit a seller may think in: sales, all orders, orders of each stream, members of each
 * subscription, with the mix of what is sold as it is.
 *
 * @param scale - of the forecast, see decision file §2
 */
export function levelInUnits({ file, forecastAt }: Pricing, scale: number): LevelInUnit[] {
  const forecast = forecastAt(decimal(scale));
  const { currency, months } = file;
  const over = (values: readonly Decimal[], text: (amount: Decimal) => string) => {
    const whole = sum(values);
    return { month: text(whole.div(months)), year: text(whole.div(months).times(A_YEAR)), whole: text(whole) };
  };
  const money = (amount: Decimal) => moneyText(roundMoney(amount, currency), currency);
  const count = (amount: Decimal) => amount.toFixed(PLACES);
  return [
    { unit: 'sales', label: '', ...over(forecast.sales, money) },
    { unit: 'orders', label: '', ...over(forecast.orders, count) },
    ...(forecast.streams.length > 1
      ? forecast.streams.map(({ stream, orders }) => ({
          unit: 'stream' as const,
          label: stream.label || stream.id,
          ...over(orders, count),
        }))
      : []),
    ...forecast.streams.flatMap(({ stream, subscribers }): LevelInUnit[] =>
      subscribers
        ? [{ unit: 'members', label: stream.label || stream.id, month: over(subscribers, count).month, year: null, whole: null }]
        : [],
    ),
  ];
}

import { type Decimal, fraction, ONE, sum, ZERO } from '../amount/decimal';
import type { MonthlyForecast } from '../forecast/forecast';

/**
 * What is left of each month's net sales after the goods themselves and refunds, before costs (decision file §7, `keep`):
 * Σ orders × order value without sales tax × margin × (1 − refunds), base currency, not rounded.
 */
export function keptMonths({ streams, months, kept }: MonthlyForecast): readonly Decimal[] {
  if (kept) return kept;
  const rates = streams.map(({ stream, refunded }) => fraction(stream.margin ?? '100').times(ONE.minus(refunded)));
  return months.map((_, month) =>
    sum(
      streams.map(({ orders, netOrderValue }, index) =>
        (orders[month] ?? ZERO).times(netOrderValue[month] ?? ZERO).times(rates[index] ?? ZERO),
      ),
    ),
  );
}

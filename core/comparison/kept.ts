import { type Decimal, fixed, fraction, ONE, sum, ZERO } from '../amount/decimal';
import { moneyText, roundMoney } from '../amount/currencies';
import type { Candidate } from '../decision-file/candidate-schema';
import { forecastWith, type Pricing } from '../pricing/pricing';

/** What a stream leaves before a candidate's costs (decision file §7, `keep`); base currency. */
export interface KeptOfStream {
  readonly label: string;
  /** Over the horizon, with the candidate's lift. */
  readonly orders: string;
  /** Sales without the tax they contain. */
  readonly netSales: string;
  /** Percent. */
  readonly margin: string;
  readonly refunds: string;
  readonly kept: string;
}

/** What a candidate's rates are worked out from. */
export interface KeptParts {
  readonly streams: readonly KeptOfStream[];
  /** Orders of all streams, 1 place, and their sales. */
  readonly orders: string;
  readonly sales: string;
  /** What is left before costs. */
  readonly kept: string;
}

/** Takes apart what is left to the seller before a candidate's costs, stream by stream. */
export function keptParts(pricing: Pricing, candidate: Candidate, scale: Decimal = ONE): KeptParts {
  const forecast = forecastWith(pricing, candidate, scale);
  const { currency } = pricing.file;
  const money = (amount: Decimal) => moneyText(roundMoney(amount, currency), currency);
  const streams = forecast.streams.map(({ stream, orders, netOrderValue, refunded }) => {
    const netSales = sum(orders.map((count, month) => count.times(netOrderValue[month] ?? ZERO)));
    const margin = stream.margin ?? '100';
    return {
      label: stream.label,
      orders: fixed(sum(orders), 1),
      netSales: money(netSales),
      margin,
      refunds: stream.refunds ?? '0',
      exact: netSales.times(fraction(margin)).times(ONE.minus(refunded)),
    };
  });
  return {
    streams: streams.map(({ exact, ...stream }) => ({ ...stream, kept: money(exact) })),
    orders: fixed(sum(forecast.orders), 1),
    sales: money(sum(forecast.sales)),
    kept: money(sum(streams.map(({ exact }) => exact))),
  };
}

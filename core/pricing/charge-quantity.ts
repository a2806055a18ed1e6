import { Decimal, decimal, fraction, ONE, sum, ZERO } from '../amount/decimal';
import type { Allowance, Charge } from '../decision-file/price-sheet-schema';
import type { MonthlyForecast, StreamForecast } from '../forecast/forecast';
import { type ChargeOwner, countedShare, type Processing } from './processing';

/** A stream with the share of its orders that counts for a charge. */
export interface CountedStream {
  readonly forecast: StreamForecast;
  /** Fraction of the stream's orders. */
  readonly share: Decimal;
}

/** What a charge is worked out from, for one candidate. */
export interface ChargeBasis {
  readonly charge: Charge;
  readonly forecast: MonthlyForecast;
  readonly counted: readonly CountedStream[];
  /** Base units for one unit of the charge's currency. */
  readonly rate: Decimal;
}

/** Gathers what a charge counts for one candidate (decision file §4, `only`). */
export function chargeBasis(
  charge: Charge,
  owner: ChargeOwner,
  processing: Processing,
  forecast: MonthlyForecast,
  rate: Decimal,
): ChargeBasis {
  const counted = forecast.streams
    .map((stream) => ({ forecast: stream, share: countedShare(charge, owner, processing, stream) }))
    .filter(({ share }) => share.gt(ZERO));
  return { charge, forecast, counted, rate };
}

/** What an order of a stream is worth to a charge, in the charge's currency; without sales tax for `of: "net"`. */
export function orderValueFor({ charge, rate }: ChargeBasis, stream: StreamForecast, month: number): Decimal {
  const values = charge.of === 'net' ? stream.netOrderValue : stream.orderValue;
  return (values[month] ?? ZERO).div(rate);
}

/** The quantity a charge is `on` in a month, narrowed by `only` where it counts orders or sales (decision file §4). */
export function chargeQuantity(basis: ChargeBasis, month: number): Decimal {
  const on = basis.charge.on ?? 'orders';
  if (on === 'orders') return sum(basis.counted.map((stream) => countedOrders(stream, month)));
  if (on === 'sales')
    return sum(
      basis.counted.map((stream) => countedOrders(stream, month).times(orderValueFor(basis, stream.forecast, month))),
    );
  return basis.forecast.quantities.get(on)?.[month] ?? ZERO;
}

/** Orders of a stream that count for a charge in a month. */
export function countedOrders({ forecast, share }: CountedStream, month: number): Decimal {
  return (forecast.orders[month] ?? ZERO).times(share);
}

/** Like {@link countedOrders}, without the refunded ones where the vendor returns its fee. */
export function chargedOrders(basis: ChargeBasis, stream: CountedStream, month: number): Decimal {
  const returned = basis.charge.how === 'per-order' && basis.charge.refund === 'returned';
  const orders = countedOrders(stream, month);
  return returned ? orders.times(ONE.minus(stream.forecast.refunded)) : orders;
}

/**
 * What is free in a month: a fixed number, or so much per order, per unit of sales (in the charge's currency) or
 * per unit of another quantity (decision file §4, `free`).
 */
export function allowanceIn(basis: ChargeBasis, free: Allowance | undefined, month: number): Decimal {
  if (free === undefined || free === null) return ZERO;
  if (typeof free === 'string') return decimal(free);
  const ratio = decimal(free.ratio ?? '0');
  const { forecast, rate } = basis;
  if (free.per === 'orders') return ratio.times(forecast.orders[month] ?? ZERO);
  if (free.per === 'sales') return ratio.times((forecast.sales[month] ?? ZERO).div(rate));
  return ratio.times(forecast.quantities.get(free.per)?.[month] ?? ZERO);
}

/** A rate per unit: `each` + `percent`/100 (decision file §4). */
export function unitRate({ each, percent }: { each?: string | null | undefined; percent?: string | null | undefined }): Decimal {
  return decimal(each ?? '0').plus(fraction(percent ?? '0'));
}

/** What is left of a quantity after an allowance, never below 0. */
export function beyond(quantity: Decimal, free: Decimal): Decimal {
  return Decimal.max(quantity.minus(free), ZERO);
}

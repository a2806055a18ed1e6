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

/** Orders and sales that count for a charge, by month; sales in base currency. */
export interface CountedMonths {
  readonly orders: readonly Decimal[];
  readonly sales: readonly Decimal[];
}

/** Many charges count the same orders: what was added up once for a forecast is kept with it. */
const added = new WeakMap<MonthlyForecast, Map<string, CountedMonths>>();

/**
 * Adds up the orders and sales that count for a charge, without sales tax for `of: "net"`.
 *
 * @param withoutRefunded - leaves out the orders that are refunded (decision file §4, `refund: "returned"`)
 */
export function countedMonths({ charge, forecast, counted }: ChargeBasis, withoutRefunded = false): CountedMonths {
  const streams = counted.map(({ forecast: stream, share }) => ({
    stream,
    share: withoutRefunded ? share.times(ONE.minus(stream.refunded)) : share,
  }));
  const values = charge.of === 'net' ? 'netOrderValue' : 'orderValue';
  const key = `${values} ${streams.map(({ stream, share }) => `${stream.stream.id} ${share.toString()}`).join(' ')}`;
  const ofForecast = added.get(forecast) ?? new Map<string, CountedMonths>();
  added.set(forecast, ofForecast);
  const found = ofForecast.get(key);
  if (found) return found;
  const orders: Decimal[] = [];
  const sales: Decimal[] = [];
  for (let month = 0; month < forecast.months.length; month++) {
    const parts = streams.map(({ stream, share }) => ({
      orders: (stream.orders[month] ?? ZERO).times(share),
      value: stream[values][month] ?? ZERO,
    }));
    orders.push(sum(parts.map((part) => part.orders)));
    sales.push(sum(parts.map((part) => part.orders.times(part.value))));
  }
  const months = { orders, sales };
  ofForecast.set(key, months);
  return months;
}

/** What an order of a stream is worth to a charge, in the charge's currency; without sales tax for `of: "net"`. */
export function orderValueFor({ charge, rate }: ChargeBasis, stream: StreamForecast, month: number): Decimal {
  const values = charge.of === 'net' ? stream.netOrderValue : stream.orderValue;
  return inCurrency(values[month] ?? ZERO, rate);
}

/** An amount of base currency in a currency of which one unit is worth `rate`. */
export function inCurrency(amount: Decimal, rate: Decimal): Decimal {
  return rate.eq(ONE) ? amount : amount.div(rate);
}

/** The quantity a charge is `on`, by month, narrowed by `only` where it counts orders or sales (decision file §4). */
export function chargeQuantities(basis: ChargeBasis): readonly Decimal[] {
  const on = basis.charge.on ?? 'orders';
  if (on === 'orders') return countedMonths(basis).orders;
  if (on === 'sales') return countedMonths(basis).sales.map((sales) => inCurrency(sales, basis.rate));
  return basis.forecast.quantities.get(on) ?? [];
}

/** Orders of a stream that count for a charge in a month, without the refunded ones where the fee is returned. */
export function chargedOrders({ charge }: ChargeBasis, { forecast, share }: CountedStream, month: number): Decimal {
  const orders = (forecast.orders[month] ?? ZERO).times(share);
  return isReturned(charge) ? orders.times(ONE.minus(forecast.refunded)) : orders;
}

/** Whether the vendor returns its fee for refunded orders. */
export function isReturned(charge: Charge): boolean {
  return charge.how === 'per-order' && charge.refund === 'returned';
}

/**
 * What is free, by month: a fixed number, or so much per order, per unit of sales (in the charge's currency) or
 * per unit of another quantity (decision file §4, `free`).
 *
 * @returns a function of the month index
 */
export function allowance({ forecast, rate }: ChargeBasis, free: Allowance | undefined): (month: number) => Decimal {
  if (free === undefined || free === null) return () => ZERO;
  if (typeof free === 'string') {
    const fixed = decimal(free);
    return () => fixed;
  }
  const ratio = decimal(free.ratio ?? '0');
  if (free.per === 'orders') return (month) => ratio.times(forecast.orders[month] ?? ZERO);
  if (free.per === 'sales') return (month) => ratio.times(inCurrency(forecast.sales[month] ?? ZERO, rate));
  const quantities = forecast.quantities.get(free.per);
  return (month) => ratio.times(quantities?.[month] ?? ZERO);
}

/** A rate per unit: `each` + `percent`/100 (decision file §4). */
export function unitRate({ each, percent }: { each?: string | null | undefined; percent?: string | null | undefined }): Decimal {
  return decimal(each ?? '0').plus(fraction(percent ?? '0'));
}

/** What is left of a quantity after an allowance, never below 0. */
export function beyond(quantity: Decimal, free: Decimal): Decimal {
  return Decimal.max(quantity.minus(free), ZERO);
}

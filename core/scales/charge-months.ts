import type { NumberForecast, NumberStream } from '../forecast/number-forecast';
import type { Pricing } from '../pricing/pricing';
import { numberForecast } from '../forecast/number-forecast';
import type { CompiledCharge } from './compiled-candidate';
import type { PreparedCharge } from './prepare';

/** What totals are worked out from besides the candidates themselves, in floating point. */
export interface Level {
  readonly forecast: NumberForecast;
  /** Base units for one unit of a currency. */
  rate(currency: string): number;
  /** Base currency. */
  readonly hourValue: number;
  /** 1 + feeTax: what is quoted without tax is multiplied by it. */
  readonly tax: number;
}

/** The level that a decision file states. */
export function statedLevel({ file }: Pick<Pricing, 'file'>): Level {
  const rates = new Map(Object.entries(file.rates ?? {}).map(([code, rate]) => [code, Number(rate)]));
  return {
    forecast: numberForecast(file),
    rate: (currency) => (currency === file.currency ? 1 : (rates.get(currency) ?? NaN)),
    hourValue: Number(file.hourValue ?? '0'),
    tax: 1 + Number(file.feeTax ?? '0') / 100,
  };
}

/** A compiled charge whose months are filled anew for each level. */
export type ChargeMonths = { -readonly [Field in keyof CompiledCharge]: CompiledCharge[Field] } & { rates: Float64Array };

const HOW = { 'per-order': 'beyond', 'per-unit': 'beyond', package: 'steps', graduated: 'graduated', volume: 'volume' } as const;

/** Room for a charge's months, to be filled. */
export function chargeMonths(prepared: PreparedCharge, months: number): ChargeMonths {
  const { size, bands, monthlyMin, monthlyCap, totalCap, charge, rate } = prepared;
  return {
    how: HOW[charge.how],
    quantity: new Float64Array(months),
    growing: new Float64Array(months),
    rates: new Float64Array(months).fill(rate),
    size,
    bands,
    monthlyMin,
    monthlyCap,
    totalCap,
    weight: 1,
  };
}

/** Fills in what a charge counts in every month of a level, allowances taken off (decision file §4). */
export function fillMonths(into: ChargeMonths, prepared: PreparedCharge, level: Level): void {
  const { charge } = prepared;
  const { forecast } = level;
  const rate = level.rate(prepared.currency);
  into.weight = rate * (prepared.taxExcluded ? level.tax : 1) * (charge.credit ? -1 : 1);
  into.quantity.fill(0);
  const on = charge.how === 'per-order' ? 'orders' : (charge.on ?? 'orders');
  if (on === 'orders' || on === 'sales') {
    into.growing.fill(0);
    if (charge.how === 'per-order') into.rates.fill(0);
    for (let index = 0; index < forecast.streams.length; index++) {
      const stream = forecast.streams[index];
      if (stream) addStream(into, prepared, stream, shareOf(prepared, stream, index), on === 'sales', rate);
    }
    if (charge.how === 'per-order') averageFees(into);
  } else {
    const counted = forecast.quantities.get(on);
    const isScaled = forecast.scaled.has(on);
    for (let month = 0; month < forecast.months; month++) {
      const count = counted?.[month] ?? 0;
      into.growing[month] = isScaled ? count : 0;
      into.quantity[month] = isScaled ? 0 : count;
    }
  }
  if (prepared.free) takeAllowance(into, prepared.free, forecast, rate);
}

/** The share of a stream's orders that counts, a fraction. */
function shareOf(prepared: PreparedCharge, { cards, channel }: NumberStream, index: number): number {
  let share = 0;
  for (let at = 0; at < cards.length; at++) {
    const card = cards[at];
    if (card && prepared.counts(index, channel, card[0])) share += card[1];
  }
  return share;
}

/** Adds a stream's orders (or sales) to what grows with the scale, and for charges per order its fees to the rates. */
function addStream(
  into: ChargeMonths,
  prepared: PreparedCharge,
  stream: NumberStream,
  share: number,
  isSales: boolean,
  rate: number,
): void {
  if (share <= 0) return;
  const { charge, percent, each, least, most } = prepared;
  const { growing, rates } = into;
  const isPerOrder = charge.how === 'per-order';
  const counted = isPerOrder && charge.refund === 'returned' ? share * (1 - stream.refunded) : share;
  const values = charge.of === 'net' ? stream.netOrderValue : stream.orderValue;
  for (let month = 0; month < growing.length; month++) {
    const count = (stream.orders[month] ?? 0) * counted;
    const value = (values[month] ?? 0) / rate;
    growing[month] = (growing[month] ?? 0) + (isSales ? count * value : count);
    if (isPerOrder) rates[month] = (rates[month] ?? 0) + count * Math.min(Math.max(value * percent + each, least), most);
  }
}

/** Σ orders × fee × (q − free)/q is the average fee of a month × what lies beyond the allowance. */
function averageFees({ growing, rates }: ChargeMonths): void {
  for (let month = 0; month < growing.length; month++) {
    const count = growing[month] ?? 0;
    rates[month] = count === 0 ? 0 : (rates[month] ?? 0) / count;
  }
}

function takeAllowance(
  into: ChargeMonths,
  { per, ratio }: { per: string | null; ratio: number },
  forecast: NumberForecast,
  rate: number,
): void {
  const from = per !== null && forecast.scaled.has(per) ? into.growing : into.quantity;
  const of =
    per === null ? null : per === 'orders' ? forecast.orders : per === 'sales' ? forecast.sales : (forecast.quantities.get(per) ?? null);
  const factor = per === 'sales' ? ratio / rate : ratio;
  for (let month = 0; month < from.length; month++) from[month] = (from[month] ?? 0) - (per === null ? ratio : factor * (of?.[month] ?? 0));
}

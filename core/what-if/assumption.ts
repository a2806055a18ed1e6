import type { Decimal } from '../amount/decimal';
import { decimal, sum, ZERO } from '../amount/decimal';
import type { DecisionFile } from '../decision-file/schema';
import { foreignKind } from '../forecast/foreign-kind';
import { seriesValues } from '../forecast/series';
import { openPrices } from './open-prices';

/** What can be assumed otherwise. */
export type AssumptionKind =
  'orders' | 'order-value' | 'growth' | 'season' | 'refunds' | 'churn' | 'foreign-cards' | 'quantity' | 'rate' | 'hour-value' | 'price';

/**
 * How a change of it is stated:
 * - `percent`: percent more or less than now, 0 as it is
 * - `points`: percentage points more or less, 0 as it is
 * - `strength`: percent of how strong it is now, 100 as it is
 * - `amount`: the amount itself
 */
export type ChangeUnit = 'percent' | 'points' | 'strength' | 'amount';

/** Something the totals rest on that could be otherwise. */
export interface Assumption {
  /** Unique in the decision, such as `orders:kites`; without a colon for all streams together. */
  readonly key: string;
  readonly kind: AssumptionKind;
  /** Id of the stream, quantity, currency or price it is about; null for all together. */
  readonly of: string | null;
  readonly label: string;
  readonly unit: ChangeUnit;
  /** What a change is stated as when nothing is changed. */
  readonly asIs: number;
  /** What it is now, in its own unit (orders a month, base currency, percent …); null where one figure does not say it. */
  readonly now: string | null;
  /** The range over which it is looked at unless somebody says otherwise, as changes are stated. */
  readonly usual: readonly [low: number, high: number];
  /** Bounds of what can be stated. */
  readonly bounds: readonly [low: number, high: number];
}

const UNITS: Readonly<Record<AssumptionKind, ChangeUnit>> = {
  orders: 'percent',
  'order-value': 'percent',
  growth: 'points',
  season: 'strength',
  refunds: 'points',
  churn: 'points',
  'foreign-cards': 'points',
  quantity: 'percent',
  rate: 'percent',
  'hour-value': 'amount',
  price: 'amount',
};
const USUAL: Readonly<Record<AssumptionKind, readonly [number, number]>> = {
  orders: [-40, 60],
  'order-value': [-25, 25],
  growth: [-2, 2],
  season: [0, 150],
  refunds: [-3, 6],
  churn: [-2, 4],
  'foreign-cards': [-15, 25],
  quantity: [-40, 60],
  rate: [-10, 10],
  'hour-value': [0, 40],
  price: [0, 50],
};
const BOUNDS: Readonly<Record<ChangeUnit, readonly [number, number]>> = {
  percent: [-100, 1000],
  points: [-100, 100],
  strength: [0, 500],
  amount: [0, 1_000_000],
};

function assumption(
  kind: AssumptionKind,
  of: string | null,
  label: string,
  now: string | null,
  usual: readonly [number, number] = USUAL[kind],
): Assumption {
  const unit = UNITS[kind];
  const stated = unit === 'amount' ? Number(now ?? '0') : 0;
  const asIs = unit === 'strength' ? 100 : stated;
  return { key: of === null ? kind : `${kind}:${of}`, kind, of, label, unit, asIs, now, usual, bounds: BOUNDS[unit] };
}

/**
 * Everything a decision's totals rest on that could be otherwise: every stream's orders, order value, growth, season,
 * refunds, churn and share of foreign cards, other quantities, exchange rates, what an hour is worth, and every price
 * that is not known.
 */
export function assumptionsOf(file: DecisionFile): Assumption[] {
  const { streams, drivers = {} } = file.forecast;
  const list: Assumption[] = [];
  if (streams.length > 1)
    list.push(
      assumption('orders', null, 'Orders, all streams', null),
      assumption('order-value', null, 'Order value, all streams', null),
      assumption('growth', null, 'Growth a month, all streams', null),
    );
  for (const stream of streams) {
    const { id, label, orders, orderValue, subscribers, refunds = '0', cards = {} } = stream;
    const name = label || 'sales';
    list.push(
      assumption('orders', id, subscribers ? `Subscribers, ${name}` : `Orders, ${name}`, subscribers ? null : average(file, orders ?? '0')),
    );
    list.push(assumption('order-value', id, `Order value, ${name}`, average(file, orderValue)));
    const series = subscribers ? subscribers.joins : (orders ?? '0');
    list.push(assumption('growth', id, `Growth a month, ${name}`, typeof series === 'string' ? '0' : (series.growth ?? '0')));
    if (typeof series !== 'string' && series.season) list.push(assumption('season', id, `Strength of the season, ${name}`, '100'));
    if (subscribers) list.push(assumption('churn', id, `Churn, ${name}`, subscribers.churn));
    list.push(assumption('refunds', id, `Refunds, ${name}`, refunds));
    if (foreignKind(file) !== null)
      list.push(assumption('foreign-cards', id, `Cards from abroad, ${name}`, cards[foreignKind(file) ?? ''] ?? '0'));
  }
  for (const [id, driver] of Object.entries(drivers))
    list.push(
      assumption(
        'quantity',
        id,
        id.replaceAll('-', ' ').replace(/^./, (first) => first.toUpperCase()),
        typeof driver === 'object' && 'per' in driver ? null : average(file, driver),
      ),
    );
  for (const [currency, rate] of Object.entries(file.rates ?? {}))
    if (usesCurrency(file, currency)) list.push(assumption('rate', currency, `${file.currency} for one ${currency}`, rate));
  if (file.candidates.some(({ hours }) => Number(hours?.setup ?? '0') + Number(hours?.monthly ?? '0') > 0)) {
    const now = file.hourValue ?? '0';
    list.push(assumption('hour-value', null, 'Value of your time, per hour', now, [0, Math.max(40, 2 * Number(now))]));
  }
  for (const price of openPrices(file)) list.push(assumption('price', price.id, price.label, null, price.usual));
  return list;
}

/**
 * The key under which all orders together are changed: that of the one stream where there is only one.
 *
 * @returns null without streams
 */
export function allOrdersKey({ forecast }: Pick<DecisionFile, 'forecast'>): string | null {
  const [first, ...others] = forecast.streams;
  if (!first) return null;
  return others.length > 0 ? 'orders' : `orders:${first.id}`;
}

function average(file: DecisionFile, series: Parameters<typeof seriesValues>[0]): string {
  const values: Decimal[] = seriesValues(series, file.start, file.months);
  return values.length === 0 ? ZERO.toFixed() : sum(values).div(values.length).toDecimalPlaces(2).toFixed();
}

function usesCurrency({ offers, addons = [], processors = [], candidates }: DecisionFile, currency: string): boolean {
  const sold = [...offers.flatMap((offer) => [...offer.plans, ...(offer.addons ?? [])]), ...addons, ...processors];
  return (
    sold.some((one) => one.currency === currency) ||
    candidates.some(({ extras = [] }) => extras.some((extra) => extra.currency === currency))
  );
}

/**
 * What an assumption is at a stated change, in its own unit; null where one figure does not say it.
 *
 * @example valueAt(ordersOfKites, 25) // '120' for 96 orders a month now
 */
export function valueAt({ unit, now }: Pick<Assumption, 'unit' | 'now'>, change: number): string | null {
  if (unit === 'amount' || unit === 'strength') return decimal(change).toFixed();
  if (now === null) return null;
  return (
    unit === 'percent'
      ? decimal(now)
          .times(100 + change)
          .div(100)
      : decimal(now).plus(change)
  )
    .toDecimalPlaces(4)
    .toFixed();
}

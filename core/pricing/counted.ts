import { decimal, fraction, sum } from '../amount/decimal';
import type { Candidate } from '../decision-file/candidate-schema';
import type { Charge } from '../decision-file/price-sheet-schema';
import type { DecisionFile } from '../decision-file/schema';
import type { Stream } from '../decision-file/forecast-schema';
import type { Allowance } from '../rules/charges/charge-fields';
import type { Counted, CountedStream, OrderSize } from '../rules/charges/kind';
import { constant, figure, NOTHING, percentage, product, quotient } from '../rules/expression/build';
import type { CountedOrders, Expression, FigurePlace } from '../rules/expression/expression';
import { type ChargeOwner, countsCard, processingOf } from './processing';

/** What a charge counts for a candidate, with a key: charges that count alike have the same. */
export interface CountedForCandidate {
  readonly key: string;
  readonly counted: Counted;
}

/** Gathers what a charge counts in the way a candidate has it (decision file §4, `on`, `only`, `of`; §5, `streams`). */
export function countedFor(file: DecisionFile, candidate: Candidate, charge: Charge, owner: ChargeOwner): CountedForCandidate {
  const { streams } = file.forecast;
  const orders = countedOrders(streams, candidate, charge, owner);
  const inCurrency = (amount: Expression) =>
    owner.currency === file.currency ? amount : quotient(amount, { is: 'rate', currency: owner.currency });
  const value = charge.of === 'net' ? 'net' : 'gross';
  const counted: Expression = { is: 'orders', of: orders, stream: null, value: null };
  const sales = inCurrency({ is: 'orders', of: orders, stream: null, value });
  const at = (field: string): FigurePlace => ({ part: owner.id, line: 'charge', id: charge.id, field });
  const handled = (quantity: string) => handledQuantity(file, owner, quantity, inCurrency);
  const countedStreams = streams.flatMap((stream, place): CountedStream[] => {
    if (!kindsOf(streams, candidate, charge).some((card) => orders.counts(place, card))) return [];
    const orderValue = inCurrency({ is: 'order-value', stream: place, value });
    return [{ label: stream.label, orders: { is: 'orders', of: orders, stream: place, value: null }, sizes: sizesOf(stream, orderValue) }];
  });
  return {
    key: `${orders.key} ${owner.streams ? [...owner.streams].sort().join(',') : ''}`,
    counted: {
      quantity: quantityOn(charge.on ?? 'orders', { orders: counted, sales, handled }),
      orders: counted,
      sales,
      streams: countedStreams,
      figure: (field, stated, otherwise) => figure(stated, at(field), otherwise),
      percentage: (field, stated) => percentage(stated, at(field)),
      bands: (bands) =>
        bands.map((band, index) => {
          const place = (field: string): FigurePlace => ({ part: owner.id, line: 'band', id: `${charge.id} ${index}`, field });
          return {
            upTo: band.upTo === null ? null : figure(band.upTo, place('upTo')),
            each: figure(band.each, place('each')),
            percent: percentage(band.percent, place('percent')),
            flat: figure(band.flat, place('flat')),
          };
        }),
      free: (allowance) => allowanceOf(allowance, at('free'), handled),
    },
  };
}

function quantityOn(on: string, of: { orders: Expression; sales: Expression; handled(quantity: string): Expression }): Expression {
  if (on === 'orders') return of.orders;
  return on === 'sales' ? of.sales : of.handled(on);
}

function allowanceOf(allowance: Allowance | undefined, at: FigurePlace, handled: (quantity: string) => Expression): Expression {
  if (allowance === undefined || allowance === null) return NOTHING;
  if (typeof allowance === 'string') return figure(allowance, at);
  return product(handled(allowance.per), figure(allowance.ratio, at));
}

/**
 * A quantity as a plan sees it: of orders, sales and subscribers those of the streams it handles; whatever they are paid
 * with (decision file §4 `free`, §5 `streams`, §6).
 *
 * @param inCurrency - turns sales into the plan's currency
 */
export function handledQuantity(
  { forecast }: Pick<DecisionFile, 'forecast'>,
  { streams: only }: Pick<ChargeOwner, 'streams'>,
  quantity: string,
  inCurrency: (sales: Expression) => Expression,
): Expression {
  const { streams, drivers = {} } = forecast;
  const all: CountedOrders = {
    key: only ? `handled ${[...only].sort().join(' ')}` : 'all',
    counts: (stream) => only === null || only.has(streams[stream]?.id ?? ''),
    withoutRefunded: false,
  };
  if (quantity === 'orders') return { is: 'orders', of: all, stream: null, value: null };
  if (quantity === 'sales') return inCurrency({ is: 'orders', of: all, stream: null, value: 'gross' });
  const isOfStreams = only !== null && quantity === 'subscribers' && !Object.hasOwn(drivers, 'subscribers');
  const places = isOfStreams ? streams.flatMap(({ id }, place) => (only.has(id) ? [place] : [])) : null;
  return { is: 'quantity', id: quantity, streams: places };
}

function sizesOf({ orderSizes }: Stream, value: Expression): OrderSize[] {
  if (orderSizes === undefined) return [{ share: null, value }];
  const average = sum(orderSizes.map(({ share, times }) => fraction(share).times(times)));
  return orderSizes.map(({ share, times }) => ({
    share: decimal(share).toFixed(),
    value: quotient(product(value, constant(times)), constant(average.toFixed())),
  }));
}

function countedOrders(streams: readonly Stream[], candidate: Candidate, charge: Charge, owner: ChargeOwner): CountedOrders {
  const processing = processingOf(candidate);
  const known = streams.map(() => new Map<string, boolean>());
  const counts = (place: number, card: string): boolean => {
    const found = known[place]?.get(card);
    if (found !== undefined) return found;
    const stream = streams[place];
    const isCounted =
      stream !== undefined && countsCard(charge, owner, processing, { stream, channel: stream.channel ?? 'own-site' }, card);
    known[place]?.set(card, isCounted);
    return isCounted;
  };
  const withoutRefunded = charge.how === 'per-order' && charge.refund === 'returned';
  const kinds = kindsOf(streams, candidate, charge);
  const key = streams.map((_, place) => kinds.filter((card) => counts(place, card)).join(' ')).join('|');
  return { key: `${key}${withoutRefunded ? ' returned' : ''}`, counts, withoutRefunded };
}

/** Kinds of card that are told apart somewhere; kinds that come up later follow the same rules as these. */
function kindsOf(streams: readonly Stream[], { payments }: Candidate, charge: Charge): readonly string[] {
  const usual = usualKinds.get(streams) ?? [
    ...new Set(['domestic', 'foreign', ...streams.flatMap(({ cards }) => Object.keys(cards ?? {}))]),
  ];
  usualKinds.set(streams, usual);
  const rules = typeof payments === 'object' ? payments : [];
  if (rules.length === 0 && charge.only?.cards === undefined) return usual;
  return [...new Set([...usual, ...rules.flatMap(({ cards = [] }) => cards), ...(charge.only?.cards ?? [])])];
}

const usualKinds = new WeakMap<readonly Stream[], readonly string[]>();

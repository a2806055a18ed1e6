import type { Candidate } from '../decision-file/candidate-schema';
import type { Allowance } from '../decision-file/price-sheet-schema';
import type { StreamForecast } from '../forecast/forecast';
import type { CandidateCharge } from '../pricing/candidate-charges';
import { countsCard, type Processing } from '../pricing/processing';
import type { AssumptionPlaces } from './assumptions-sheet';
import type { PricePlaces } from './prices-sheet';
import type { SalesPlaces } from './sales-sheet';

/** What formulas of a candidate's charges refer to. */
export interface ChargeContext {
  readonly candidate: Candidate;
  readonly processing: Processing;
  readonly streams: readonly StreamForecast[];
  readonly assumed: AssumptionPlaces;
  readonly sales: SalesPlaces;
  readonly prices: PricePlaces;
}

/** The formulas of one charge; each says what stands in a month, unrounded, in the charge's currency. */
export interface ChargeFormulas {
  /** What is counted; null where the amount does not go by one quantity. */
  readonly quantity: ((month: number) => string) | null;
  /** @param quantity - the cell in which the quantity of that month stands */
  amount(month: number, quantity: string): string;
}

/** Steps (packages, bands, limits) are taken where the exact quantity stands, without the dust of floating point. */
const STEP_PLACES = 9;
export const stepped = (expression: string): string => `ROUND(${expression},${STEP_PLACES})`;

/** A charge of a candidate as spreadsheet formulas (decision file §4). */
export function chargeFormulas(context: ChargeContext, one: CandidateCharge): ChargeFormulas {
  const { charge } = one;
  const { sales, prices } = context;
  const counted = countedFormulas(context, one);
  const key = `charge ${one.owner.id} ${charge.id}`;
  const at = (column: Parameters<PricePlaces['at']>[1]) => prices.at(key, column);
  const bounded = (amount: string) => {
    const atLeast = charge.monthlyMin == null ? amount : `MAX(${amount},${at('monthlyMin')})`;
    return charge.monthlyCap == null ? atLeast : `MIN(${atLeast},${at('monthlyCap')})`;
  };
  const free = (month: number) => ('free' in charge ? allowanceFormula(context, one, charge.free, at('free'), month) : '0');
  if (charge.how === 'per-order') {
    const fees = (month: number, orders: string) =>
      charge.least == null && charge.most == null
        ? `(${counted.sales(month)})*${at('percent')}/100+${orders}*${at('price')}`
        : counted.fees(month);
    return {
      quantity: counted.orders,
      amount: (month, orders) =>
        bounded(
          charge.free === undefined
            ? fees(month, orders)
            : `IF(${orders}=0,0,(${fees(month, orders)})*MAX(0,${orders}-${free(month)})/${orders})`,
        ),
    };
  }
  const on = charge.on ?? 'orders';
  const quantity =
    on === 'orders'
      ? counted.orders
      : on === 'sales'
        ? counted.sales
        : (month: number) => lifted(context, on, sales.quantity(on, month) ?? '0');
  switch (charge.how) {
    case 'per-unit':
      return { quantity, amount: (month, q) => bounded(`MAX(0,${q}-${free(month)})*(${at('price')}+${at('percent')}/100)`) };
    case 'package':
      return {
        quantity,
        amount: (month, q) => bounded(`ROUNDUP(${stepped(`MAX(0,${q}-${free(month)})/${at('size')}`)},0)*${at('price')}`),
      };
    case 'graduated':
      return { quantity, amount: (_month, q) => bounded(graduated(bandCells(context, one), stepped(q))) };
    case 'volume':
      return { quantity, amount: (_month, q) => bounded(volume(bandCells(context, one), stepped(q))) };
  }
}

type Counted = Record<'orders' | 'sales' | 'fees', (month: number) => string>;

/** Orders and sales that count for a charge, each stream with the shares of its cards (decision file §4, `only`). */
function countedFormulas(context: ChargeContext, { charge, owner }: CandidateCharge): Counted {
  const { streams, processing, assumed, sales, prices } = context;
  const rate = assumed.rate(owner.currency);
  const inCurrency = (amount: string) => (rate === null ? amount : `(${amount})/${rate}`);
  const isReturned = charge.how === 'per-order' && charge.refund === 'returned';
  const lift = liftFactor(context);
  const parts = streams.flatMap((stream) => {
    const { id } = stream.stream;
    const cards = stream.cards.filter(([card]) => countsCard(charge, owner, processing, stream, card));
    if (cards.length === 0) return [];
    const share =
      cards.length === stream.cards.length ? '' : `*(${cards.map(([card]) => assumed.ofStream(id, `card ${card}`)).join('+')})/100`;
    const kept = isReturned ? `*(1-${assumed.ofStream(id, 'refunds')}/100)` : '';
    const value = (month: number) => sales.ofStream(id, charge.of === 'net' ? 'net' : 'value', month);
    return [{ orders: (month: number) => `${sales.ofStream(id, 'orders', month)}${share}${kept}${lift}`, value }];
  });
  const key = `charge ${owner.id} ${charge.id}`;
  const fee = (value: string) => {
    if (charge.how !== 'per-order') return '0';
    const plain = `${value}*${prices.at(key, 'percent')}/100+${prices.at(key, 'price')}`;
    const atLeast = charge.least == null ? plain : `MAX(${plain},${prices.at(key, 'least')})`;
    return charge.most == null ? atLeast : `MIN(${atLeast},${prices.at(key, 'most')})`;
  };
  const all = (of: (part: (typeof parts)[number]) => string) => parts.map(of).join('+') || '0';
  return {
    orders: (month) => all(({ orders }) => orders(month)),
    sales: (month) => inCurrency(all(({ orders, value }) => `${orders(month)}*${value(month)}`)),
    fees: (month) => all(({ orders, value }) => `${orders(month)}*(${fee(inCurrency(value(month)))})`),
  };
}

/** A candidate's lift works like a level of sales of its own (decision file §5). */
export function liftFactor({ candidate, assumed }: Pick<ChargeContext, 'candidate' | 'assumed'>): string {
  const cell = assumed.candidate.get(candidate.id)?.lift;
  return candidate.lift === undefined || cell === undefined ? '' : `*(1+${cell}/100)`;
}

/** A quantity as a candidate has it: with its lift, where the quantity grows with sales. */
export function lifted(context: ChargeContext, id: string, cell: string): string {
  return context.sales.grows(id) ? `${cell}${liftFactor(context)}` : cell;
}

function allowanceFormula(
  context: ChargeContext,
  { owner }: CandidateCharge,
  free: Allowance | undefined,
  cell: string,
  month: number,
): string {
  if (free === undefined || free === null) return '0';
  if (typeof free === 'string') return cell;
  const quantity = context.sales.quantity(free.per, month);
  if (quantity === null) return '0';
  const rate = context.assumed.rate(owner.currency);
  return `${cell}*${lifted(context, free.per, quantity)}${free.per === 'sales' && rate !== null ? `/${rate}` : ''}`;
}

interface BandCells {
  readonly upTo: string | null;
  readonly rate: string;
  readonly flat: string;
}

function bandCells({ prices }: ChargeContext, { charge, owner }: CandidateCharge): BandCells[] {
  if (!('bands' in charge)) return [];
  return charge.bands.map(({ upTo }, index) => {
    const at = (column: Parameters<PricePlaces['at']>[1]) => prices.at(`band ${owner.id} ${charge.id} ${index}`, column);
    return { upTo: upTo === null ? null : at('upTo'), rate: `(${at('price')}+${at('percent')}/100)`, flat: at('flat') };
  });
}

/** Each band's part of the quantity at its rate, plus `flat` for every band entered; the last one has no end. */
function graduated(bands: readonly BandCells[], quantity: string): string {
  return bands
    .map(({ upTo, rate, flat }, index) => {
      const edge = index === 0 ? '0' : (bands[index - 1]?.upTo ?? '0');
      const top = index === bands.length - 1 || upTo === null ? quantity : `MIN(${quantity},${upTo})`;
      return `IF(${quantity}>${edge},(${top}-${edge})*${rate}+${flat},0)`;
    })
    .join('+');
}

/** All of the quantity at the rate of the band it falls in, plus that band's `flat`. */
function volume(bands: readonly BandCells[], quantity: string): string {
  const [band, ...rest] = bands;
  if (!band) return '0';
  const amount = `${quantity}*${band.rate}+${band.flat}`;
  return band.upTo === null || rest.length === 0 ? amount : `IF(${quantity}<=${band.upTo},${amount},${volume(rest, quantity)})`;
}

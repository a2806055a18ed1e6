import { minorDigits } from '../amount/currencies';
import type { Candidate } from '../decision-file/candidate-schema';
import type { StreamForecast } from '../forecast/forecast';
import type {
  Bands,
  Expression,
  ExpressionName,
  Figure,
  FigurePlace,
  Orders,
  Quantity,
  RatedBand,
  UsedUp,
} from '../rules/expression/expression';
import type { AssumptionPlaces } from './assumptions-sheet';
import type { PricePlaces } from './prices-sheet';
import { liftFactor } from './lift-factor';
import { monthColumn, type SalesPlaces } from './sales-sheet';

/** Steps (packages, bands, limits) are taken where the exact quantity stands, without what floating point is off. */
const STEP_PLACES = 9;
export const stepped = (expression: string): string => `ROUND(${expression},${STEP_PLACES})`;

/** Rounding to the minor unit; ten places first, so that what floating point is off does not decide a half. */
const HALF_PLACES = 10;
export const rounded = (expression: string, digits: number): string => `ROUND(ROUND(${expression},${HALF_PLACES}),${digits})`;

/** What formulas of a candidate refer to. */
export interface FormulaWorld {
  readonly candidate: Candidate;
  readonly streams: readonly StreamForecast[];
  readonly months: readonly string[];
  readonly assumed: AssumptionPlaces;
  readonly sales: SalesPlaces;
  readonly prices: PricePlaces;
  /** Writes a row of workings, each month of which may refer to the row itself, and says its number in the spreadsheet. */
  working(what: string, at: (month: number, own: number) => string): number;
  /** The name of the sheet the workings stand on. */
  readonly workings: string;
}

/** Reads expressions as spreadsheet formulas that follow what is assumed and what prices state. */
export class FormulaReading {
  private readonly rows = new Map<Expression, number>();

  constructor(readonly world: FormulaWorld) {}

  /** The formula of an expression in a month, to stand on any sheet. */
  at(expression: Expression, month: number): string {
    const row = this.rows.get(expression);
    if (row !== undefined) return this.cell(row, month);
    const read = READINGS[expression.is] as Read<ExpressionName>;
    return read(this, expression, month);
  }

  /** Gives an expression a row of workings; formulas refer to it from then on. */
  row(what: string, expression: Expression): number {
    const found = this.rows.get(expression);
    if (found !== undefined) return found;
    // What an expression runs over has a row of its own, which is written first.
    if (expression.is === 'used-up') this.row('credit of the month', expression.credit);
    else this.at(expression, 0);
    const row = this.world.working(what, (month, own) =>
      expression.is === 'used-up' ? usedUpFormula(this, expression, month, own) : this.at(expression, month),
    );
    this.rows.set(expression, row);
    return row;
  }

  cell(row: number, month: number): string {
    return `${this.world.workings}!${monthColumn(month)}${row}`;
  }

  /** Cells of a row from one month to another. */
  cells(row: number, from: number, to: number): string {
    return `${this.cell(row, from)}:${monthColumn(to)}${row}`;
  }

  /** The factor of the candidate's lift on a stream's orders (decision file §5); empty for none. */
  lift(stream: string): string {
    return liftFactor(this.world.candidate, stream, this.world.assumed);
  }
}

type Read<Name extends ExpressionName> = (reading: FormulaReading, expression: Extract<Expression, { is: Name }>, month: number) => string;

const READINGS: { readonly [Name in ExpressionName]: Read<Name> } = {
  figure: (reading, one) => figureFormula(reading.world.prices, one),
  rate: ({ world }, { currency }) => world.assumed.rate(currency) ?? '1',
  orders: (reading, one, month) => ordersFormula(reading, one, month),
  'order-value': ({ world }, { stream, value }, month) => valueCell(world, stream, value, month),
  quantity: (reading, one, month) => quantityFormula(reading, one, month),
  sum: (reading, { of }, month) => `(${of.map((part) => reading.at(part, month)).join('+')})`,
  difference: (reading, { of, less }, month) => `(${reading.at(of, month)}-${reading.at(less, month)})`,
  product: (reading, { of, times }, month) => `${reading.at(of, month)}*${reading.at(times, month)}`,
  quotient: (reading, { of, by }, month) => `${reading.at(of, month)}/${reading.at(by, month)}`,
  proportion: (reading, { of, part, whole }, month) => {
    const all = reading.at(whole, month);
    return `IF(${all}=0,0,${reading.at(of, month)}*${reading.at(part, month)}/${all})`;
  },
  'at-least': (reading, { of, bound }, month) => `MAX(${reading.at(of, month)},${reading.at(bound, month)})`,
  'at-most': (reading, { of, bound }, month) => `MIN(${reading.at(of, month)},${reading.at(bound, month)})`,
  packages: (reading, { of, size }, month) => `ROUNDUP(${stepped(`${reading.at(of, month)}/${reading.at(size, month)}`)},0)`,
  bands: (reading, one, month) => bandFormula(reading, one, month),
  'so-far': (reading, { of }, month) => `SUM(${reading.cells(reading.row('by the month', of), 0, month)})`,
  increase: (reading, { of }, month) => {
    const row = reading.row('so far', of);
    return month === 0 ? reading.cell(row, 0) : `(${reading.cell(row, month)}-${reading.cell(row, month - 1)})`;
  },
  'last-months': (reading, { of, months }, month) =>
    `SUM(${reading.cells(reading.row('by the month', of), Math.max(0, month - months + 1), month)})`,
  between: (reading, { of, from, until }, month) => {
    const name = reading.world.months[month] ?? '';
    return (from === null || name >= from) && (until === null || name <= until) ? reading.at(of, month) : '0';
  },
  'used-up': (reading, one, month) => reading.cell(reading.row('credit used up', one), month),
  rounded: (reading, { of, currency }, month) => rounded(reading.at(of, month), minorDigits(currency)),
  payments: (reading, { due }, month) =>
    `(${
      due
        .filter((one) => one.month === month)
        .map(({ price, currency }) => rounded(reading.at(price, month), minorDigits(currency)))
        .join('+') || '0'
    })`,
};

/** The column of a price's field on the sheet of prices. */
const COLUMNS: Readonly<Record<string, Parameters<PricePlaces['at']>[1]>> = { each: 'price', renewal: 'renewal', off: 'percent' };

function figureFormula(prices: PricePlaces, { value, isPercent, at }: Figure): string {
  const written = at === null ? value : prices.at(placeKey(at), COLUMNS[at.field] ?? at.field);
  return isPercent ? `${written}/100` : written;
}

/** Under which key the sheet of prices has a figure. */
export function placeKey({ part, line, id }: FigurePlace): string {
  return `${line} ${part} ${id}`;
}

function valueCell({ streams, sales }: FormulaWorld, stream: number, value: 'gross' | 'net', month: number): string {
  return sales.ofStream(streams[stream]?.stream.id ?? '', value === 'net' ? 'net' : 'value', month);
}

/** Orders (or their value) of the streams that count, each with the shares of its cards. */
function ordersFormula(reading: FormulaReading, { of, stream: only, value }: Orders, month: number): string {
  const { streams, assumed, sales } = reading.world;
  const parts = streams.flatMap(({ stream: { id }, cards }, place) => {
    const counted = only === null || only === place ? cards.filter(([card]) => of.counts(place, card)) : [];
    if (counted.length === 0) return [];
    const share =
      counted.length === cards.length ? '' : `*(${counted.map(([card]) => assumed.ofStream(id, `card ${card}`)).join('+')})/100`;
    const kept = of.withoutRefunded ? `*(1-${assumed.ofStream(id, 'refunds')}/100)` : '';
    const worth = value === null ? '' : `*${valueCell(reading.world, place, value, month)}`;
    return [`${sales.ofStream(id, 'orders', month)}${share}${kept}${reading.lift(id)}${worth}`];
  });
  return parts.length === 1 ? (parts[0] ?? '0') : `(${parts.join('+') || '0'})`;
}

/** A quantity as a candidate has it: with its lift, where the quantity grows with sales. */
function quantityFormula(reading: FormulaReading, { id, streams: only }: Quantity, month: number): string {
  const { streams, sales, candidate } = reading.world;
  const places = only ?? streams.map((_, place) => place);
  const ids = places.map((place) => streams[place]?.stream.id ?? '');
  if (only !== null || (typeof candidate.lift === 'object' && sales.grows(id)))
    return sales.lifted(only === null ? id : 'subscribers', month, ids, (stream) => reading.lift(stream));
  const cell = sales.quantity(id, month) ?? '0';
  return sales.grows(id) ? `${cell}${reading.lift(ids[0] ?? '')}` : cell;
}

interface BandCells {
  readonly upTo: string | null;
  readonly rate: string;
  readonly flat: string;
}

function bandFormula(reading: FormulaReading, { of, how, bands }: Bands, month: number): string {
  const quantity = stepped(reading.at(of, month));
  const cells = bands.map(({ upTo, each, percent, flat }: RatedBand): BandCells => {
    const at = (one: Figure) => figureFormula(reading.world.prices, one);
    return { upTo: upTo && at(upTo), rate: `(${at(each)}+${at(percent)})`, flat: at(flat) };
  });
  return how === 'graduated' ? graduated(cells, quantity) : volume(cells, quantity);
}

/** Each band's part of the quantity at its rate, plus `flat` for every band entered; the last one has no end. */
function graduated(bands: readonly BandCells[], quantity: string): string {
  const parts = bands.map(({ upTo, rate, flat }, index) => {
    const edge = index === 0 ? '0' : (bands[index - 1]?.upTo ?? '0');
    const top = index === bands.length - 1 || upTo === null ? quantity : `MIN(${quantity},${upTo})`;
    return `IF(${quantity}>${edge},(${top}-${edge})*${rate}+${flat},0)`;
  });
  return `(${parts.join('+')})`;
}

/** All of the quantity at the rate of the band it falls in, plus that band's `flat`. */
function volume(bands: readonly BandCells[], quantity: string): string {
  const [band, ...rest] = bands;
  if (!band) return '0';
  const amount = `(${quantity}*${band.rate}+${band.flat})`;
  return band.upTo === null || rest.length === 0 ? amount : `IF(${quantity}<=${band.upTo},${amount},${volume(rest, quantity)})`;
}

/** Each month's bill takes from what came in before and was not used up yet. */
function usedUpFormula(reading: FormulaReading, { credit, bills }: UsedUp, month: number, own: number): string {
  if (month === 0) return '0';
  const row = reading.row('credit of the month', credit);
  return `MIN(${reading.at(bills, month)},SUM(${reading.cells(row, 0, month - 1)})-SUM(${reading.cells(own, 0, month - 1)}))`;
}

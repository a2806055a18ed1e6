import { MONTH_NAMES, monthOfYear } from '../calendar/month';
import type { DecisionFile } from '../decision-file/schema';
import type { Series, Stream } from '../decision-file/forecast-schema';
import { type Cell, fixedCell, input, newSheet, number, type SheetInProgress, text } from './cells';

/** Where a series is stated on the sheet. */
export interface SeriesPlace {
  readonly series: Series;
  readonly row: number;
}

/** Where everything that is assumed is stated, as references that formulas use. */
export interface AssumptionPlaces {
  readonly scale: string;
  readonly hourValue: string;
  readonly feeTax: string;
  /** Base units for one unit of a currency; null for the base currency itself. */
  rate(currency: string): string | null;
  series(key: string): SeriesPlace;
  /** Percents of a stream: refunds, salesTax, margin, churn, the share of a kind of card; numbers: start of subscribers, every. */
  ofStream(stream: string, what: string): string;
  /** The ratio of a quantity that is counted per another. */
  ratio(driver: string): string;
  readonly candidate: ReadonlyMap<string, { readonly setup: string; readonly monthly: string; readonly lift: string }>;
}

export const ASSUMPTIONS = 'Assumptions';

/** Columns of a series: start, growth, add, then the season from January on. */
const START = 2;
const SEASON = 5;

/** The sheet on which everything that is assumed stands, to be changed. */
export function assumptionsSheet(file: DecisionFile): { sheet: SheetInProgress; places: AssumptionPlaces } {
  const sheet = newSheet(ASSUMPTIONS);
  const { currency, months, start, hourValue = '0', feeTax = '0', rates = {}, forecast, candidates } = file;
  sheet.add(text('What is assumed', 'title'));
  sheet.add(text('Shaded figures can be changed; totals, ledger and workings follow.', 'quiet'));
  const single = (label: string, cell: Cell, note = '') => fixedCell(ASSUMPTIONS, START, sheet.add(text(label), text(note, 'quiet'), cell));
  const scale = single('Level of sales', input('1'), 'multiplies all orders and subscribers; 1 is the forecast');
  single('Currency', text(currency));
  single('First month', text(start));
  single('Months', number(String(months), 'whole'));
  const hourCell = single('Value of your time, per hour', input(hourValue, 'money'), currency);
  const taxCell = single('Tax on fees', input(feeTax), '% on what is quoted without it');
  const rateCells = new Map(Object.entries(rates).map(([code, rate]) => [code, single(`1 ${code}`, input(rate), currency)]));
  const ofStream = new Map<string, string>();
  sheet.add();
  sheet.add(text('Streams', 'head'), text('', 'head'), text('Figure', 'head'));
  for (const stream of forecast.streams)
    for (const [what, label, value] of streamFigures(stream))
      ofStream.set(`${stream.id} ${what}`, single(stream.label || stream.id, input(value), label));
  sheet.add();
  sheet.add(
    text('Month by month', 'head'),
    text('', 'head'),
    text('Start', 'head'),
    text('Growth %', 'head'),
    text('More a month', 'head'),
    ...MONTH_NAMES.map((name) => text(name, 'head')),
  );
  const seriesRows = new Map<string, SeriesPlace>();
  for (const [key, label, what, series] of seriesOf(file))
    seriesRows.set(key, { series, row: sheet.add(text(label), text(what, 'quiet'), ...seriesCells(series)) });
  const ratios = new Map<string, string>();
  for (const [id, driver] of Object.entries(forecast.drivers ?? {}))
    if (typeof driver === 'object' && 'per' in driver)
      ratios.set(id, single(id.replaceAll('-', ' '), input(driver.ratio), `per ${driver.per}`));
  sheet.add();
  sheet.add(
    text('Candidates', 'head'),
    text('', 'head'),
    text('Hours to set up', 'head'),
    text('Hours a month', 'head'),
    text('More orders %', 'head'),
  );
  const candidateCells = new Map(
    candidates.map(({ id, label, hours, lift = '0' }) => {
      const row = sheet.add(
        text(label),
        text(id, 'quiet'),
        input(hours?.setup ?? '0'),
        input(hours?.monthly ?? '0'),
        input(typeof lift === 'object' ? lift.percent : lift),
      );
      return [
        id,
        { setup: fixedCell(ASSUMPTIONS, 2, row), monthly: fixedCell(ASSUMPTIONS, 3, row), lift: fixedCell(ASSUMPTIONS, 4, row) },
      ] as const;
    }),
  );
  return {
    sheet,
    places: {
      scale,
      hourValue: hourCell,
      feeTax: taxCell,
      rate: (code) => (code === currency ? null : found(rateCells, code)),
      series: (key) => found(seriesRows, key),
      ofStream: (stream, what) => found(ofStream, `${stream} ${what}`),
      ratio: (driver) => found(ratios, driver),
      candidate: candidateCells,
    },
  };
}

/** Figures of a stream that hold for all months: what they are, how they are called, and their value. */
function streamFigures({ refunds, salesTax, margin, cards, subscribers }: Stream): Array<[what: string, label: string, value: string]> {
  return [
    ['refunds', '% refunded', refunds ?? '0'],
    ['salesTax', '% sales tax in the order value', salesTax ?? '0'],
    ['margin', '% margin', margin ?? '100'],
    ...Object.entries(cards ?? { domestic: '100' }).map(([kind, share]): [string, string, string] => [
      `card ${kind}`,
      `% paid ${kind}`,
      share,
    ]),
    ...(subscribers
      ? ([
          ['subscribers', 'subscribers at the start', subscribers.start],
          ['churn', '% that leave a month', subscribers.churn],
          ['every', 'months between payments', String(subscribers.every ?? 1)],
        ] as Array<[string, string, string]>)
      : []),
  ];
}

function seriesOf({ forecast }: DecisionFile): Array<[key: string, label: string, what: string, series: Series]> {
  return [
    ...forecast.streams.flatMap((stream): Array<[string, string, string, Series]> => [
      [
        `orders ${stream.id}`,
        stream.label || stream.id,
        stream.subscribers ? 'new subscribers a month' : 'orders a month',
        stream.subscribers ? stream.subscribers.joins : (stream.orders ?? '0'),
      ],
      [`value ${stream.id}`, stream.label || stream.id, 'order value', stream.orderValue],
    ]),
    ...Object.entries(forecast.drivers ?? {}).flatMap(([id, driver]): Array<[string, string, string, Series]> =>
      typeof driver === 'object' && 'per' in driver ? [] : [[`quantity ${id}`, id.replaceAll('-', ' '), 'a month', driver]],
    ),
  ];
}

function seriesCells(series: Series): Cell[] {
  if (typeof series === 'string')
    return [input(series), input('0'), input('0'), ...new Array<string>(12).fill('1').map((factor) => input(factor))];
  return [
    input(series.start),
    input(series.growth ?? '0'),
    input(series.add ?? '0'),
    ...(series.season ?? new Array<string>(12).fill('1')).map((factor) => input(factor)),
  ];
}

/**
 * A series in a month, as a formula: decision file §2, Series.
 *
 * @param index - month index
 */
export function seriesFormula({ series, row }: SeriesPlace, month: string, index: number): string {
  const set = typeof series === 'object' && series.set && Object.hasOwn(series.set, month) ? series.set[month] : undefined;
  // A month set by hand stands in the formula itself: there it can be changed.
  if (set !== undefined) return set;
  const cell = (column: number) => fixedCell(ASSUMPTIONS, column, row);
  return `MAX(0,(${cell(START)}*(1+${cell(START + 1)}/100)^${index}+${cell(START + 2)}*${index})*${cell(SEASON + monthOfYear(month))})`;
}

function found<Value>(values: ReadonlyMap<string, Value>, key: string): Value {
  const value = values.get(key);
  if (value === undefined) throw new RangeError(`The workbook has no place for ${key}`);
  return value;
}

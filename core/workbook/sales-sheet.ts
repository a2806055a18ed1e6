import type { DecisionFile } from '../decision-file/schema';
import type { Driver } from '../decision-file/forecast-schema';
import { type AssumptionPlaces, seriesFormula } from './assumptions-sheet';
import { columnLetters, formula, newSheet, type NumberFormat, type SheetInProgress, text } from './cells';

export const SALES = 'Sales';

/** The column of the first month, on every sheet that has months. */
export const FIRST_MONTH = 6;

/** The letters of a month's column. */
export const monthColumn = (month: number): string => columnLetters(FIRST_MONTH + month);

/** Where the months of each quantity stand. */
export interface SalesPlaces {
  /** A cell of a stream's orders, order value or order value without tax in a month. */
  ofStream(stream: string, what: 'orders' | 'value' | 'net', month: number): string;
  /** A cell of all orders, all sales (base currency), or another quantity in a month; null if the forecast does not have it. */
  quantity(id: string, month: number): string | null;
  /** Whether a quantity grows with the level of sales. */
  grows(id: string): boolean;
  /**
   * A quantity that grows with sales, worked out from some streams alone, each with a factor of its own.
   *
   * @param factor - by stream, such as `*(1+Assumptions!$C$9/100)`; empty for none
   */
  lifted(id: string, month: number, streams: readonly string[], factor: (stream: string) => string): string;
}

/** Expected sales month by month, worked out from what is assumed (decision file §2). */
export function salesSheet(
  file: DecisionFile,
  months: readonly string[],
  places: AssumptionPlaces,
): { sheet: SheetInProgress; sales: SalesPlaces } {
  const sheet = newSheet(SALES);
  const { streams, drivers = {} } = file.forecast;
  const rows = new Map<string, number>();
  const monthly = (key: string, label: string, what: string, at: (month: number) => string, format: NumberFormat = 'number') => {
    const row = sheet.add(
      text(label),
      text(what, 'quiet'),
      null,
      null,
      null,
      null,
      ...months.map((_, month) => formula(at(month), format)),
    );
    rows.set(key, row);
    return row;
  };
  const cell = (key: string, month: number) => `${SALES}!${monthColumn(month)}$${rows.get(key) ?? 0}`;
  sheet.add(text('Expected sales', 'title'), null, null, null, null, null, ...months.map((month) => text(month, 'head')));
  for (const stream of streams) {
    const { id, label, subscribers } = stream;
    const name = label || id;
    const series = places.series(`orders ${id}`);
    if (subscribers) {
      const start = places.ofStream(id, 'subscribers');
      const own = sheet.rows.length + 1;
      monthly(`subscribers ${id}`, name, 'subscribers', (month) =>
        month === 0
          ? `${start}*${places.scale}`
          : `${monthColumn(month - 1)}${own}*(1-${places.ofStream(id, 'churn')}/100)+${seriesFormula(series, months[month] ?? '', month)}*${places.scale}`,
      );
      monthly(`orders ${id}`, name, 'orders', (month) => `${cell(`subscribers ${id}`, month)}/${places.ofStream(id, 'every')}`);
    } else monthly(`orders ${id}`, name, 'orders', (month) => `${seriesFormula(series, months[month] ?? '', month)}*${places.scale}`);
    monthly(
      `value ${id}`,
      name,
      'order value',
      (month) => seriesFormula(places.series(`value ${id}`), months[month] ?? '', month),
      'money',
    );
    monthly(
      `net ${id}`,
      name,
      'order value without sales tax',
      (month) => `${cell(`value ${id}`, month)}/(1+${places.ofStream(id, 'salesTax')}/100)`,
      'money',
    );
  }
  const summed = (of: typeof streams, part: (id: string, month: number) => string) => (month: number) =>
    of.map(({ id }) => part(id, month)).join('+') || '0';
  const orders = (id: string, month: number) => cell(`orders ${id}`, month);
  const sales = (id: string, month: number) => `${cell(`orders ${id}`, month)}*${cell(`value ${id}`, month)}`;
  const subscribed = (of: typeof streams) => of.filter((stream) => stream.subscribers);
  monthly('all orders', 'All', 'orders', summed(streams, orders));
  monthly('all sales', 'All', `sales, ${file.currency}`, summed(streams, sales), 'money');
  const quantity = (id: string) => `quantity ${id}`;
  if (!Object.hasOwn(drivers, 'subscribers'))
    monthly(
      quantity('subscribers'),
      'All',
      'subscribers',
      summed(subscribed(streams), (id, month) => cell(`subscribers ${id}`, month)),
    );
  for (const [id, driver] of Object.entries(drivers))
    if (!isRatio(driver))
      monthly(quantity(id), id.replaceAll('-', ' '), 'a month', (month) =>
        seriesFormula(places.series(quantity(id)), months[month] ?? '', month),
      );
  for (const [id, driver] of Object.entries(drivers)) {
    if (!isRatio(driver)) continue;
    const of = driver.streams ? streams.filter((stream) => driver.streams?.includes(stream.id)) : streams;
    const per = (month: number): string => {
      if (driver.per === 'orders') return summed(of, orders)(month);
      if (driver.per === 'sales') return summed(of, sales)(month);
      if (driver.per === 'subscribers' && driver.streams)
        return summed(subscribed(of), (stream, at) => cell(`subscribers ${stream}`, at))(month);
      return rows.has(quantity(driver.per)) ? cell(quantity(driver.per), month) : '0';
    };
    monthly(quantity(id), id.replaceAll('-', ' '), 'a month', (month) => `${places.ratio(id)}*(${per(month)})`);
  }
  return {
    sheet,
    sales: {
      ofStream: (stream, what, month) => cell(`${what} ${stream}`, month),
      quantity: (id, month) => {
        if (id === 'orders' || id === 'sales') return cell(`all ${id}`, month);
        return rows.has(quantity(id)) ? cell(quantity(id), month) : null;
      },
      grows: (id) => growsWithSales(id, drivers),
      lifted(id, month, only, factor) {
        const part = (stream: string, what: string) => {
          const value = what === 'sales' ? `*${cell(`value ${stream}`, month)}` : '';
          return `${cell(`${what === 'sales' ? 'orders' : what} ${stream}`, month)}${value}${factor(stream)}`;
        };
        const all = (what: string, of: readonly string[] | undefined) => {
          const counted = streams.filter((stream) => (of ?? only).includes(stream.id) && (what !== 'subscribers' || stream.subscribers));
          return `(${counted.map((stream) => part(stream.id, what)).join('+') || '0'})`;
        };
        const driver = Object.hasOwn(drivers, id) ? drivers[id] : undefined;
        return driver !== undefined && isRatio(driver) ? `${places.ratio(id)}*${all(driver.per, driver.streams)}` : all(id, undefined);
      },
    },
  };
}

function isRatio(driver: Driver): driver is Extract<Driver, { per: string }> {
  return typeof driver === 'object' && 'per' in driver;
}

/** A level of sales multiplies orders, sales and subscribers, and all that is counted per them (decision file §2, scale). */
function growsWithSales(id: string, drivers: Readonly<Record<string, Driver>>): boolean {
  if (id === 'orders' || id === 'sales') return true;
  const driver = Object.hasOwn(drivers, id) ? drivers[id] : undefined;
  if (driver === undefined) return id === 'subscribers';
  if (!isRatio(driver)) return false;
  if (driver.per === 'orders' || driver.per === 'sales') return true;
  return driver.per === 'subscribers' && (driver.streams !== undefined || !Object.hasOwn(drivers, 'subscribers'));
}

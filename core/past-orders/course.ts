import { moneyText } from '../amount/currencies';
import { type Decimal, sum } from '../amount/decimal';
import { monthsBetween, monthsFrom } from '../calendar/month';
import type { MonthlyForecast } from '../forecast/forecast';
import type { Actuals } from '../decision/actuals-schema';
import { orderCells } from '../replay/order-cells';
import type { PastOrders } from '../replay/past-orders';

/** A month with the orders it had, or those that are expected of it; of the streams that past orders belong to. */
export interface CourseMonth {
  readonly month: string;
  /** null where no past orders are kept of it. */
  readonly past: number | null;
  /** What customers paid for them, base currency. */
  readonly sales: string | null;
  /** A decimal; null before the first month that is expected. */
  readonly expected: string | null;
}

/** Past months and, after them, those that are expected. */
export function courseOf(orders: PastOrders, forecast: Pick<MonthlyForecast, 'months' | 'streams'>, currency: string): CourseMonth[] {
  const [first = orders.start] = forecast.months;
  const last = forecast.months.at(-1) ?? first;
  const start = orders.start < first ? orders.start : first;
  const cells = orderCells(orders);
  const own = forecast.streams.filter((_, place) => orders.stream.includes(place));
  return monthsFrom(start, monthsBetween(start, last) + 1).map((month) => {
    const [before, ahead] = [monthsBetween(orders.start, month), monthsBetween(first, month)];
    const isPast = before >= 0 && before < orders.months;
    return {
      month,
      past: isPast ? (orders.starts[before + 1] ?? 0) - (orders.starts[before] ?? 0) : null,
      sales: isPast ? moneyText(sum((cells[before] ?? []).map(({ value }) => value)), currency) : null,
      expected:
        ahead < 0
          ? null
          : sum(own.map((stream): Decimal | undefined => stream.orders[ahead]).filter((count) => count !== undefined)).toFixed(4),
    };
  });
}

/** Orders in a year, as far as the course goes: of the last twelve past months, and the first twelve that are expected. */
export interface CourseYears {
  readonly past: number;
  readonly expected: string;
  /** How many months each has; the same for both. */
  readonly months: number;
}

const YEAR = 12;

/** The last past months beside as many expected ones of the same calendar months; null where there are none of both. */
export function yearsOf(course: readonly CourseMonth[]): CourseYears | null {
  const expected = new Map(
    course.flatMap(({ month, expected: count }) => (count === null ? [] : [[month.slice(5), count] as const])).reverse(),
  );
  const past = course.filter(({ past: count }) => count !== null).slice(-YEAR);
  const both = past.flatMap(({ month, past: count }) => {
    const ahead = expected.get(month.slice(5));
    return ahead === undefined || count === null ? [] : [{ count, ahead }];
  });
  if (both.length === 0) return null;
  return {
    past: both.reduce((all, { count }) => all + count, 0),
    expected: both.reduce((all, { ahead }) => all + Number(ahead), 0).toFixed(1),
    months: both.length,
  };
}

/** Months that were expected and have been, as what they really brought. */
export function actualsOf(course: readonly CourseMonth[]): Actuals {
  const been = course.filter(({ past, expected }) => past !== null && expected !== null);
  return Object.fromEntries(been.map(({ month, past, sales }) => [month, { orders: String(past ?? 0), sales: sales ?? '0' }]));
}

/** Real months with what past orders say of some; bills, and other months, stay as they are. */
export function withActuals(before: Actuals, taken: Actuals): Actuals {
  return { ...before, ...Object.fromEntries(Object.entries(taken).map(([month, figures]) => [month, { ...before[month], ...figures }])) };
}

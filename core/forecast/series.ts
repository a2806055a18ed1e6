import { Decimal, decimal, fraction, ONE, ZERO } from '../amount/decimal';
import { addMonths, type Month, monthOfYear } from '../calendar/month';
import type { Series } from '../decision-file/forecast-schema';

/**
 * The values of a series for the months of a horizon (decision file §2):
 * `set[month]` where that month is listed, else (start × (1 + growth/100)^m + add × m) × season; never below 0.
 *
 * @param series - a constant or start, growth (percent a month), add, season, set
 * @param start - first month of the horizon
 * @param months - length of the horizon
 * @returns one value for each month, month index 0 first
 */
export function seriesValues(series: Series, start: Month, months: number): Decimal[] {
  if (typeof series === 'string') return new Array<Decimal>(months).fill(decimal(series));
  const growth = ONE.plus(fraction(series.growth ?? '0'));
  const first = decimal(series.start);
  const add = decimal(series.add ?? '0');
  const season = series.season?.map((factor) => decimal(factor));
  let grown = first;
  return Array.from({ length: months }, (_, index) => {
    if (index > 0) grown = grown.times(growth);
    const month = addMonths(start, index);
    const set = series.set && Object.hasOwn(series.set, month) ? series.set[month] : undefined;
    if (set !== undefined) return decimal(set);
    const trend = grown.plus(add.times(index));
    const value = season ? trend.times(season[monthOfYear(month)] ?? ONE) : trend;
    return Decimal.max(value, ZERO);
  });
}

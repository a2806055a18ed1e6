import { decimal, Decimal, ONE, sum } from '../amount/decimal';
import { moneyText, roundMoney } from '../amount/currencies';
import type { Month } from '../calendar/month';
import { comparedBy } from '../decision-file/compared-by';
import type { DecisionFile } from '../decision-file/schema';
import { preparePricing } from '../pricing/pricing';
import { crossingsOf } from '../scales/break-even';
import { averageMonthlySales, compileCandidates } from '../scales/compile';
import { totalAt } from '../scales/compiled-candidate';

/** A level of sales at which the cheaper one of two candidates changes. */
export interface BreakEvenPoint {
  readonly scale: number;
  /** Average sales a month there, base currency, and orders a month, 4 places. */
  readonly monthlySales: string;
  readonly monthlyOrders: string;
  /** Which is cheaper below and above. */
  readonly below: string;
  readonly above: string;
  /** The first month whose expected sales reach that level, and whether they stay there; null if none does. */
  readonly reached: { readonly month: Month; readonly stays: boolean } | null;
}

/** Two candidates set against each other over all levels of sales. */
export interface PairBreakEven {
  readonly a: string;
  readonly b: string;
  readonly points: readonly BreakEvenPoint[];
  /** Who is cheaper at the forecast; null where both cost the same. */
  readonly now: string | null;
}

const DUST = '1e-9';

/** From a twentieth of the forecast to twenty times as much (decision file §8). */
export const LEVELS = { from: 0.05, to: 20 } as const;

/** The break-evens of every pair of candidates (decision file §8), with the month in which they are reached. */
export function pairBreakEvens(file: DecisionFile): PairBreakEven[] {
  const pricing = preparePricing(file);
  const compiled = compileCandidates(pricing, comparedBy(file));
  const average = averageMonthlySales(pricing);
  const forecast = pricing.forecastAt(ONE);
  const orders = sum(forecast.orders).div(file.months);
  const reached = (exactly: Decimal) => {
    // Sales that are a hair below by floating point are on it.
    const level = exactly.times(ONE.minus(DUST));
    const first = forecast.sales.findIndex((sales) => sales.gte(level));
    const month = forecast.months[first];
    return month === undefined ? null : { month, stays: forecast.sales.slice(first).every((sales) => sales.gte(level)) };
  };
  return compiled.flatMap((a, index) =>
    compiled.slice(index + 1).map((b) => {
      const difference = totalAt(a, 1) - totalAt(b, 1);
      const isEqual = Math.abs(difference) <= 1e-9 * (Math.abs(totalAt(a, 1)) + 1);
      return {
        a: a.id,
        b: b.id,
        now: isEqual ? null : (difference < 0 ? a : b).id,
        points: average.isZero()
          ? []
          : crossingsOf(a, b, LEVELS.from, LEVELS.to).map(({ scale, cheaperBelow }) => {
              const level = average.times(scale);
              const [below, above] = cheaperBelow < 0 ? [a.id, b.id] : [b.id, a.id];
              return {
                scale,
                monthlySales: moneyText(roundMoney(level, file.currency), file.currency),
                monthlyOrders: orders.times(scale).toFixed(4),
                below,
                above,
                reached: reached(level),
              };
            }),
      };
    }),
  );
}

/** Of several, the point nearest to what is expected, by its ratio. */
export function nearestPoint(points: readonly BreakEvenPoint[]): BreakEvenPoint | null {
  const distance = ({ scale }: BreakEvenPoint) => Math.abs(Math.log(scale));
  return points.reduce<BreakEvenPoint | null>((best, one) => (best === null || distance(one) < distance(best) ? one : best), null);
}

/** What a level is beside the forecast, in percent more or less: `+23`, `-12`. */
export function percentOfForecast(scale: number): string {
  return decimal(scale).minus(1).times(100).toDecimalPlaces(0).toFixed();
}

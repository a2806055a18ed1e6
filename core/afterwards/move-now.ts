import { type Decimal, decimal, ONE, sum, ZERO } from '../amount/decimal';
import { minorDigits, roundMoney } from '../amount/currencies';
import { minorText } from '../amount/minor-units';
import { addMonths, type Month } from '../calendar/month';
import type { DecisionFile } from '../decision-file/schema';
import type { Used } from '../dates/date-that-matters';
import { preparePricing } from '../pricing/pricing';
import { type PlannedSegment, routeSolver } from '../route/cheapest-route';
import { withChanges } from '../what-if/changes';
import { leftOutOf } from '../what-if/route-plan';
import { type MoveEffort, type MovingCosts } from '../route/moving-costs';
import type { Actuals } from '../decision/actuals-schema';
import { withOrderValues } from './against-forecast';

/** Whether moving pays from now on, if sales go on as they did lately. */
export interface MoveAdvice {
  /** Sales as they went lately, against the forecast: orders and order values, 1 as expected. */
  readonly orders: string;
  readonly orderValue: string;
  /** How many months that is seen from. */
  readonly seen: number;
  /** The candidate that is used now. */
  readonly current: string;
  /** Whether the current one can be used to the end at that level. */
  readonly canStay: boolean;
  /** The best move there is, with what it saves over the rest of the horizon against staying (null where one cannot stay); null where staying is best. */
  readonly move: { readonly candidate: string; readonly month: Month; readonly saves: string | null } | null;
}

/** So many months say how things go. */
const LATELY = 3;

/**
 * Looks at the rest of the horizon as the sales of the last months have it, and whether moving pays, what moving takes
 * included (decision file §9).
 *
 * @returns null while no month has orders, nothing lies ahead, or two are used together
 */
export function moveNow(file: DecisionFile, used: readonly Used[], actuals: Actuals, moving: MovingCosts): MoveAdvice | null {
  const pricing = preparePricing(file);
  const forecast = pricing.forecastAt(ONE);
  const known = forecast.months
    .flatMap((month, index) => (actuals[month]?.orders !== undefined && (forecast.orders[index] ?? ZERO).gt(0) ? [{ month, index }] : []))
    .slice(-LATELY);
  const last = known.at(-1);
  const next = last ? last.index + 1 : 0;
  if (!last || next >= file.months) return null;
  const now = used.find(({ from, months }) => last.index >= from && last.index < from + months);
  if (!now || now.streams) return null;
  const ratio = (real: Decimal[], expected: Decimal[]) => (sum(expected).isZero() ? ONE : sum(real).div(sum(expected)));
  const orders = ratio(
    known.map(({ month }) => decimal(actuals[month]?.orders ?? '0')),
    known.map(({ index }) => forecast.orders[index] ?? ZERO),
  );
  const priced = known.filter(({ month }) => actuals[month]?.sales !== undefined);
  const values = ratio(
    priced.map(({ month }) => decimal(actuals[month]?.sales ?? '0')),
    // What customers would have paid for these orders at the expected values.
    priced.map(({ month, index }) =>
      (forecast.sales[index] ?? ZERO).times(decimal(actuals[month]?.orders ?? '0')).div(forecast.orders[index] ?? ONE),
    ),
  );
  const asLately = withOrderValues(atLevel(file, orders), values);
  const without = moving.without ?? leftOutOf(file);
  const ids = file.candidates
    .map(({ id }) => id)
    .filter((id) => id === now.candidate || used.some(({ candidate }) => candidate === id) || !without.includes(id));
  const solver = routeSolver(
    preparePricing(asLately),
    asLately.candidates.filter(({ id }) => ids.includes(id)),
  );
  const effort = ({ hours, money }: MoveEffort) =>
    roundMoney(
      decimal(hours)
        .times(file.hourValue ?? '0')
        .plus(money),
      file.currency,
    )
      .times(10 ** minorDigits(file.currency))
      .toNumber();
  const costs = { within: effort(moving.within), between: effort(moving.between), moves: Math.max(moving.moves, used.length) };
  const before: PlannedSegment[] = used
    .filter(({ from }) => from < now.from)
    .map(({ candidate, from, months }) => ({ candidate, from, to: from + months }));
  const way = (segments: PlannedSegment[]) => solver.costOf([...before, ...segments], costs);
  const stay = way([{ candidate: now.candidate, from: now.from, to: file.months }]);
  let best: { candidate: string; month: number; cost: number } | null = null;
  for (const candidate of ids)
    for (let month = next; candidate !== now.candidate && month < file.months; month++) {
      const cost = way([
        { candidate: now.candidate, from: now.from, to: month },
        { candidate, from: month, to: file.months },
      ]);
      if (cost !== null && (best === null || cost < best.cost)) best = { candidate, month, cost };
    }
  const pays = best !== null && (stay === null || best.cost < stay);
  return {
    orders: orders.toFixed(4),
    orderValue: values.toFixed(4),
    seen: known.length,
    current: now.candidate,
    canStay: stay !== null,
    move:
      best && pays
        ? {
            candidate: best.candidate,
            month: addMonths(file.start, best.month),
            saves: stay === null ? null : minorText(stay - best.cost, minorDigits(file.currency)),
          }
        : null,
  };
}

/** The file with orders and subscribers of every stream at a level. */
function atLevel(file: DecisionFile, level: Decimal): DecisionFile {
  const percent = level.minus(ONE).times(100).toDecimalPlaces(12).toFixed();
  return withChanges(
    file,
    file.forecast.streams.map(({ id }) => ({ key: `orders:${id}`, value: percent })),
  );
}

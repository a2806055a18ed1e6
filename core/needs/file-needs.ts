import { decimal } from '../amount/decimal';
import { addMonths, monthsFrom } from '../calendar/month';
import type { Series } from '../decision-file/forecast-schema';
import type { Need } from '../decision-file/candidate-schema';
import type { Features } from '../decision-file/price-sheet-schema';
import type { DecisionNeed } from '../decision/need-schema';
import { featuresOf, withoutFeature } from '../wording/need-words';

/** What of a price sheet's part answers needs: features, and limits where a need asks for so much of one. */
export interface Answering {
  readonly features?: Features | undefined;
  readonly limits?: Readonly<Record<string, string>> | undefined;
}

/** Whether a need holds within the horizon: one that begins after it does not count yet. */
export function isWithin({ from }: Pick<DecisionNeed, 'from'>, start: string, months: number): boolean {
  return from === undefined || from <= addMonths(start, months - 1);
}

/**
 * The needs of a decision as the decision file has them (§6).
 *
 * A need that begins within the horizon bars a candidate only from then on; ways through the horizon may begin without.
 */
export function needsForFile(needs: readonly DecisionNeed[], start: string, months: number): Need[] {
  return needs
    .filter((need) => isWithin(need, start, months))
    .flatMap((need): Need[] => {
      const { level, least, weight, without, feature } = need;
      const from = need.from === undefined || need.from <= start ? {} : { from: need.from };
      if (without) return [{ feature: withoutFeature(feature), level, ...(weight === undefined ? {} : { weight }), ...from }];
      const features = featuresOf(need);
      const each = weight === undefined ? {} : { weight: decimal(weight).div(features.length).toFixed() };
      return features.map((one) => ({ feature: one, level, ...(least === undefined ? {} : { least }), ...each, ...from }));
    });
}

function quantityOf({ kind, level, least, feature, without }: DecisionNeed): string | null {
  return kind === 'at-least' && level === 'must' && least !== undefined && !without ? feature : null;
}

/**
 * Needs for so much of something that plans limit and the forecast does not state: so much of it is what the seller
 * will have in every month. Limits, what raises them and what is charged for each then count as for any quantity; the
 * need itself asks only that the plan says something.
 *
 * @param limited - quantities that any plan limits
 * @returns by the quantity's name, how much of it there will be; month by month where a need begins later
 */
export function demandedQuantities(
  needs: readonly DecisionNeed[],
  start: string,
  months: number,
  limited: ReadonlySet<string>,
  stated: Readonly<Record<string, unknown>>,
): Record<string, Series> {
  const asked = needs.filter((need) => isWithin(need, start, months));
  const quantities = new Set(asked.flatMap((need) => quantityOf(need) ?? []));
  const open = [...quantities].filter((quantity) => limited.has(quantity) && !Object.hasOwn(stated, quantity));
  return Object.fromEntries(open.map((quantity) => [quantity, demandOf(asked, quantity, start, months)]));
}

/** The most that is asked of a quantity: one figure, or one for each month where a need begins later. */
function demandOf(needs: readonly DecisionNeed[], quantity: string, start: string, months: number): Series {
  const about = needs.filter((need) => quantityOf(need) === quantity);
  const mostIn = (month: string) =>
    about
      .filter(({ from }) => from === undefined || from <= month)
      .map(({ least = '0' }) => least)
      .reduce((most, least) => (decimal(least).gt(most) ? least : most), '0');
  if (about.every(({ from }) => from === undefined || from <= start)) return mostIn(start);
  return { start: mostIn(start), set: Object.fromEntries(monthsFrom(start, months).map((month) => [month, mostIn(month)])) };
}

/**
 * The features by which the decision file judges a part: its own, what limits say about needs for so much of
 * something, and what it is without.
 *
 * @param demanded - quantities that limits are judged by, see `demandedQuantities`
 * @param isUnlimited - whether the sheet says that there is no limit to a quantity
 */
export function answeringFeatures(
  { features, limits = {} }: Answering,
  needs: readonly DecisionNeed[],
  demanded: Readonly<Record<string, Series>>,
  isUnlimited: (quantity: string) => boolean,
): Features {
  const derived: Features = { ...features };
  for (const { feature, kind, without } of needs) {
    const limit = limits[feature];
    const isJudgedByLimit = limit !== undefined && Object.hasOwn(demanded, feature);
    if (kind === 'at-least' && (isJudgedByLimit || isUnlimited(feature))) derived[feature] = true;
    else if (kind === 'at-least' && limit !== undefined && (derived[feature] === undefined || derived[feature] === null))
      derived[feature] = limit;
    const value = features?.[feature];
    if (without && value !== undefined && value !== null) derived[withoutFeature(feature)] = !isThere(value);
  }
  return derived;
}

/** Whether a feature's value says that the thing is there. */
export function isThere(value: boolean | string | null | undefined): boolean {
  return value === true || (typeof value === 'string' && decimal(value).gt(0));
}

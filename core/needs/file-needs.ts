import { decimal } from '../amount/decimal';
import { addMonths } from '../calendar/month';
import type { Need } from '../decision-file/candidate-schema';
import type { Features } from '../decision-file/price-sheet-schema';
import type { DecisionNeed } from './need-schema';
import { featuresOf, withoutFeature } from './need-words';

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
 * A candidate is compared over the whole horizon, so that a need which begins within it counts like any other.
 */
export function needsForFile(needs: readonly DecisionNeed[], start: string, months: number): Need[] {
  return needs
    .filter((need) => isWithin(need, start, months))
    .flatMap((need): Need[] => {
      const { level, least, weight, without, feature } = need;
      if (without) return [{ feature: withoutFeature(feature), level, ...(weight === undefined ? {} : { weight }) }];
      const features = featuresOf(need);
      const each = weight === undefined ? {} : { weight: decimal(weight).div(features.length).toFixed() };
      return features.map((one) => ({ feature: one, level, ...(least === undefined ? {} : { least }), ...each }));
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
 * @returns decimal strings, by the quantity's name
 */
export function demandedQuantities(
  needs: readonly DecisionNeed[],
  start: string,
  months: number,
  limited: ReadonlySet<string>,
  stated: Readonly<Record<string, unknown>>,
): Record<string, string> {
  const demanded: Record<string, string> = {};
  for (const need of needs) {
    const quantity = quantityOf(need);
    if (quantity === null || !limited.has(quantity) || Object.hasOwn(stated, quantity) || !isWithin(need, start, months)) continue;
    if (decimal(demanded[quantity] ?? '0').lt(need.least ?? '0')) demanded[quantity] = need.least ?? '0';
  }
  return demanded;
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
  demanded: Readonly<Record<string, string>>,
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

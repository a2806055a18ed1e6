import { decimal } from '../amount/decimal';
import type { Candidate, Need } from '../decision-file/candidate-schema';
import type { Features } from '../decision-file/price-sheet-schema';
import type { Pricing } from './pricing';

/** Musts that a candidate does not meet, in the order of `needs` (decision file §6). */
export interface UnmetMusts {
  /** A plan of the candidate states a value, and it is not enough. */
  readonly missing: readonly string[];
  /** No plan of the candidate says anything. */
  readonly unclear: readonly string[];
}

/** Sorts the musts that a candidate does not meet into those missing and those nobody says anything about. */
export function unmetMusts(pricing: Pricing, candidate: Candidate): UnmetMusts {
  const plans = candidate.plans.map(({ plan }) => pricing.plan(plan).plan.features);
  const others = [
    ...(candidate.addons ?? []).map(({ addon }) => pricing.addon(addon).features),
    ...(candidate.extras ?? []).map((extra) => extra.features),
  ];
  const unmet = (pricing.file.needs ?? []).filter(
    (need) => need.level === 'must' && ![...plans, ...others].some((features) => meets(features, need)),
  );
  const stated = (need: Need) => plans.some((features) => featureOf(features, need.feature) !== null);
  return {
    missing: unmet.filter(stated).map((need) => need.feature),
    unclear: unmet.filter((need) => !stated(need)).map((need) => need.feature),
  };
}

/** Whether features meet a need: a value that is true, or at least as much as is wanted (decision file §6). */
export function meets(features: Features | undefined, { feature, least }: Need): boolean {
  const value = featureOf(features, feature);
  if (typeof value !== 'string') return value === true;
  return least === undefined ? decimal(value).gt(0) : decimal(value).gte(least);
}

function featureOf(features: Features | undefined, feature: string): boolean | string | null {
  return features && Object.hasOwn(features, feature) ? (features[feature] ?? null) : null;
}

import { decimal } from '../amount/decimal';
import { addMonths } from '../calendar/month';
import type { Candidate, Need } from '../decision-file/candidate-schema';
import type { Features } from '../decision-file/price-sheet-schema';
import type { DecisionFile } from '../decision-file/schema';
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
  const unmet = mustsNotMet(pricing, candidate);
  const plans = planFeatures(pricing, candidate);
  const stated = ({ feature }: Need) => plans.some((features) => featureOf(features, feature) !== null);
  const once = (needs: readonly Need[]) => [...new Set(needs.map(({ feature }) => feature))];
  return { missing: once(unmet.filter(stated)), unclear: once(unmet.filter((need) => !stated(need))) };
}

/** The musts that a candidate does not meet, each with the month from which it is needed. */
export function mustsNotMet(pricing: Pricing, candidate: Candidate): Need[] {
  const others = [
    ...(candidate.addons ?? []).map(({ addon }) => pricing.addon(addon).features),
    ...(candidate.extras ?? []).map((extra) => extra.features),
  ];
  const all = [...planFeatures(pricing, candidate), ...others];
  return mustsOf(pricing.file).filter((need) => !all.some((features) => meets(features, need)));
}

/** Needs that must be met at some time within the horizon (decision file §6, `from`). */
export function mustsOf({ needs = [], start, months }: Pick<DecisionFile, 'needs' | 'start' | 'months'>): Need[] {
  const end = addMonths(start, months);
  return needs.filter(({ level, from }) => level === 'must' && (from === undefined || from < end));
}

function planFeatures(pricing: Pricing, { plans }: Candidate): Array<Features | undefined> {
  return plans.map(({ plan }) => pricing.plan(plan).plan.features);
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

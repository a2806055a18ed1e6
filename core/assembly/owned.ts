import type { Candidate, Extra } from '../decision-file/candidate-schema';
import type { Addon, Features, Plan, SharedAddon } from '../decision-file/price-sheet-schema';
import { monthsBetween } from '../calendar/month';
import type { Owned } from '../decision/owned-schema';

/** What becomes of something owned for one candidate. */
export type OwnedFate =
  /** It goes on, and its cost with it. */
  | 'goes-on'
  /** The candidate does all of what it does, so that it is not renewed. */
  | 'superfluous';

/**
 * What becomes of something that is owned already if a candidate is chosen: superfluous where the candidate's own
 * plans and add-ons have everything it is there for, unless the person says otherwise.
 *
 * @param features - what the candidate's plans and add-ons have
 */
export function fateOf({ features, keptWith = [], endsWith = [] }: Owned, candidateId: string, has: Features): OwnedFate {
  if (keptWith.includes(candidateId)) return 'goes-on';
  if (endsWith.includes(candidateId)) return 'superfluous';
  const isMet = (feature: string) => has[feature] === true || (typeof has[feature] === 'string' && Number(has[feature]) > 0);
  return features.length > 0 && features.every(isMet) ? 'superfluous' : 'goes-on';
}

/** What all plans and add-ons of a candidate have, taken together; a yes or a number beats a no. */
export function featuresTogether(parts: ReadonlyArray<Pick<Plan | Addon | SharedAddon, 'features'>>): Features {
  const together: Features = {};
  for (const { features } of parts)
    for (const [feature, value] of Object.entries(features ?? {})) if (!together[feature]) together[feature] = value;
  return together;
}

/**
 * Something owned as a cost of a candidate (decision file §5, extras): it counts as met, and its next payments are
 * those that fall due once what is paid already has run out. What is superfluous costs and meets nothing more.
 *
 * @param start - first month of the horizon
 */
export function ownedExtra({ label, amount, months, currency, paidUntil, features }: Owned, fate: OwnedFate, start: string): Extra | null {
  if (fate === 'superfluous') return null;
  const from = paidUntil === undefined ? 0 : Math.max(0, monthsBetween(start, paidUntil) + 1);
  return {
    label,
    // What was bought once and for good is paid: it only counts as met.
    amount: months === 0 ? '0' : amount,
    months,
    ...(currency === undefined ? {} : { currency }),
    ...(from > 0 && months > 0 ? { from } : {}),
    ...(features.length > 0 ? { features: Object.fromEntries(features.map((feature) => [feature, true])) } : {}),
  };
}

/** The candidate with what is owned counted as it would be if it were chosen. */
export function withOwned(candidate: Candidate, owned: readonly Owned[], has: Features, start: string): Candidate {
  const extras = owned.flatMap((one) => ownedExtra(one, fateOf(one, candidate.id, has), start) ?? []);
  return extras.length === 0 ? candidate : { ...candidate, extras: [...(candidate.extras ?? []), ...extras] };
}

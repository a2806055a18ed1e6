import type { Addon, Offer, Plan } from '../decision-file/price-sheet-schema';
import { withoutFeature } from '../wording/need-words';
import { meets } from '../pricing/needs';
import type { Pricing } from '../pricing/pricing';
import { musts, mustsMet, termCost, unknownTerm } from './part-costs';
import { addonsFor, cheapestOfPlans, type PlanChoice } from './propose';

const WITHOUT = withoutFeature('');

/** Two offers whose plans do the job together. */
export interface Pair {
  readonly offers: readonly [string, string];
  readonly choice: PlanChoice;
}

/**
 * The cheapest two plans of different offers that together can be used, with the add-ons that work with either
 * (decision file §5, §6). Each plan's limits hold, and all that both charge counts.
 *
 * @param offers - those that do not do the job alone
 * @param payments - by offer, how it can be paid through; a pair can be paid through what either can
 */
export function cheapestPair(pricing: Pricing, offers: readonly Offer[], payments: (offer: Offer) => readonly string[]): Pair | null {
  const parts = offers.flatMap((offer) => {
    const sold = addonsFor(pricing, offer);
    return offer.plans.flatMap((plan) => {
      const least = leastTerm(pricing, plan);
      return least === null
        ? []
        : [{ offer, plan, sold, least, hasCredit: [plan, ...sold].some(isCrediting), met: metBy(pricing, [plan, ...sold]) }];
    });
  });
  const wanted = musts(pricing).length;
  // Being without something is asked of both.
  const withouts = musts(pricing).filter(({ feature }) => feature.startsWith(WITHOUT));
  let best: Pair | null = null;
  for (const [at, one] of parts.entries())
    for (const other of parts.slice(at + 1)) {
      if (one.offer === other.offer || new Set([...one.met, ...other.met]).size < wanted) continue;
      if (![one.plan, other.plan].every(({ features }) => withouts.every((need) => meets(features, need)))) continue;
      // Joining fees and charges come on top; credits are rare, and then only make this bound useless, not wrong.
      if (best && one.least + other.least > best.choice.total && !one.hasCredit && !other.hasCredit) continue;
      const through = [...new Set([...payments(one.offer), ...payments(other.offer)])];
      const sold = [...new Map([...one.sold, ...other.sold].map((addon) => [addon.id, addon])).values()];
      const choice = cheapestOfPlans(pricing, [one.plan, other.plan], sold, through, best?.choice.total ?? null);
      if (choice) best = { offers: [one.offer.id, other.offer.id], choice };
    }
  return best;
}

/** The least that a plan's terms cost over the horizon, minor units; null where no price is known. */
function leastTerm(pricing: Pricing, plan: Plan): number | null {
  const costs = plan.terms.filter(({ id }) => !unknownTerm(pricing, plan, id)).map(({ id }) => termCost(pricing, plan, id).total);
  return costs.length === 0 ? null : Math.min(...costs);
}

function metBy(pricing: Pricing, parts: ReadonlyArray<Plan | Addon>): ReadonlySet<number> {
  return new Set(parts.flatMap(({ features }) => mustsMet(pricing, features)));
}

function isCrediting({ charges }: Plan | Addon): boolean {
  return (charges ?? []).some(({ credit }) => credit);
}

import { decimal, fraction } from '../amount/decimal';
import { minorDigits, moneyText } from '../amount/currencies';
import type { Addon, Offer, Plan } from '../decision-file/price-sheet-schema';
import type { Pricing } from '../pricing/pricing';
import { cheapestAddons, type UsefulAddon } from './cheapest-addons';
import {
  addonCharges,
  type AddonChoice,
  addonChoices,
  mustsMet,
  NO_COST,
  type PartCost,
  planPart,
  type PlanPart,
  termCost,
  sumOfCosts,
  unknownTerm,
} from './part-costs';

/** The cheapest combination of an offer that can be used (decision file §10); `total` null where there is none. */
export type Proposal =
  | {
      offer: string;
      total: string;
      plan: string;
      term: string;
      addons: Array<{ addon: string; term?: string; count: number }>;
      payments: string;
    }
  | { offer: string; total: null };

const MOST_OF_AN_ADDON = 20;

/** A proposal for every offer, or for those that the file lists; undefined if it asks for none. */
export function proposals(pricing: Pricing): Proposal[] | undefined {
  const { propose, offers } = pricing.file;
  if (!propose) return undefined;
  const asked = propose.offers ? offers.filter(({ id }) => propose.offers?.includes(id)) : offers;
  return asked.map((offer) => proposalFor(pricing, offer, propose.payments ?? ['own']));
}

/** The cheapest usable combination of one offer, by plan, term, payments and add-ons. */
export function proposalFor(pricing: Pricing, offer: Offer, payments: readonly string[]): Proposal {
  const sold = addonsFor(pricing, offer);
  const best = offer.plans.reduce<PlanChoice | null>(
    (leader, plan) => cheapestOfPlan(pricing, plan, sold, payments, leader?.total ?? null) ?? leader,
    null,
  );
  const [used] = best?.plans ?? [];
  if (!best || !used) return { offer: offer.id, total: null };
  return {
    offer: offer.id,
    total: totalText(pricing, best.total),
    ...used,
    addons: best.choices.map(({ addon, term, count }) => ({ addon: addon.id, ...(term === undefined ? {} : { term }), count })),
    payments: best.payments,
  };
}

/** The cheapest way of using one plan, or several together; the total is in minor units of the base currency. */
export interface PlanChoice {
  readonly total: number;
  readonly plans: ReadonlyArray<{ readonly plan: string; readonly term: string }>;
  readonly payments: string;
  readonly choices: readonly AddonChoice[];
}

/** The cheapest usable combination with one plan; see `cheapestOfPlans`. */
export function cheapestOfPlan(
  pricing: Pricing,
  plan: Plan,
  sold: readonly Addon[],
  payments: readonly string[],
  below: number | null,
): PlanChoice | null {
  return cheapestOfPlans(pricing, [plan], sold, payments, below);
}

/**
 * The cheapest usable combination in which these plans are taken together; null if there is none.
 *
 * @param sold - the add-ons that work with their offers
 * @param below - only totals below this one are looked for; null for any
 */
export function cheapestOfPlans(
  pricing: Pricing,
  plans: readonly Plan[],
  sold: readonly Addon[],
  payments: readonly string[],
  below: number | null,
): PlanChoice | null {
  const taxRate = fraction(pricing.file.feeTax ?? '0').toNumber();
  const parts = payments.flatMap((use) => planPart(pricing, plans, use) ?? []);
  const useful = new Map(parts.map((part) => [part.payments, usefulAddons(pricing, part, sold)] as const));
  const costs = termCosts(pricing);
  let best: PlanChoice | null = null;
  for (const terms of parts.length === 0 ? [] : termsOf(pricing, plans))
    for (const part of parts) {
      const paid = terms.reduce((sum, { plan, term }) => sumOfCosts(sum, costs(plan, term, part.payments)), NO_COST);
      const limit = best?.total ?? below;
      const atMost = limit === null ? Infinity : limit - 1;
      const addons = useful.get(part.payments) ?? [];
      const found = cheapestAddons({ base: sumOfCosts(paid, part.charges), addons, wanted: part, taxRate, atMost });
      if (!found) continue;
      const used = terms.map(({ plan, term }) => ({ plan: plan.id, term }));
      best = { total: found.total, plans: used, payments: part.payments, choices: found.choices };
    }
  return best;
}

interface PlanTerm {
  readonly plan: Plan;
  readonly term: string;
}

/** Every way of choosing a term with a known price for each of the plans, in their order. */
function termsOf(pricing: Pricing, plans: readonly Plan[]): PlanTerm[][] {
  return plans.reduce<PlanTerm[][]>(
    (ways, plan) => {
      const terms = plan.terms.filter(({ id }) => !unknownTerm(pricing, plan, id)).map(({ id: term }) => ({ plan, term }));
      return ways.flatMap((way) => terms.map((term) => [...way, term]));
    },
    [[]],
  );
}

/** What terms cost; who processes payments only matters to plans with a credit that orders earn. */
function termCosts(pricing: Pricing): (plan: Plan, term: string, payments: string) => PartCost {
  const known = new Map<string, PartCost>();
  return (plan, term, payments) => {
    const hasCredit = (plan.charges ?? []).some(({ against }) => against === 'plan');
    const key = `${plan.id} ${term} ${hasCredit ? payments : ''}`;
    const cost = known.get(key) ?? termCost(pricing, plan, term, payments);
    known.set(key, cost);
    return cost;
  };
}

/** Minor units of the base currency as an amount. */
export function totalText({ file: { currency } }: Pricing, total: number): string {
  return moneyText(decimal(total).div(10 ** minorDigits(currency)), currency);
}

/** The add-ons that work with an offer: its own, and those of others that say so or say nothing. */
export function addonsFor({ file }: Pricing, offer: Offer): Addon[] {
  return [...(offer.addons ?? []), ...(file.addons ?? []).filter(({ worksWith }) => !worksWith || worksWith.includes(offer.id))];
}

/** Add-ons that meet a must the plan lacks, raise a limit it exceeds, or are in the seller's favour; no others can help. */
function usefulAddons(pricing: Pricing, part: PlanPart, sold: readonly Addon[]): UsefulAddon[] {
  return sold.flatMap((addon): UsefulAddon[] => {
    const charges = (addon.charges?.length ?? 0) === 0 ? NO_COST : addonCharges(pricing, addon, part);
    if (charges === null) return [];
    const meets = mustsMet(pricing, addon.features).filter((position) => part.unmet.includes(position));
    const raises = new Map(
      Object.entries(addon.raises ?? {})
        .filter(([name, amount]) => part.short.has(name) && decimal(amount).gt(0))
        .map(([name, amount]) => [name, decimal(amount)] as const),
    );
    const counts = countsOf(part, raises);
    const choices = dominating(counts.flatMap((count) => addonChoices(pricing, addon, count, charges, part)));
    const isUseful = meets.length > 0 || raises.size > 0 || choices.some(({ cost }) => cost.hasCredit);
    return isUseful && choices.length > 0 ? [{ choices, meets, raises }] : [];
  });
}

/** How many of an add-on can be of use: no more than the limits fall short. */
function countsOf({ short }: PlanPart, raises: UsefulAddon['raises']): number[] {
  const needed = [...raises].map(([name, amount]) => short.get(name)?.div(amount).ceil().toNumber() ?? 1);
  return Array.from({ length: Math.min(MOST_OF_AN_ADDON, Math.max(1, ...needed)) }, (_, index) => index + 1);
}

/** Of several terms for the same number of an add-on the cheapest, where tax cannot turn which that is. */
function dominating(choices: readonly AddonChoice[]): AddonChoice[] {
  const isTaxed = ({ taxed }: PartCost) => taxed !== null;
  return choices.filter((choice) => {
    if (isTaxed(choice.cost)) return true;
    return !choices.some(
      (other) =>
        other.count === choice.count &&
        !isTaxed(other.cost) &&
        (other.cost.total < choice.cost.total ||
          (other.cost.total === choice.cost.total && choices.indexOf(other) < choices.indexOf(choice))),
    );
  });
}

import type { Offer, Plan } from '../decision-file/price-sheet-schema';
import { addMonths } from '../calendar/month';
import { candidateCharges } from '../pricing/candidate-charges';
import { isChargeNotKnown } from '../rules/charges/charge-rule';
import { exceededLimits, limitedQuantities } from '../pricing/limits';
import { meets } from '../pricing/needs';
import type { Pricing } from '../pricing/pricing';
import { mustsMet, musts, unknownTerm } from './part-costs';
import { addonsFor, cheapestOfPlan, type PlanChoice, totalText } from './propose';

/** Why a plan of an offer is not the one proposed. */
export type Reason =
  /** It is the one proposed. */
  | { readonly kind: 'proposed' }
  /**
   * It could be used as well, and costs more by so much, base currency; `addons` are those that it would need, as it
   * lacks these musts itself.
   */
  | { readonly kind: 'dearer'; readonly by: string; readonly addons: readonly string[]; readonly lacks: readonly string[] }
  /** No term has a price that is known, or these charges have none. */
  | { readonly kind: 'not-known'; readonly charges: readonly string[] }
  /** Musts that neither the plan nor any add-on meets; of `unclear` ones the plan says nothing. */
  | { readonly kind: 'missing'; readonly features: readonly string[]; readonly unclear: readonly string[] }
  /**
   * Outgrown in this month (`YYYY-MM`), in which there is so much of the quantity; no add-on raises the limit far enough.
   * `limit` is the limit's name, or the id of the charge that sets it.
   */
  | { readonly kind: 'outgrown'; readonly month: string; readonly limit: string; readonly quantity: string; readonly reaches: string };

/** What became of a plan, with the cheapest way of using it. */
export interface JudgedPlan {
  readonly plan: string;
  readonly reason: Reason;
  readonly choice: PlanChoice | null;
}

/** What became of every plan of an offer in its proposal, in the order of the sheet (decision file §10). */
export function passedOver(pricing: Pricing, offer: Offer, payments: readonly string[]): JudgedPlan[] {
  const sold = addonsFor(pricing, offer);
  const choices = offer.plans.map((plan) => cheapestOfPlan(pricing, plan, sold, payments, null));
  const least = Math.min(...choices.flatMap((choice) => (choice ? [choice.total] : [])));
  const proposed = choices.findIndex((choice) => choice?.total === least);
  return offer.plans.map((plan, index) => {
    const choice = choices[index] ?? null;
    if (index === proposed) return { plan: plan.id, choice, reason: { kind: 'proposed' } };
    if (choice)
      return {
        plan: plan.id,
        choice,
        reason: {
          kind: 'dearer',
          by: totalText(pricing, choice.total - least),
          addons: choice.choices.map(({ addon }) => addon.id),
          lacks: lacksOf(pricing, plan),
        },
      };
    return { plan: plan.id, choice, reason: whyUnusable(pricing, plan, sold, payments) };
  });
}

/** Musts that a plan itself does not meet, each once. */
function lacksOf(pricing: Pricing, { features }: Plan): string[] {
  return [
    ...new Set(
      musts(pricing)
        .filter((need) => !meets(features, need))
        .map(({ feature }) => feature),
    ),
  ];
}

function whyUnusable(pricing: Pricing, plan: Plan, sold: ReturnType<typeof addonsFor>, payments: readonly string[]): Reason {
  const unmet = musts(pricing).filter(
    (_, position) => ![plan, ...sold].some(({ features }) => mustsMet(pricing, features).includes(position)),
  );
  const features = [...new Set(unmet.map(({ feature }) => feature))];
  const isStated = (feature: string) => plan.features?.[feature] !== undefined && plan.features[feature] !== null;
  if (features.length > 0)
    return { kind: 'missing', features: features.filter(isStated), unclear: features.filter((feature) => !isStated(feature)) };
  const [term] = plan.terms;
  const charges = term ? payments.flatMap((use) => unknownCharges(pricing, plan, term.id, use)) : [];
  const isPriced = plan.terms.some(({ id }) => !unknownTerm(pricing, plan, id));
  if (!term || !isPriced || charges.length > 0) return { kind: 'not-known', charges: [...new Set(charges)] };
  const candidate = {
    id: 'plan',
    label: '',
    plans: [{ plan: plan.id, term: term.id }],
    ...(payments[0] === undefined ? {} : { payments: payments[0] }),
  };
  const [first] = exceededLimits(pricing, candidate);
  const limited = limitedQuantities(pricing, candidate).find(({ limit }) => limit === first?.limit);
  const reaches = first && limited?.quantities[first.month];
  if (!first || !limited || !reaches) return { kind: 'missing', features: [], unclear: [] };
  return {
    kind: 'outgrown',
    month: addMonths(pricing.file.start, first.month),
    limit: first.limit,
    quantity: limited.quantity,
    reaches: reaches.toDecimalPlaces(2).toFixed(),
  };
}

function unknownCharges(pricing: Pricing, plan: Plan, term: string, payments: string): string[] {
  return candidateCharges(pricing, { id: 'plan', label: '', plans: [{ plan: plan.id, term }], payments }).flatMap(({ charge }) =>
    isChargeNotKnown(charge) ? [charge.id] : [],
  );
}

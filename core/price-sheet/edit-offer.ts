import type { Offer, Plan } from '../decision-file/price-sheet-schema';

/** A vendor's sheet with nothing on it but one plan without a price. */
export function newOffer(newId: () => string, currency: string): Offer {
  return {
    id: newId(),
    vendor: '',
    label: '',
    kind: 'store-platform',
    plans: [{ id: newId(), label: '', currency, terms: [] }],
  };
}

/**
 * The offer with one more plan at the right of another: a copy of it without its name, so that only what differs has
 * to be typed, or an empty plan if there is none to copy.
 *
 * @param planId - the plan to copy; the last one if it is not given
 */
export function withCopiedPlan(offer: Offer, newId: () => string, currency: string, planId?: string): Offer {
  const at = planId === undefined ? offer.plans.length - 1 : offer.plans.findIndex(({ id }) => id === planId);
  const plan = offer.plans[at];
  const copy: Plan = plan
    ? {
        ...plan,
        id: newId(),
        label: '',
        terms: plan.terms.map((term) => ({ ...term, id: newId() })),
        ...(plan.charges ? { charges: plan.charges.map((charge) => ({ ...charge, id: newId() })) } : {}),
      }
    : { id: newId(), label: '', currency, terms: [] };
  return { ...offer, plans: [...offer.plans.slice(0, at + 1), copy, ...offer.plans.slice(at + 1)] };
}

/** The offer with one more add-on, without a price yet. */
export function withNewAddon(offer: Offer, newId: () => string, currency: string): Offer {
  return { ...offer, addons: [...(offer.addons ?? []), { id: newId(), label: '', currency, terms: [] }] };
}

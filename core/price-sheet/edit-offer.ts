import type { Addon, Offer, Plan, Term } from '../decision-file/price-sheet-schema';

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

/** The offer with one plan changed. */
export function withPlan(offer: Offer, id: string, change: (plan: Plan) => Plan): Offer {
  return { ...offer, plans: offer.plans.map((plan) => (plan.id === id ? change(plan) : plan)) };
}

/**
 * The offer with one more plan at the right: a copy of the last one without its name, so that only what differs
 * has to be typed, or an empty one.
 */
export function withCopiedPlan(offer: Offer, newId: () => string, currency: string): Offer {
  const last = offer.plans.at(-1);
  const copy: Plan = last
    ? {
        ...last,
        id: newId(),
        label: '',
        terms: last.terms.map((term) => ({ ...term, id: newId() })),
        ...(last.charges ? { charges: last.charges.map((charge) => ({ ...charge, id: newId() })) } : {}),
      }
    : { id: newId(), label: '', currency, terms: [] };
  return { ...offer, plans: [...offer.plans, copy] };
}

/**
 * A plan's or add-on's terms with the price of one length changed.
 *
 * @param months - length of the term, 0 = once and for good
 * @param price - for the whole term; `null` for not known, `undefined` if it is not offered
 * @returns the terms, shortest first
 */
export function withTermPrice(
  terms: readonly Term[],
  months: number,
  price: string | null | undefined,
  newId: () => string,
): Term[] {
  const found = terms.find((term) => term.months === months);
  if (price === undefined) return terms.filter((term) => term !== found);
  if (found) return terms.map((term) => (term === found ? { ...term, price } : term));
  return [...terms, { id: newId(), months, price }].sort((a, b) => a.months - b.months);
}

/** The terms with what one of them says besides its price changed. */
export function withTerm(terms: readonly Term[], id: string, change: (term: Term) => Term): Term[] {
  return terms.map((term) => (term.id === id ? change(term) : term));
}

/** A term with an introductory price for its first payments; without one if `price` is undefined. */
export function withIntroductoryPrice(term: Term, price: string | null | undefined, periods: number): Term {
  const { intro: _former, ...rest } = term;
  return price === undefined ? rest : { ...rest, intro: { price, periods } };
}

/** The offer with one more add-on, without a price yet. */
export function withNewAddon(offer: Offer, newId: () => string, currency: string): Offer {
  return { ...offer, addons: [...(offer.addons ?? []), { id: newId(), label: '', currency, terms: [] }] };
}

/** The offer with one add-on changed, or removed if `change` gives null. */
export function withAddon(offer: Offer, id: string, change: (addon: Addon) => Addon | null): Offer {
  const addons = (offer.addons ?? []).flatMap((addon) => {
    const changed = addon.id === id ? change(addon) : addon;
    return changed ? [changed] : [];
  });
  return { ...offer, addons };
}

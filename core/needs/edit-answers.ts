import type { PriceSheet } from '../decision/price-sheet';
import { withMark } from '../price-sheet/figure-notes';
import { type Part, placeOf, withPart } from '../price-sheet/parts';
import type { DecisionNeed } from '../decision/need-schema';
import { featuresOf } from '../wording/need-words';

/** An answer as a person gives it. */
export type GivenAnswer =
  | { readonly kind: 'yes' | 'no' | 'not-known' }
  /** A decimal. */
  | { readonly kind: 'amount'; readonly amount: string }
  /** Of a connection both ways. */
  | { readonly kind: 'one-way'; readonly way: 'to' | 'from' };

/** The sheet with what a plan says to a need; how much of something that the plan limits is its limit. */
export function withAnswer(sheet: PriceSheet, planId: string, need: DecisionNeed, answer: GivenAnswer): PriceSheet {
  const features = featuresOf(need);
  const unmarked = features.reduce(
    (changed, feature) =>
      withMark(
        withMark(changed, placeOf(planId, { kind: 'feature', feature }), null),
        placeOf(planId, { kind: 'limit', quantity: feature }),
        null,
      ),
    sheet,
  );
  return withPart(unmarked, planId, (part) => {
    const isLimit = need.kind === 'at-least' && part.limits?.[need.feature] !== undefined;
    if (isLimit) return withLimit(part, need.feature, answer);
    return {
      ...part,
      features: { ...part.features, ...Object.fromEntries(features.map((feature, at) => [feature, valueOf(answer, at)])) },
    };
  });
}

function valueOf(answer: GivenAnswer, at: number): boolean | string | null {
  switch (answer.kind) {
    case 'yes':
      return true;
    case 'no':
      return false;
    case 'not-known':
      return null;
    case 'amount':
      return answer.amount;
    case 'one-way':
      return at === (answer.way === 'to' ? 0 : 1);
  }
}

function withLimit(part: Part, quantity: string, answer: GivenAnswer): Part {
  if (answer.kind === 'amount') return { ...part, limits: { ...part.limits, [quantity]: answer.amount } };
  const { [quantity]: _former, ...limits } = part.limits ?? {};
  return answer.kind === 'no'
    ? { ...part, limits: { ...limits, [quantity]: '0' } }
    : { ...part, limits, features: { ...part.features, [quantity]: answer.kind === 'yes' ? true : null } };
}

/** The sheet with an add-on of the vendor that answers a need: one that is there, or a new one paid by the month. */
export function withAnswerByAddon(
  sheet: PriceSheet,
  need: DecisionNeed,
  addon:
    | { readonly id: string }
    | { readonly newId: () => string; readonly label: string; readonly price: string | null; readonly currency: string },
): PriceSheet {
  if (sheet.kind !== 'offer') return sheet;
  const answers = Object.fromEntries(featuresOf(need).map((feature) => [feature, need.least ?? true]));
  const { addons = [] } = sheet.offer;
  if ('id' in addon)
    return {
      ...sheet,
      offer: {
        ...sheet.offer,
        addons: addons.map((one) => (one.id === addon.id ? { ...one, features: { ...one.features, ...answers } } : one)),
      },
    };
  const made = {
    id: addon.newId(),
    label: addon.label,
    currency: addon.currency,
    terms: [{ id: addon.newId(), months: 1, price: addon.price }],
    features: answers,
  };
  return { ...sheet, offer: { ...sheet.offer, addons: [...addons, made] } };
}

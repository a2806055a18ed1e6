import { type Decimal, decimal } from '../amount/decimal';
import { minorDigits } from '../amount/currencies';
import type { Offer, Plan } from '../decision-file/price-sheet-schema';
import type { DecisionFile } from '../decision-file/schema';
import { preparePricing, type Pricing } from '../pricing/pricing';
import type { Term } from '../rules/terms/term';
import { addonsFor, cheapestOfPlan, type PlanChoice } from './propose';

/** A plan's cheapest way of which only the price of later payments is not known. */
export interface RenewalNotKnown {
  readonly plan: string;
  /** Paid with the least that the renewal is assumed to cost: a lower bound. */
  readonly choice: PlanChoice;
  /** Months that the price which is not known pays for. */
  readonly months: number;
  /** What the renewal was assumed to cost, in the plan's currency. */
  readonly assumed: Decimal;
  /** What it adds to the total if the renewal costs one more, base currency. */
  readonly perUnit: Decimal;
}

/** Whether what is paid first is known, and only what is paid later is not (decision file §3, Terms). */
export function isOnlyRenewalOpen({ price, intro, renewal }: Term): boolean {
  const isIntroKnown = intro !== undefined && 'price' in intro && intro.price !== null;
  if (price === null) return isIntroKnown && renewal?.price !== null;
  return renewal?.price === null && (intro === undefined || isIntroKnown || 'off' in intro);
}

/** The term with its open price filled in. */
function filled(term: Term, price: string): Term {
  if (term.price === null) return { ...term, price };
  return term.renewal ? { ...term, renewal: { ...term.renewal, price } } : term;
}

/** By how much the price is raised to see what it weighs: far enough that rounding does not show. */
const RAISED = 1_000;

/**
 * The cheapest way of using a plan by a term whose renewal price is not known; null where it has none, or cannot be
 * used by it whatever it costs.
 *
 * @param leastOf - what somebody assumes the price of a term of the plan to be at least, a decimal
 */
export function renewalNotKnown(
  pricing: Pricing,
  offer: Offer,
  plan: Plan,
  payments: readonly string[],
  leastOf: (term: string) => string,
): RenewalNotKnown | null {
  const open = plan.terms.filter(isOnlyRenewalOpen);
  const found = open.flatMap((term) => {
    const assumed = decimal(leastOf(term.id));
    const total = (price: Decimal) => choiceAt(pricing.file, offer, plan, filled(term, price.toFixed()), payments);
    const [choice, raised] = [total(assumed), total(assumed.plus(RAISED))];
    if (!choice || !raised) return [];
    const perUnit = decimal(raised.total - choice.total)
      .div(RAISED)
      .div(10 ** minorDigits(pricing.file.currency));
    return [{ plan: plan.id, choice, months: term.renewal?.months ?? term.months, assumed, perUnit }];
  });
  return found.reduce<RenewalNotKnown | null>((best, one) => (best && best.choice.total <= one.choice.total ? best : one), null);
}

function choiceAt(file: DecisionFile, offer: Offer, plan: Plan, term: Term, payments: readonly string[]): PlanChoice | null {
  const only = { ...plan, terms: [term] };
  const changed = { ...offer, plans: offer.plans.map((one) => (one.id === plan.id ? only : one)) };
  const pricing = preparePricing({ ...file, offers: file.offers.map((one) => (one.id === offer.id ? changed : one)) });
  return cheapestOfPlan(pricing, only, addonsFor(pricing, changed), payments, null);
}

/**
 * Below which renewal price a plan costs less than another way, in the plan's currency; null where it does not even at
 * the least that is assumed, or whatever the renewal costs.
 *
 * @param total - of the other way, minor units of the base currency
 */
export function cheaperBelow({ file }: Pick<Pricing, 'file'>, open: RenewalNotKnown, total: number): Decimal | null {
  const room = decimal(total - open.choice.total).div(10 ** minorDigits(file.currency));
  if (!room.gt(0) || !open.perUnit.gt(0)) return null;
  return open.assumed.plus(room.div(open.perUnit)).toDecimalPlaces(2);
}

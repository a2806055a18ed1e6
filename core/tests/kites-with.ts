import type { Offer, Plan } from '../decision-file/price-sheet-schema';
import type { DecisionFile } from '../decision-file/schema';
import { preparePricing } from '../pricing/pricing';
import { kiteDecision } from './kite-decision';

/** The kites with Alder's plan, its offer or the whole file changed, ready for pricing; it asks 10 a month and 5 % of sales of 1,000. */
export function kitesWith(plan: Partial<Plan> = {}, more: Partial<DecisionFile> = {}, ofOffer: Partial<Offer> = {}) {
  const kites = kiteDecision();
  const offers = kites.offers.map((one) =>
    one.id === 'a' ? { ...one, ...ofOffer, plans: one.plans.map((own) => ({ ...own, ...plan })) } : one,
  );
  const pricing = preparePricing({ ...kites, offers, ...more });
  const found = pricing.plan('pa');
  return { pricing, plan: found.plan, offer: found.offer };
}

import { readDecisionFile } from '../decision-file/read';
import type { Plan, Processor, SharedAddon } from '../decision-file/price-sheet-schema';
import type { DecisionFile } from '../decision-file/schema';
import type { Candidate } from '../decision-file/candidate-schema';
import { preparePricing, type Pricing } from '../pricing/pricing';

/** What differs from a plan at 10 a month for three months, with ten orders of 10.00 each. */
export interface OnePlan {
  readonly plan?: Partial<Plan>;
  readonly addons?: readonly SharedAddon[];
  readonly processors?: readonly Processor[];
  readonly file?: Partial<DecisionFile>;
}

/** A decision about one plan, prepared for pricing. */
export function onePlan({ plan = {}, addons = [], processors = [], file = {} }: OnePlan = {}): Pricing {
  return preparePricing(
    readDecisionFile({
      format: 'venalis.decision',
      version: 2,
      name: 'q',
      currency: 'EUR',
      start: '2027-01',
      months: 3,
      forecast: { streams: [{ id: 's', label: 's', kind: 'goods', orders: '10', orderValue: '10' }] },
      offers: [
        {
          id: 'o',
          vendor: 'Vendor',
          label: 'Offer',
          kind: 'store-platform',
          plans: [{ id: 'p', label: 'Plan', currency: 'EUR', terms: [{ id: 't', months: 1, price: '10' }], ...plan }],
        },
      ],
      addons: [...addons],
      processors: [...processors],
      candidates: [],
      ...file,
    }),
  );
}

/** A candidate with the plan, and whatever else it has. */
export const withPlan = (more: Partial<Candidate> = {}): Candidate => ({ id: 'A', label: 'A', plans: [{ plan: 'p', term: 't' }], ...more });

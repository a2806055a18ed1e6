import type { Candidate } from '../decision-file/candidate-schema';
import type { Charge } from '../decision-file/price-sheet-schema';
import type { Pricing } from './pricing';
import { chargeExists, type ChargeOwner, type Processing, processingOf } from './processing';

/** A charge that exists for a candidate, with whose it is. */
export interface CandidateCharge {
  readonly charge: Charge;
  readonly owner: ChargeOwner;
}

/** All charges that exist for a candidate: its plans', its add-ons' and its outside processors', in that order. */
export function candidateCharges(
  pricing: Pricing,
  candidate: Candidate,
  processing: Processing = processingOf(candidate),
): CandidateCharge[] {
  const owners = [
    ...candidate.plans.map(({ plan }) => ({ kind: 'plan', sheet: pricing.plan(plan).plan }) as const),
    ...(candidate.addons ?? []).map(({ addon }) => ({ kind: 'addon', sheet: pricing.addon(addon) }) as const),
    ...processing.named.filter((name) => name !== 'own').map((name) => ({ kind: 'processor', sheet: pricing.processor(name) }) as const),
  ];
  return owners.flatMap(({ kind, sheet }) =>
    (sheet.charges ?? [])
      .filter((charge) => chargeExists(charge, processing))
      .map((charge) => ({
        charge,
        owner: {
          kind,
          id: sheet.id,
          currency: sheet.currency,
          taxExcluded: charge.taxExcluded ?? sheet.taxExcluded ?? false,
        },
      })),
  );
}

import type { Candidate } from '../decision-file/candidate-schema';
import type { Charge } from '../decision-file/price-sheet-schema';
import { chargeRule, type ChargeRule, existsWithin } from '../rules/charges/charge-rule';
import { countedFor } from './counted';
import type { Pricing } from './pricing';
import { chargeExists, type ChargeOwner, processingOf } from './processing';

/** A charge that exists for a candidate, with whose it is and what it comes to. */
export interface CandidateCharge {
  readonly charge: Charge;
  readonly owner: ChargeOwner;
  /** Shared by candidates that have the charge exactly alike. */
  readonly rule: ChargeRule;
  /** The place of the owner among the candidate's plans, add-ons or processors. */
  readonly entry: number;
}

const kept = new WeakMap<Pricing, WeakMap<Candidate, readonly CandidateCharge[]>>();

/**
 * All charges that exist for a candidate: its plans', its add-ons' and its outside processors', in that order; worked
 * out once for a candidate.
 */
export function candidateCharges(pricing: Pricing, candidate: Candidate): readonly CandidateCharge[] {
  const known = kept.get(pricing) ?? new WeakMap<Candidate, readonly CandidateCharge[]>();
  kept.set(pricing, known);
  const charges = known.get(candidate) ?? chargesOf(pricing, candidate);
  known.set(candidate, charges);
  return charges;
}

function chargesOf(pricing: Pricing, candidate: Candidate): CandidateCharge[] {
  const processing = processingOf(candidate);
  const whole = { streams: null, takesPayments: true };
  const owners = [
    ...candidate.plans.map(({ plan, streams, takesPayments = true }, entry) => {
      const of = { streams: streams === undefined ? null : new Set(streams), takesPayments };
      return { kind: 'plan', sheet: pricing.plan(plan).plan, entry, ...of } as const;
    }),
    ...(candidate.addons ?? []).map(({ addon }, entry) => ({ kind: 'addon', sheet: pricing.addon(addon), entry, ...whole }) as const),
    ...processing.named
      .filter((name) => name !== 'own')
      .map((name, entry) => ({ kind: 'processor', sheet: pricing.processor(name), entry, ...whole }) as const),
  ];
  return owners.flatMap(({ kind, sheet, entry, streams, takesPayments }) =>
    (sheet.charges ?? [])
      .filter((charge) => chargeExists(charge, { takesPayments }, processing) && existsWithin(charge, pricing.file))
      .map((charge) => {
        const taxExcluded = charge.taxExcluded ?? sheet.taxExcluded ?? false;
        const owner: ChargeOwner = { kind, id: sheet.id, currency: sheet.currency, taxExcluded, streams, takesPayments };
        return { charge, owner, entry, rule: ruleOf(pricing, candidate, charge, owner) };
      }),
  );
}

const rules = new WeakMap<Pricing, Map<string, ChargeRule>>();

function ruleOf(pricing: Pricing, candidate: Candidate, charge: Charge, owner: ChargeOwner): ChargeRule {
  const known = rules.get(pricing) ?? new Map<string, ChargeRule>();
  rules.set(pricing, known);
  const { key, counted } = countedFor(pricing.file, candidate, charge, owner);
  const name = `${owner.kind} ${owner.id} ${charge.id} ${key}`;
  const rule = known.get(name) ?? chargeRule(charge, counted);
  known.set(name, rule);
  return rule;
}

import { decimal, type Decimal, sum } from '../amount/decimal';
import type { CandidateResult } from '../comparison/candidate-result';
import type { PricedDecision } from '../comparison/decision-result';
import type { Candidate } from '../decision-file/candidate-schema';
import type { Offer, Plan } from '../decision-file/price-sheet-schema';
import type { Bucket } from '../pricing/ledger-line';

/** A plan of a vendor at its best: the candidate that stands for it. */
export interface Rung {
  readonly plan: Plan;
  readonly candidate: Candidate;
  readonly result: CandidateResult;
}

/** What a plan itself costs, less the credit that pays for it. */
export const PLAN_BUCKETS: readonly Bucket[] = ['plan', 'credit'];

/** The plans of an offer that a candidate stands for alone, the cheapest plan first. */
export function ladderOf({ plans }: Offer, { candidates }: PricedDecision): Rung[] {
  const rungs = plans.flatMap((plan): Rung[] => {
    const own = candidates
      .filter(({ candidate }) => candidate.plans.length === 1 && candidate.plans[0]?.plan === plan.id)
      .filter(({ result }) => result.unknown.length === 0)
      .sort((a, b) => Number(b.result.usable) - Number(a.result.usable) || decimal(a.result.total).cmp(b.result.total));
    return own[0] ? [{ plan, candidate: own[0].candidate, result: own[0].result }] : [];
  });
  return rungs.sort((a, b) => ofBuckets(a.result, PLAN_BUCKETS).cmp(ofBuckets(b.result, PLAN_BUCKETS)));
}

/** What buckets of a candidate's costs come to, base currency, over the horizon. */
export function ofBuckets({ buckets }: CandidateResult, which: readonly Bucket[]): Decimal {
  return sum(which.map((bucket) => decimal(buckets[bucket] ?? '0')));
}

import type { DecisionFile } from '../decision-file/schema';

/** A decision file with every plan paid so many months at a time; the same combination stands in it once. */
export function paidBy(file: DecisionFile, months: number): DecisionFile {
  const plans = new Map(file.offers.flatMap((offer) => offer.plans.map((plan) => [plan.id, plan])));
  const seen = new Set<string>();
  const candidates = file.candidates.flatMap((candidate) => {
    const terms = candidate.plans.map(({ plan }) => ({ plan, term: plans.get(plan)?.terms.find((term) => term.months === months)?.id }));
    const chosen = terms.flatMap(({ plan, term }) => (term === undefined ? [] : [{ plan, term }]));
    const { id, label: _label, ...rest } = { ...candidate, plans: chosen };
    const key = JSON.stringify(rest);
    if (chosen.length < candidate.plans.length || seen.has(key)) return [];
    seen.add(key);
    return [{ ...candidate, id, plans: chosen }];
  });
  return { ...file, candidates };
}

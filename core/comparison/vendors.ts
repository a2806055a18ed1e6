import type { DecisionFile } from '../decision-file/schema';

/** By candidate, what it has in common with others of the same vendor: the offers of its plans, and what is put together beside them. */
export function vendorsOf({ offers, candidates }: Pick<DecisionFile, 'offers' | 'candidates'>): ReadonlyMap<string, string> {
  const offerOf = new Map(offers.flatMap(({ id, plans }) => plans.map((plan) => [plan.id, id] as const)));
  return new Map(
    candidates.map(({ id, plans, extras = [] }) => {
      const used = [...new Set(plans.map(({ plan }) => offerOf.get(plan) ?? plan))].sort();
      const beside = extras.filter(({ features }) => features !== undefined).map(({ label }) => label);
      return [id, JSON.stringify([used, beside.sort()])] as const;
    }),
  );
}

/**
 * Of several in order, the first that is of another vendor than the best: whom its lead is over. The second where all are
 * of one vendor.
 */
export function runnerUpOf<One extends { readonly id: string }>(
  ordered: readonly One[],
  vendors: ReadonlyMap<string, string>,
): One | undefined {
  const [first, second] = ordered;
  return first && (ordered.find(({ id }) => vendors.get(id) !== vendors.get(first.id)) ?? second);
}

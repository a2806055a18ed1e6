import type { DecisionFile } from '../decision-file/schema';
import { termWords } from './term-words';

/** By candidate its name; where several bear the same, with how they are paid, so that sentences stay clear. */
export function distinctLabels({ offers, candidates }: Pick<DecisionFile, 'offers' | 'candidates'>): ReadonlyMap<string, string> {
  const plans = new Map(offers.flatMap((offer) => offer.plans.map((plan) => [plan.id, plan] as const)));
  const times = new Map<string, number>();
  for (const { label } of candidates) times.set(label, (times.get(label) ?? 0) + 1);
  return new Map(
    candidates.map(({ id, label, plans: [first] }) => {
      const term = plans.get(first?.plan ?? '')?.terms.find((one) => one.id === first?.term);
      return [id, term && (times.get(label) ?? 0) > 1 ? `${label}, ${termWords(term.months)}` : label] as const;
    }),
  );
}

import type { DecisionFile } from './schema';

/** By what candidates are compared: what is paid, or what is kept (decision file §8, `by`). */
export type ComparedBy = 'cost' | 'keep';

/** By what a decision compares its candidates: as it asks who is best at which level of sales. */
export function comparedBy({ cheapestAt }: Pick<DecisionFile, 'cheapestAt'>): ComparedBy {
  return cheapestAt?.by ?? 'cost';
}

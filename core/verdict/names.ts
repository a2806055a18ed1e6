import type { DecisionNeed } from '../needs/need-schema';
import { featuresOf, needWords } from '../needs/need-words';
import { withoutFeature } from '../needs/need-words';

/** Names of the features that a decision's needs ask for, as the person calls them. */
export function featureNames(needs: readonly DecisionNeed[]): Record<string, string> {
  return Object.fromEntries(needs.flatMap((need) => (need.without ? [[withoutFeature(need.feature), needWords(need)]] : featuresOf(need).map((feature) => [feature, needWords(need)]))));
}

import type { DecisionNeed } from '../decision/need-schema';
import { featuresOf, needWords, withoutFeature } from '../wording/need-words';

/**
 * Names of the features that a decision's needs ask for, as they complete “if you need …”.
 *
 * @example featureNames([{ feature: 'adverts', level: 'want', without: true }]) // { 'without-adverts': 'to be without adverts' }
 */
export function featureNames(needs: readonly DecisionNeed[]): Record<string, string> {
  return Object.fromEntries(
    needs.flatMap((need) =>
      need.without
        ? [[withoutFeature(need.feature), `to be ${needWords(need)}`]]
        : featuresOf(need).map((feature) => [feature, needWords(need).replace(/^connects /, 'a connection ')]),
    ),
  );
}

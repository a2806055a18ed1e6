import type { Scenario } from '#core/decision/what-if-schema';
import type { ScenarioOutcome } from '#core/what-if/scenarios';
import { COMPARED_WORDS, type ComparedWords } from '../../locale/compared-words';
import { anyOf } from '../../locale/listed';

/** What is expected, as a scenario to compare others with. */
export const AS_IT_IS: Scenario = { id: 'as-it-is', name: 'As it is', changes: [] };

/**
 * What is shown as long as nobody has kept anything: how a bad and a good year would come out.
 *
 * @param orders - the assumption that all orders are changed by
 */
export function exampleScenarios(orders: string): Scenario[] {
  return [
    { id: 'a-fifth-fewer', name: 'A fifth fewer orders', changes: [{ key: orders, value: '-20' }] },
    { id: 'a-fifth-more', name: 'A fifth more orders', changes: [{ key: orders, value: '20' }] },
  ];
}

export function scenariosSentence(
  outcomes: readonly ScenarioOutcome[],
  scenarios: readonly Scenario[],
  nameOf: (id: string | null) => string,
  compared: ComparedWords = COMPARED_WORDS.cost,
): string {
  const now = outcomes.find(({ id }) => id === AS_IT_IS.id)?.standing?.first ?? null;
  const others = scenarios.filter(({ id }) => {
    const outcome = outcomes.find((one) => one.id === id);
    return outcome && (outcome.standing?.first ?? null) !== now;
  });
  if (others.length === 0) return `${nameOf(now)} ${now === null ? 'can be chosen' : compared.leads} in every scenario.`;
  return `${nameOf(now)} ${compared.leads} as it is, but not in ${anyOf(others.map(({ name }) => `“${name}”`))}.`;
}

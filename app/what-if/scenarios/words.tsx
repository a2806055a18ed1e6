import type { ReactNode } from 'react';
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

export const screen = {
  scenarioScenarios: (scenarios: number) => `Scenario ${scenarios}`,
  aScenario: 'a scenario',
  scenarios: 'Scenarios',
  noScenarioIsKept: 'No scenario is kept yet',
  map: 'map',
  offer: 'offer',
  lookAtAPoint: (map: ReactNode, offer: ReactNode) => (
    <>
      Look at a point of the {map}, a turning point, or the comparison without an {offer}, and keep it under a name; or begin one here.
      Scenarios are compared with what you expect, and can become it.
    </>
  ),
  twoExamplesToKeep: (outcomes: string) => `${outcomes} Two examples, to keep or to leave:`,
  scenario: 'Scenario',
  salesAMonth: 'Sales a month',
  cheapest: 'Cheapest',
  total: 'Total',
  aheadOf: 'Ahead of',
  by: (name: string, margin: string) => `${name}, by ${margin}`,
  salesOfAMonth: (sales: string) => `Sales of ${sales} a month, as tried`,
  beginAScenario: 'Begin a scenario',
  theScenario: 'The scenario',
  amountsAreInOver: (currency: string, months: string) => `Amounts are in ${currency}, over ${months} months.`,
  chooseAScenarioToChange: (scenarios: ReactNode) => <>Choose a scenario to change what it assumes, or to take it over. {scenarios}</>,
  somethingThatIsNotThere: 'something that is not there any more',
  aSpecialOffer: 'a special offer',
  specialOffers: (off: number) => `${off} special offers`,
  without: (aSpecialOffer: string) => `without ${aSpecialOffer}`,
  keep: (scenario: string) => `Keep “${scenario}”`,
  keepIt: 'Keep it',
  noCandidateCanBeChosen: 'no candidate can be chosen',
  theScenarioNext: (next: string) => `the scenario ${next}`,
  name: 'Name',
  notThereAnyMore: 'Not there any more',
  aNumber: 'a number',
  asItIs: 'as it is',
  somethingItAssumesIsAbout: 'Something it assumes is about a stream or quantity that is not there any more, and counts for nothing.',
  assumeOtherwise: 'Assume otherwise',
  choose: 'choose …',
  asForecast: (scenario: string) => `${scenario} as forecast`,
  applyToMyForecast: 'Apply to my forecast',
  removed: (scenario: string) => `${scenario} removed`,
  remove: 'Remove',
  pricesAndOffersStay: 'Prices and offers stay as the price sheets state them: enter a price there once you know it.',
  applyingItChangesYourExpected: (prices: ReactNode) => (
    <>Applying it changes your expected sales, rates and the value of your time; undo takes it back. {prices}</>
  ),
};

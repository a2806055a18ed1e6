import { priceDecision } from '../comparison/decision-result';
import { averageMonth, type AverageMonth } from '../comparison/average-sales';
import type { Decision } from '../decision/decision-schema';
import type { DecisionFile } from '../decision-file/schema';
import { isAbout, keyParts, withChange, withChanges } from './changes';
import { type Lead, leadIn, withoutOffers } from './offers';
import type { Scenario } from '../decision/what-if-schema';

/** A scenario as it comes out. */
export interface ScenarioOutcome {
  readonly id: string;
  readonly average: AverageMonth;
  /** Who is cheapest in it, and by how much; null for nobody. */
  readonly standing: Lead | null;
  /** Every candidate's total, base currency; a lower bound where a price is not known. */
  readonly totals: ReadonlyArray<{
    readonly candidate: string;
    readonly total: string;
    readonly usable: boolean;
    readonly atLeast: boolean;
  }>;
  /** Changes that are about something the decision does not have any more. */
  readonly idle: readonly string[];
}

/** A decision file as a scenario has it. */
export function inScenario(file: DecisionFile, { changes, offersOff = [] }: Pick<Scenario, 'changes' | 'offersOff'>): DecisionFile {
  return withChanges(withoutOffers(file, offersOff), changes);
}

/** What a scenario comes to, exactly. */
export function scenarioOutcome(file: DecisionFile, scenario: Scenario): ScenarioOutcome {
  const changed = inScenario(file, scenario);
  const priced = priceDecision(changed);
  return {
    id: scenario.id,
    average: averageMonth(changed, priced.result),
    standing: leadIn(priced),
    totals: priced.result.candidates.map(({ id, total, usable, unknown }) => ({
      candidate: id,
      total,
      usable,
      atLeast: unknown.length > 0,
    })),
    idle: scenario.changes.filter(({ key }) => !isAbout(file.forecast, key)).map(({ key }) => key),
  };
}

/** A decision whose own forecast, rates and hour value are what a scenario assumes; prices stay what the sheets say. */
export function withScenarioTakenOver(decision: Decision, scenario: Scenario): Decision {
  return scenario.changes
    .filter(({ key }) => keyParts(key)[0] !== 'price')
    .reduce((changed, change) => withChange(changed, change), decision);
}

/** A decision with one more scenario, or with one of the same id replaced. */
export function withScenario(decision: Decision, scenario: Scenario): Decision {
  const { scenarios = [] } = decision.whatIf ?? {};
  const others = scenarios.filter(({ id }) => id !== scenario.id);
  const at = scenarios.findIndex(({ id }) => id === scenario.id);
  return {
    ...decision,
    whatIf: {
      ...decision.whatIf,
      scenarios: at < 0 ? [...others, scenario] : scenarios.map((one) => (one.id === scenario.id ? scenario : one)),
    },
  };
}

/** A decision without one of its scenarios. */
export function withoutScenario(decision: Decision, id: string): Decision {
  return { ...decision, whatIf: { ...decision.whatIf, scenarios: (decision.whatIf?.scenarios ?? []).filter((one) => one.id !== id) } };
}

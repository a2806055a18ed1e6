import { againstForecast } from '../afterwards/against-forecast';
import { moveNow } from '../afterwards/move-now';
import { type ChanceAsked, chanceWork } from '../chance/chance-answer';
import { type WaitingAsked, waitingWork } from '../chance/waiting';
import type { Used } from '../dates/date-that-matters';
import type { Actuals } from '../decision/actuals-schema';
import type { Investment } from '../decision/investment-schema';
import type { OwnWay, Scenario } from '../decision/what-if-schema';
import type { DecisionFile } from '../decision-file/schema';
import type { MovingCosts } from '../route/moving-costs';
import { type VerdictAsked, verdictBasis } from '../verdict/basis';
import { pairBreakEvens } from '../what-if/break-evens';
import { judgeInvestment } from '../what-if/investment';
import { comesWith } from '../what-if/comes-with';
import { creditPays } from '../what-if/credit-pays';
import { type CheapestMap, COARSE, FINE, type MapAxis, mapWork } from '../what-if/map';
import { lookAtOffers } from '../what-if/offers';
import { payingAhead } from '../what-if/paying-ahead';
import type { RoutePlanner } from '../what-if/route-plan';
import { scenarioOutcome } from '../what-if/scenarios';
import { stepsUp } from '../what-if/steps-up';
import { type TurnsFinder, type TurnsIt, type Varied } from '../what-if/turns-it';

/** A decision that questions are asked about; what several of them need is prepared once. */
export interface AskedDecision {
  readonly file: DecisionFile;
  planner(): RoutePlanner;
  turns(): TurnsFinder;
}

/** Works out an answer piece by piece, so that a newer question can overtake it. */
export interface AnswerWork<Answer> {
  /** Does the next piece. The answer so far can be shown already where there is one. */
  next(): { readonly done: boolean; readonly answer: Answer | null; readonly progress: number };
}

/** How a kind of question is answered. */
interface QuestionKind<Asked, Answer> {
  begin(decision: AskedDecision, asked: Asked): AnswerWork<Answer>;
}

/** What is answered in one piece. */
function atOnce<Asked, Answer>(answer: (decision: AskedDecision, asked: Asked) => Answer): QuestionKind<Asked, Answer> {
  return { begin: (decision, asked) => ({ next: () => ({ done: true, answer: answer(decision, asked), progress: 1 }) }) };
}

/** Everything that can be asked about a decision: a line each, and the types of question and answer follow from it. */
export const QUESTION_KINDS = {
  'break-even': atOnce(({ file }, _asked: object) => pairBreakEvens(file)),
  map: { begin: ({ file }, asked: { readonly x: MapAxis; readonly y: MapAxis }) => mapInPieces(file, asked) },
  route: atOnce(({ planner }, { moving }: { readonly moving: MovingCosts }) => planner().plan(moving)),
  'own-ways': atOnce(({ planner }, { ways, moving }: { readonly ways: readonly OwnWay[]; readonly moving: MovingCosts }) =>
    planner().own(ways, moving),
  ),
  turns: { begin: ({ turns }, { varied }: { readonly varied: readonly Varied[] }) => turnsInPieces(turns(), varied) },
  chance: { begin: ({ file }, asked: ChanceAsked) => chanceWork(file, asked) },
  waiting: { begin: ({ file }, asked: WaitingAsked) => waitingWork(file, asked) },
  steps: atOnce(({ file }, _asked: object) => stepsUp(file)),
  'comes-with': atOnce(({ file }, _asked: object) => comesWith(file)),
  'credit-pays': atOnce(({ file }, _asked: object) => creditPays(file)),
  paying: atOnce(({ file }, _asked: object) => payingAhead(file)),
  offers: atOnce(({ file }, { off }: { readonly off: readonly string[] }) => lookAtOffers(file, off)),
  investment: atOnce(({ file }, { investment }: { readonly investment: Investment }) => judgeInvestment(file, investment)),
  verdict: atOnce(({ file }, { verdict }: { readonly verdict: VerdictAsked }) => verdictBasis(file, verdict)),
  afterwards: atOnce(
    ({ file }, { used, actuals, moving }: { readonly used: readonly Used[]; readonly actuals: Actuals; readonly moving: MovingCosts }) => ({
      against: againstForecast(file, used, actuals),
      advice: moveNow(file, used, actuals, moving),
    }),
  ),
  scenarios: atOnce(({ file }, { scenarios }: { readonly scenarios: readonly Scenario[] }) =>
    scenarios.map((scenario) => scenarioOutcome(file, scenario)),
  ),
} satisfies Record<string, QuestionKind<never, unknown>>;

export type WhatIfKind = keyof typeof QUESTION_KINDS;
/** What a question says beside its kind. */
export type AskedOf<Kind extends WhatIfKind> = Parameters<(typeof QUESTION_KINDS)[Kind]['begin']>[1];
export type AnswerOf<Kind extends WhatIfKind> =
  ReturnType<(typeof QUESTION_KINDS)[Kind]['begin']> extends AnswerWork<infer Answer> ? Answer : never;

/** One assumption after the other; those whose range is as it was are there already. */
function turnsInPieces(finder: TurnsFinder, varied: readonly Varied[]): AnswerWork<TurnsIt> {
  return {
    next() {
      const isLeft = finder.next(varied);
      return { done: !isLeft, answer: isLeft ? null : finder.found(varied), progress: isLeft ? 0 : 1 };
    },
  };
}

/** First a coarse map, all of it; then the fine one, line by line. */
function mapInPieces(file: DecisionFile, { x, y }: { readonly x: MapAxis; readonly y: MapAxis }): AnswerWork<CheapestMap> {
  const coarse = mapWork(file, x, y, COARSE);
  const fine = mapWork(file, x, y, FINE);
  let isCoarse = true;
  let lines = 0;
  return {
    next() {
      if (isCoarse) {
        isCoarse = coarse.next();
        return { done: false, answer: isCoarse ? null : coarse.map, progress: 0 };
      }
      lines++;
      const isLeft = fine.next();
      return { done: !isLeft, answer: isLeft ? null : fine.map, progress: lines / FINE.rows };
    },
  };
}

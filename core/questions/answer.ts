import type { Actuals } from '../decision/actuals-schema';
import { type AgainstForecast, againstForecast } from '../afterwards/against-forecast';
import { type MoveAdvice, moveNow } from '../afterwards/move-now';
import type { Used } from '../dates/date-that-matters';
import type { DecisionFile } from '../decision-file/schema';
import { type PairBreakEven, pairBreakEvens } from '../what-if/break-evens';
import { type InvestmentJudged, judgeInvestment } from '../what-if/investment';
import type { Investment } from '../decision/investment-schema';
import { type CheapestMap, COARSE, FINE, type MapAxis, mapWork } from '../what-if/map';
import { lookAtOffers, type OffersLookedAt } from '../what-if/offers';
import { type PayingAhead, payingAhead } from '../what-if/paying-ahead';
import { type RoutePlan, type RoutePlanner, routePlanner } from '../what-if/route-plan';
import { type MovingCosts } from '../route/moving-costs';
import { type ScenarioOutcome, scenarioOutcome } from '../what-if/scenarios';
import { type TurnsIt, turnsIt, type Varied } from '../what-if/turns-it';
import { verdictBasis, type VerdictAsked, type VerdictBasis } from '../verdict/basis';
import type { Scenario } from '../decision/what-if-schema';

/** What can be asked, and what is answered to it. */
export interface WhatIfAnswers {
  'break-even': { asked: object; answer: readonly PairBreakEven[] };
  map: { asked: { readonly x: MapAxis; readonly y: MapAxis }; answer: CheapestMap };
  route: { asked: { readonly moving: MovingCosts }; answer: RoutePlan };
  turns: { asked: { readonly varied: readonly Varied[] }; answer: TurnsIt };
  paying: { asked: object; answer: readonly PayingAhead[] };
  offers: { asked: { readonly off: readonly string[] }; answer: OffersLookedAt };
  investment: { asked: { readonly investment: Investment }; answer: InvestmentJudged | null };
  verdict: { asked: { readonly verdict: VerdictAsked }; answer: VerdictBasis };
  afterwards: {
    asked: { readonly used: readonly Used[]; readonly actuals: Actuals; readonly moving: MovingCosts };
    answer: { readonly against: AgainstForecast; readonly advice: MoveAdvice | null };
  };
  scenarios: { asked: { readonly scenarios: readonly Scenario[] }; answer: readonly ScenarioOutcome[] };
}

export type WhatIfKind = keyof WhatIfAnswers;

/** A question about a decision. */
export type WhatIfQuestion = { [Kind in WhatIfKind]: { readonly kind: Kind } & WhatIfAnswers[Kind]['asked'] }[WhatIfKind];

/** Any answer. */
export type WhatIfAnswer = WhatIfAnswers[WhatIfKind]['answer'];

/** Works out an answer piece by piece, so that a newer question can overtake it. */
export interface AnswerWork {
  /** Does the next piece. The answer so far can be shown already where there is one. */
  next(): { readonly done: boolean; readonly answer: WhatIfAnswer | null; readonly progress: number };
}

/** Answers questions about one decision; what several of them need is prepared once. */
export interface WhatIfAnswerer {
  begin(question: WhatIfQuestion): AnswerWork;
}

/** Prepares answers about a decision; the same in a worker and on the server. */
export function whatIfAnswerer(file: DecisionFile): WhatIfAnswerer {
  let planner: RoutePlanner | undefined;
  const whole = (answer: () => WhatIfAnswer): AnswerWork => ({ next: () => ({ done: true, answer: answer(), progress: 1 }) });
  return {
    begin(question) {
      switch (question.kind) {
        case 'break-even':
          return whole(() => pairBreakEvens(file));
        case 'map':
          return mapInPieces(file, question.x, question.y);
        case 'route':
          return whole(() => (planner ??= routePlanner(file)).plan(question.moving));
        case 'turns':
          return whole(() => turnsIt(file, question.varied));
        case 'paying':
          return whole(() => payingAhead(file));
        case 'offers':
          return whole(() => lookAtOffers(file, question.off));
        case 'investment':
          return whole(() => judgeInvestment(file, question.investment));
        case 'verdict':
          return whole(() => verdictBasis(file, question.verdict));
        case 'afterwards': {
          const { used, actuals, moving } = question;
          return whole(() => ({ against: againstForecast(file, used, actuals), advice: moveNow(file, used, actuals, moving) }));
        }
        case 'scenarios':
          return whole(() => question.scenarios.map((scenario) => scenarioOutcome(file, scenario)));
      }
    },
  };
}

/** A whole answer at once. */
export function answerWhatIf(file: DecisionFile, question: WhatIfQuestion): WhatIfAnswer {
  const work = whatIfAnswerer(file).begin(question);
  for (;;) {
    const { done, answer } = work.next();
    if (done && answer !== null) return answer;
    if (done) throw new Error(`There is no answer to ${question.kind}`);
  }
}

/** First a coarse map, all of it; then the fine one, line by line. */
function mapInPieces(file: DecisionFile, x: MapAxis, y: MapAxis): AnswerWork {
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

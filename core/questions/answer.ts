import type { DecisionFile } from '../decision-file/schema';
import { type RoutePlanner, routePlanner } from '../what-if/route-plan';
import { type TurnsFinder, turnsFinder } from '../what-if/turns-it';
import { type AnswerOf, type AnswerWork, type AskedDecision, type AskedOf, QUESTION_KINDS, type WhatIfKind } from './kinds';

/** A question about a decision. */
export type WhatIfQuestion = { [Kind in WhatIfKind]: { readonly kind: Kind } & AskedOf<Kind> }[WhatIfKind];

/** Any answer; null where a question has none. */
export type WhatIfAnswer = AnswerOf<WhatIfKind>;

/** Answers questions about one decision; what several of them need is prepared once. */
export interface WhatIfAnswerer {
  begin(question: WhatIfQuestion): AnswerWork<WhatIfAnswer>;
}

/** Prepares answers about a decision; the same in a worker and on the server. */
export function whatIfAnswerer(file: DecisionFile): WhatIfAnswerer {
  let planner: RoutePlanner | undefined;
  let turns: TurnsFinder | undefined;
  const decision: AskedDecision = {
    file,
    planner: () => (planner ??= routePlanner(file)),
    turns: () => (turns ??= turnsFinder(file)),
  };
  return {
    begin: (question) => {
      // A question and its kind belong together, which the compiler cannot follow through the registry.
      const { begin } = QUESTION_KINDS[question.kind] as { begin(of: AskedDecision, asked: WhatIfQuestion): AnswerWork<WhatIfAnswer> };
      return begin(decision, question);
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

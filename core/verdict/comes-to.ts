import { priceDecision, type PricedDecision } from '../comparison/decision-result';
import { type LineUp, lineUp } from '../comparison/line-up';
import { assembleToPrice } from '../assembly/assemble-to-price';
import type { Workbench } from '../decision/workbench';
import type { Choice } from '../decision/verdict-schema';
import { followedNow } from '../proposals/followed-now';
import { USUAL_MOVING } from '../route/moving-costs';
import { routePlanner } from '../what-if/route-plan';
import { type Chosen, chosenNow } from './give';

/** A decision as it stands, with what it comes to. */
export interface ComesTo {
  readonly workbench: Workbench;
  readonly priced: PricedDecision;
  readonly lineUp: LineUp;
}

/** Prices a decision as it stands: candidates that follow a proposal are made of what is proposed now. */
export function comesTo(given: Workbench): ComesTo {
  const workbench = followedNow(given);
  const priced = priceDecision(assembleToPrice(workbench).file);
  return { workbench, priced, lineUp: lineUp(priced) };
}

/** What a choice comes to there; a way through the horizon is worked out for it. See {@link chosenNow}. */
export function chosenThere(of: ComesTo, choice: Choice): Chosen | null {
  const { file } = of.priced.pricing;
  const route =
    choice.kind === 'route' && file.candidates.length > 0
      ? routePlanner(file).plan(of.workbench.decision.whatIf?.moving ?? USUAL_MOVING)
      : null;
  return chosenNow({ ...of, basis: { route } }, choice);
}

import type { ComparedBy } from '../decision-file/compared-by';
import { type DecisionResult, priceDecision } from '../comparison/decision-result';
import type { DecisionFile } from '../decision-file/schema';
import { type Proposal, proposals } from '../proposals/propose';
import { askedWays, type BestWay, type Way } from '../proposals/ways';
import { cheapestRoute, type Route } from '../route/cheapest-route';
import { compileCandidates } from '../scales/compile';
import type { CompiledCandidate } from '../scales/compiled-candidate';
import { type BreakEven, breakEvens, type CheapestAt, cheapestAt } from './scale-questions';

/** The result of a decision file with the answers to what it asks (decision file §7 to §10). */
export interface AnsweredDecision extends DecisionResult {
  breakEven?: BreakEven[];
  cheapestAt?: CheapestAt[];
  route?: Route | null;
  proposals?: Array<Proposal & { way?: Way | null }>;
  bestWay?: BestWay | null;
}

/**
 * Answers everything a decision file asks: the totals, and where it asks for them break-evens and who is cheapest
 * at which scale, the cheapest route, and proposals (decision file §7 to §10).
 */
export function answerDecision(file: DecisionFile): AnsweredDecision {
  const { pricing, result } = priceDecision(file);
  const known = new Map<ComparedBy, readonly CompiledCandidate[]>();
  const compiled = (by: ComparedBy) => {
    const found = known.get(by) ?? compileCandidates(pricing, by);
    known.set(by, found);
    return found;
  };
  const breakEven = breakEvens(pricing, compiled);
  const cheapest = cheapestAt(pricing, compiled);
  const route = cheapestRoute(pricing);
  const proposed = proposals(pricing);
  const ways = proposed && askedWays(pricing, proposed);
  return {
    ...result,
    ...(breakEven ? { breakEven } : {}),
    ...(cheapest ? { cheapestAt: cheapest } : {}),
    ...(route === undefined ? {} : { route }),
    ...(proposed ? { proposals: ways ? proposed.map((one, index) => ({ ...one, way: ways.ofOffers[index] ?? null })) : proposed } : {}),
    ...(ways?.best === undefined ? {} : { bestWay: ways.best }),
  };
}

import { type Decimal, decimal, ZERO } from '../amount/decimal';
import type { Candidate } from '../decision-file/candidate-schema';
import { priceCandidate } from './candidate-result';
import type { PricedDecision } from './decision-result';

/** The answer is told in so many parts of a percent. */
const STEPS = 10;

/**
 * The lift of a candidate from which on it leaves more than another one, all else as it is: below it, the other does.
 *
 * What is left grows almost evenly with the lift, so that the place where it passes the other's is found by the rule of
 * three and looked at from both sides; where limits or least fees bend it, the rest is halved. Every typed figure asks
 * for this: a pricing of a candidate takes milliseconds.
 *
 * @param priced - at the forecast
 * @param id - a candidate that leaves more with the lift it has
 * @returns percent, 1 place, rounded up so that it still leaves more there; null where it needs no lift, or has none
 * @example liftThatTurns(priced, 'designer', 'wharfside') // '8.4'
 */
export function liftThatTurns({ pricing, result }: Pick<PricedDecision, 'pricing' | 'result'>, id: string, against: string): string | null {
  const one = pricing.file.candidates.find((candidate) => candidate.id === id);
  const keepOf = (wanted: string) => result.candidates.find((candidate) => candidate.id === wanted)?.keep;
  const [kept, bar] = [keepOf(id), keepOf(against)];
  if (!one || kept === undefined || bar === undefined) return null;
  const stated = decimal(percentOf(one));
  if (stated.lte(0) || decimal(kept).lte(bar)) return null;
  const keepWith = (percent: Decimal) => decimal(priceCandidate(pricing, withLift(one, percent.toFixed())).result.keep);
  const without = keepWith(ZERO);
  if (without.gt(bar)) return null;
  const leavesMore = (step: number) => keepWith(decimal(step).div(STEPS)).gt(bar);
  const last = stated.times(STEPS).ceil().toNumber();
  const guess = stated.times(STEPS).times(decimal(bar).minus(without)).div(decimal(kept).minus(without)).ceil().toNumber();
  // It does not leave more at the lower end, and does at the upper one, which is what is stated.
  let [below, above] = [0, last];
  const look = (step: number) => {
    if (step <= below || step >= above) return;
    if (leavesMore(step)) above = step;
    else below = step;
  };
  look(guess);
  look(above === guess ? guess - 1 : guess + 1);
  while (above - below > 1) look(Math.floor((below + above) / 2));
  return above === last ? stated.toFixed() : decimal(above).div(STEPS).toFixed();
}

function percentOf({ lift = '0' }: Candidate): string {
  return typeof lift === 'object' ? lift.percent : lift;
}

function withLift(candidate: Candidate, percent: string): Candidate {
  return { ...candidate, lift: typeof candidate.lift === 'object' ? { ...candidate.lift, percent } : percent };
}

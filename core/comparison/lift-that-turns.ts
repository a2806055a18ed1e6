import { decimal, Decimal } from '../amount/decimal';
import type { Candidate } from '../decision-file/candidate-schema';
import type { DecisionFile } from '../decision-file/schema';
import { preparePricing } from '../pricing/pricing';
import { priceCandidate } from './candidate-result';

const HALVINGS = 20;
const PLACES = 1;

/**
 * The lift of a candidate from which on it leaves more than another one, all else as it is: below it, the other does.
 *
 * @param id - a candidate that leaves more with the lift it has
 * @returns percent, 1 place, rounded up so that it still leaves more there; null where it needs no lift, or has none
 * @example liftThatTurns(file, 'designer', 'wharfside') // '8.4'
 */
export function liftThatTurns(file: DecisionFile, id: string, against: string): string | null {
  const pricing = preparePricing(file);
  const find = (wanted: string) => file.candidates.find((candidate) => candidate.id === wanted);
  const [one, other] = [find(id), find(against)];
  if (!one || !other) return null;
  const stated = decimal(percentOf(one));
  if (stated.lte(0)) return null;
  const bar = decimal(priceCandidate(pricing, other).result.keep);
  const leavesMore = (percent: Decimal) => decimal(priceCandidate(pricing, withLift(one, percent.toFixed())).result.keep).gt(bar);
  if (!leavesMore(stated) || leavesMore(decimal('0'))) return null;
  let [below, above] = [decimal('0'), stated];
  for (let step = 0; step < HALVINGS; step++) {
    const middle = below.plus(above).div(2).toDecimalPlaces(8);
    if (leavesMore(middle)) above = middle;
    else below = middle;
  }
  return Decimal.min(above.toDecimalPlaces(PLACES, Decimal.ROUND_UP), stated).toFixed();
}

function percentOf({ lift = '0' }: Candidate): string {
  return typeof lift === 'object' ? lift.percent : lift;
}

function withLift(candidate: Candidate, percent: string): Candidate {
  return { ...candidate, lift: typeof candidate.lift === 'object' ? { ...candidate.lift, percent } : percent };
}

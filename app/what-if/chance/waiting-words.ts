import type { Beginning, Waited, WaitingAnswer } from '#core/chance/waiting';
import type { Writer } from '../../locale/writer';
import { isBeyondMeasure, ofHundred } from './words';

/** Less than this is nothing, in whole units of money. */
const LEAST = 0.5;

/** A candidate, paid by the month where that is meant. */
export function beginningWords({ candidate, isByMonth }: Beginning, nameOf: (id: string) => string): string {
  return isByMonth ? `${nameOf(candidate)} by the month` : nameOf(candidate);
}

/** Whether to choose now, or to begin with something and decide later, and what that saves. */
export function waitingSentence(
  { now, waits, best }: WaitingAnswer,
  nameOf: (id: string) => string,
  write: Writer,
  month: (index: number) => string,
): string {
  if (!now) return 'There is nothing to wait for: no candidate can be used in nearly all of these futures.';
  const wait = best === null ? undefined : waits[best];
  const chosen = beginningWords(now, nameOf);
  if (!wait) return `Nothing here can be paid by the month, so there is nothing to wait with: choose ${chosen} now.`;
  const begin = beginningWords(wait.begin, nameOf);
  const saved = Number(wait.saves);
  if (isBeyondMeasure(wait.saves)) return 'These futures lie too far apart to say what waiting is worth.';
  if (saved <= -LEAST)
    return `Waiting does not pay: to begin with ${begin} and decide in ${month(wait.months)} costs ${write.amount(String(-saved))} more on average than choosing ${chosen} now.`;
  if (saved < LEAST) return `Waiting is worth nothing: ${chosen} now is as good as anything you could decide later.`;
  const decide = `decide in ${month(wait.months)}, after ${wait.months === 1 ? 'one month' : `${wait.months} months`}`;
  const beside = sameBeginning(wait.begin, now) ? 'staying with it whatever happens' : `choosing ${chosen} now`;
  return `Begin with ${begin}, and ${decide}: that saves ${write.amount(wait.saves)} on average beside ${beside}${becauseWords(wait, write)}.`;
}

function becauseWords({ saves, bySeeing }: Waited, write: Writer): string {
  const [all, seen] = [Number(saves), Number(bySeeing)];
  if (seen < LEAST) return '; it comes from the move alone, not from what you’ll have seen by then';
  if (all - seen < LEAST) return ', because you’ll have seen by then how it sells';
  return `, ${write.amount(bySeeing)} of it because you’ll have seen by then how it sells`;
}

function sameBeginning(a: Beginning, b: Beginning): boolean {
  return a.candidate === b.candidate && a.isByMonth === b.isByMonth;
}

/** What deciding then saves, or costs more. */
export function savesWords(amount: string, write: Writer): string {
  const value = Number(amount);
  if (Math.abs(value) < LEAST) return 'nothing';
  if (isBeyondMeasure(amount)) return 'beyond measure';
  return value < 0 ? `costs ${write.amount(String(-value))} more` : write.amount(amount);
}

/** In how many futures one then goes on with something else, or pays otherwise. */
export function switchWords(part: number): string {
  if (part === 0) return 'never';
  return part === 1 ? 'always' : `in ${ofHundred(part)}`;
}

import type { ReactNode } from 'react';
import type { Assumption } from '#core/what-if/assumption';
import type { TurningPoint, TurnsIt } from '#core/what-if/turns-it';
import type { Writer } from '../../locale/writer';
import { changeWords } from '../assumption-words';
import { COMPARED_WORDS, type ComparedWords } from '../../locale/compared-words';

/** "Marlpit Grow is ahead of Wharfside Trade by 205. It turns with “Orders, all streams”: from +17.1% Wharfside Trade is cheapest." */
export function turnsSentence(
  { first, second, gap, turns }: TurnsIt,
  find: (key: string) => Assumption | undefined,
  nameOf: (id: string | null) => string,
  write: Writer,
  compared: ComparedWords = COMPARED_WORDS.cost,
): string {
  const ahead =
    second !== null && gap !== null
      ? `${nameOf(first)} is ahead of ${nameOf(second)} by ${write.amount(gap)}.`
      : `${nameOf(first)} is the only one that can be chosen.`;
  const turning = turns.flatMap((turn) => {
    const assumption = find(turn.key);
    const points = [turn.below, turn.above].flatMap((point) => (point ? [point] : []));
    return assumption ? points.map((point) => ({ assumption, point })) : [];
  });
  const [strongest] = turning;
  if (!strongest) return `${ahead} Nothing turns that, over the ranges stated.`;
  const others = new Set(turning.map(({ assumption }) => assumption.key)).size - 1;
  return `${ahead} It turns with “${strongest.assumption.label}”: ${turningWords(strongest.assumption, strongest.point, nameOf, write, compared)}${others > 0 ? `; ${others} more ${others === 1 ? 'assumption does' : 'assumptions do'} within their ranges` : ''}.`;
}

export function turningWords(
  assumption: Assumption,
  { at, winner }: TurningPoint,
  nameOf: (id: string | null) => string,
  write: Writer,
  compared: ComparedWords = COMPARED_WORDS.cost,
): string {
  const direction = at < assumption.asIs ? 'below' : 'from';
  return `${direction} ${changeWords(assumption, at, write)} ${winner === null ? 'no candidate can be chosen' : `${nameOf(winner)} ${compared.isBest}`}`;
}

/** Why there is no bar to draw: nothing moves the gap, or where it turns there is none, since somebody cannot be chosen there. */
export function noGapWords({ turns }: Pick<TurnsIt, 'turns'>): string {
  return turns.some(({ below, above }) => below ?? above)
    ? 'It turns because somebody can no longer be chosen, not because a gap closes: the table says from where on.'
    : 'Over the ranges stated, nothing moves the gap between the first and the second.';
}

export const screen = {
  whatWouldChangeIt: 'What would change it',
  theGapOfIsSmaller: (gap: string) => `The gap of ${gap} is smaller than that.`,
  tooCloseToCall: (mayWin: string, best: string, gap: ReactNode) => (
    <>
      Too close to call: what is not known could make {mayWin} {best}. {gap}
    </>
  ),
  noOtherCandidateCan: (name: string) =>
    `No other candidate can be chosen, so there is no gap that could be turned; below stands when ${name} itself can no longer be chosen.`,
  assumption: 'Assumption',
  now: 'Now',
  atTheLowerEnd: 'At the lower end',
  atTheUpperEnd: 'At the upper end',
  turnsAt: 'Turns at',
  notInThisRange: 'not in this range',
  theRange: 'The range',
  nowLookedAtOver: (assumption: string) => `Now ${assumption}. Looked at over this range:`,
  oneAssumptionIsVaried:
    'One assumption is varied at a time, all others stay. Values at which the answer turns are exact for unrounded totals, like break-evens.',
  noCandidateCanBeChosen: 'no candidate can be chosen',
  by: (amount: string) => `, by ${amount}`,
  theOnlyOne: 'the only one',
  aheadBy: (gap: string) => `ahead by ${gap}`,
};

export const turnsChart = {
  behindBy: 'behind by',
  aheadBy: 'ahead by',
  howFarIsAhead: (name: string) =>
    `How far ${name} is ahead of the next, at both ends of each range; hatched where it is behind. The dotted line is now.`,
  whatEachAssumptionDoes: 'What each assumption does to the gap between first and second; the figures stand in the table below',
};

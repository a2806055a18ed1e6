import type { ChanceAnswer } from '../chance/chance-answer';
import type { Condition } from '../decision/conditions-schema';
import type { GivenVerdict } from '../decision/verdict-schema';

/** A candidate that comes first in fewer of all futures is not told of. */
const LEAST_TOLD = 0.01;

/** Conditions with those of chance behind the levels of sales: in how many futures which candidate comes first. */
export function withChances(conditions: readonly Condition[], chance: ChanceAnswer | null): Condition[] {
  const told =
    chance === null || chance.isCertain || chance.candidates.length < 2
      ? []
      : chance.candidates
          .filter(({ first }) => first >= LEAST_TOLD)
          .map(({ id, first }): Condition => ({ kind: 'chance', part: first.toFixed(4), winner: id }));
  return [...conditions.filter(({ kind }) => kind === 'sales'), ...told, ...conditions.filter(({ kind }) => kind !== 'sales')];
}

/** What chance says of a choice; nothing of two together, of a way with moves, or where nothing is uncertain. */
export function chanceOfChoice(chance: ChanceAnswer | null, candidates: readonly string[]): GivenVerdict['chance'] {
  const one = candidates.length === 1 ? chance?.candidates.find(({ id, usable }) => id === candidates[0] && usable > 0) : undefined;
  if (!chance || !one || chance.isCertain || chance.candidates.length < 2) return undefined;
  const { first, givesAway, atWorst } = one;
  return { futures: chance.futures, first: first.toFixed(4), givesAway, atWorst };
}

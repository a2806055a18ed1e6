import type { PricedOwnWay, WayObstacle } from '#core/what-if/own-way';
import type { Writer } from '../../../locale/writer';
import { costsWords, movesWords } from './way';

const OBSTACLE_WORDS: Readonly<Record<WayObstacle['kind'], string>> = {
  gone: 'Somebody on this way is no longer compared: choose another.',
  months: 'Each move has to come after the one before, and within the months you plan for.',
  impossible: 'This way is not possible: somebody on it is outgrown, lacks a must, or has a price that is not known in those months.',
};

/** "Begin with Alder and move to Birch in February 2027: 6,912 in all, 73 more than the best throughout." */
export function ownWaySentence(
  { stays, total, kept, worse, obstacle }: PricedOwnWay,
  nameOf: (id: string | null) => string,
  write: Writer,
): string {
  const [first, ...later] = stays;
  if (obstacle) return OBSTACLE_WORDS[obstacle.kind];
  if (!first || total === null) return '';
  const costs = costsWords(total, kept, write);
  return `Begin with ${nameOf(first.candidate)}, ${movesWords(later, nameOf, write)}: ${costs}${againstBest(worse, kept !== null, write)}.`;
}

function againstBest(worse: string | null, isByKeep: boolean, write: Writer): string {
  if (worse === null) return '; nobody can be used throughout';
  if (Number(worse) === 0) return ', the same as the best throughout';
  const apart = write.amount(worse.replace('-', ''));
  const isWorse = Number(worse) > 0;
  if (isByKeep) return `, ${apart} ${isWorse ? 'less left' : 'more left'} than with the best throughout`;
  return `, ${apart} ${isWorse ? 'more' : 'less'} than the best throughout`;
}

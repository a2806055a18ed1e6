import type { ComparedBy } from '#core/decision-file/compared-by';
import type { NearestMove } from '#core/what-if/nearest-move';
import type { PricedOwnWay, WayObstacle } from '#core/what-if/own-way';
import type { RoutePlan } from '#core/what-if/route-plan';
import type { Writer } from '../../locale/writer';

/** "Begin with Brindle Shop and move to Marlpit Grow in April 2028: 6,800 over 36 months, 249 less than Marlpit Grow throughout." */
export function routeSentence(
  { segments, total, kept, single, saving }: RoutePlan,
  nameOf: (id: string | null) => string,
  write: Writer,
): string {
  const [first, ...later] = segments;
  if (!first || total === null) return '';
  const costs = costsWords(total, kept, write);
  if (later.length === 0) return `Moving does not pay: stay with ${nameOf(first.candidate)} throughout, ${costs}.`;
  const moves = movesWords(later, nameOf, write);
  const gain =
    single && saving !== null
      ? `, ${write.amount(saving)} ${kept === null ? 'less' : 'better'} than ${nameOf(single.candidate)} throughout`
      : '; no single candidate can be used throughout';
  return `Begin with ${nameOf(first.candidate)}, ${moves}: ${costs}${gain}.`;
}

/** "The nearest is to begin with Brindle Shop and move to Marlpit Grow in April 2028: 249 more than staying. It would pay if the move cost less than 331." */
export function nearestSentence(
  { segments, more, paysBelow }: NearestMove,
  by: ComparedBy,
  nameOf: (id: string | null) => string,
  write: Writer,
): string {
  const [first, ...later] = segments;
  if (!first) return '';
  const apart = by === 'keep' ? `leaves you ${write.amount(more)} less` : `costs ${write.amount(more)} more`;
  const would =
    paysBelow === null
      ? 'It would not pay even if moving cost nothing.'
      : `It would pay if the move cost less than ${write.amount(paysBelow)}.`;
  return `The nearest is to begin with ${nameOf(first.candidate)} and ${movesWords(later, nameOf, write)}: that ${apart} than staying. ${would}`;
}

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

/** "6,800 in all", or by what is kept "5,460 is kept, 540 paid". */
function costsWords(total: string, kept: string | null, write: Writer): string {
  return kept === null ? `${write.amount(total)} in all` : `${write.amount(kept)} is kept, ${write.amount(total)} paid`;
}

function movesWords(later: RoutePlan['segments'], nameOf: (id: string | null) => string, write: Writer): string {
  return later.map(({ candidate, from }) => `move to ${nameOf(candidate)} in ${write.month(from)}`).join(', then ');
}

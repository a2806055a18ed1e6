import type { ComparedBy } from '#core/decision-file/compared-by';
import type { NearestMove } from '#core/what-if/nearest-move';
import type { RoutePlan } from '#core/what-if/route-plan';
import type { Writer } from '../../../locale/writer';
import { costsWords, movesWords } from './way';

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

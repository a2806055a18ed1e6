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
  const costs = kept === null ? `${write.whole(total)} in all` : `${write.whole(kept)} is kept, ${write.whole(total)} paid`;
  if (later.length === 0) return `Moving does not pay: stay with ${nameOf(first.candidate)} throughout, ${costs}.`;
  const moves = later.map(({ candidate, from }) => `move to ${nameOf(candidate)} in ${write.month(from)}`).join(', then ');
  const gain =
    single && saving !== null
      ? `, ${write.whole(saving)} ${kept === null ? 'less' : 'better'} than ${nameOf(single.candidate)} throughout`
      : '; no single candidate can be used throughout';
  return `Begin with ${nameOf(first.candidate)}, ${moves}: ${costs}${gain}.`;
}

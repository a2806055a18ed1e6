import type { RoutePlan } from '#core/what-if/route-plan';
import type { Writer } from '../../../locale/writer';

/** "6,800 in all", or by what is kept "5,460 is kept, 540 paid". */
export function costsWords(total: string, kept: string | null, write: Writer): string {
  return kept === null ? `${write.amount(total)} in all` : `${write.amount(kept)} is kept, ${write.amount(total)} paid`;
}

/** "move to Marlpit Grow in April 2028, then move to …" */
export function movesWords(later: RoutePlan['segments'], nameOf: (id: string | null) => string, write: Writer): string {
  return later.map(({ candidate, from }) => `move to ${nameOf(candidate)} in ${write.month(from)}`).join(', then ');
}

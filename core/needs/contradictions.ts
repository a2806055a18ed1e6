import { decimal } from '../amount/decimal';
import type { DecisionNeed } from '../decision/need-schema';
import { needKey, needWords } from '../wording/need-words';

/** Two needs that no candidate can meet together. */
export interface Contradiction {
  readonly needs: readonly [DecisionNeed, DecisionNeed];
  /** Whether both are musts, so that nothing can be used. */
  readonly isFatal: boolean;
  readonly words: string;
}

/** Needs that contradict each other: having a thing and being without it. */
export function contradictions(needs: readonly DecisionNeed[]): Contradiction[] {
  return needs
    .filter(({ without }) => without)
    .flatMap((unwanted) => {
      const wanted = needs.find((need) => !need.without && need.feature === unwanted.feature && decimal(need.least ?? '1').gt(0));
      if (!wanted) return [];
      const isFatal = wanted.level === 'must' && unwanted.level === 'must';
      const consequence = isFatal
        ? 'As both are musts, nothing can be used until one of them goes or becomes a want.'
        : 'At most one of them can be met.';
      return [
        {
          needs: [wanted, unwanted] as const,
          isFatal,
          words: `“${needWords(wanted)}” and “${needWords(unwanted)}” contradict each other. ${consequence}`,
        },
      ];
    });
}

/** Needs stated twice: the second one of a kind changes nothing but its weight. */
export function statedTwice(needs: readonly DecisionNeed[]): DecisionNeed[] {
  return needs.filter((need, index) => needs.findIndex((other) => needKey(other) === needKey(need)) !== index);
}

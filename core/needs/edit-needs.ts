import { nameOf, quantityOf } from '../price-phrase/vocabulary';
import type { Decision } from '../decision/decision-schema';
import type { DecisionNeed } from '../decision/need-schema';
import { needKey } from '../wording/need-words';

/** What kind of need somebody states in words. */
export type StatedKind = 'yes-no' | 'at-least' | 'connects' | 'without';

/**
 * A need from the words it was stated with; a want of middling weight until the person says otherwise.
 *
 * @param known - quantities that the forecast states
 * @example newNeed('Gift cards', 'yes-no', []).feature // 'gift-cards'
 */
export function newNeed(words: string, kind: StatedKind, known: readonly string[]): DecisionNeed {
  const label = words.trim();
  const shared = { level: 'want' as const, weight: '3', label };
  switch (kind) {
    case 'yes-no':
      return { ...shared, feature: nameOf(label), kind };
    case 'at-least':
      return { ...shared, feature: quantityOf(label.toLowerCase(), known), kind, least: '2' };
    case 'connects':
      return { level: 'want', weight: '3', feature: nameOf(label), kind, to: label, direction: 'to' };
    case 'without':
      return { ...shared, feature: nameOf(label), kind: 'yes-no', without: true };
  }
}

/** The decision with one more need; the same decision if it is on the list already. */
export function withNeed(decision: Decision, need: DecisionNeed): Decision {
  const { needs = [] } = decision;
  return needs.some((other) => needKey(other) === needKey(need)) ? decision : { ...decision, needs: [...needs, need] };
}

/** The decision with a need changed, or with null taken off the list. */
export function withChangedNeed(decision: Decision, key: string, change: (need: DecisionNeed) => DecisionNeed | null): Decision {
  return { ...decision, needs: (decision.needs ?? []).flatMap((need) => (needKey(need) === key ? (change(need) ?? []) : [need])) };
}

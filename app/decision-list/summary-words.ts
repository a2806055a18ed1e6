import type { DecisionSummary } from '#core/judgement/decision-summary';
import { COMPARED_WORDS } from '../locale/compared-words';
import { listed } from '../locale/listed';
import type { Writer } from '../locale/writer';
import { sinceWords } from '../verdict/verdict-words';

/** A decision's answer: "Wharfside Trade costs least: €6,839 over 24 months, €210 less than the next." */
export function answerWords({ by, leader, total, margin, way, months }: DecisionSummary, write: Writer): string {
  if (leader === null || total === null) return 'No answer yet.';
  if (way) {
    const [first, ...others] = way.parts;
    const moves = others.map(({ label, from }) => `move to ${label} in ${write.month(from)}`);
    return `Begin on ${first?.label ?? ''}, ${listed(moves)}: ${write.amount(way.total)} over ${months} months, ${write.amount(way.less)} less than ${leader} throughout.`;
  }
  const { leads, by: than } = COMPARED_WORDS[by];
  const lead = margin === null ? '' : `, ${write.amount(margin)} ${than} than the next`;
  if (by === 'keep') return `${leader} ${leads} over ${months} months${lead}.`;
  return `${leader} ${leads}: ${write.amount(total)} over ${months} months${lead}.`;
}

/** How its verdict stands, or that none was given. */
export function verdictWords({ verdict, candidates }: DecisionSummary, write: Writer): string {
  if (!verdict) return `No verdict yet, ${candidates} ${candidates === 1 ? 'candidate' : 'candidates'}`;
  const { name, on, isTwo, since, comparedBy } = verdict;
  return `Verdict of ${write.day(on)}: ${sinceWords({ what: name, isTwo, comparedBy }, since, write)}`;
}

/** "12 things to find out" */
export function toFindOutWords({ toFindOut }: DecisionSummary): string | null {
  if (toFindOut === 0) return null;
  return `${toFindOut} ${toFindOut === 1 ? 'thing' : 'things'} to find out`;
}

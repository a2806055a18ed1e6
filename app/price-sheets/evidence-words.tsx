import type { Evidence } from '#core/decision/sheet-notes';
import { useWriter } from '../locale/locale';
import { ageWords } from './age-words';

const SURE = { sure: 'sure', likely: 'likely', guess: 'a guess' } as const;

/** What a figure rests on, as a reader takes it in: where, when, by whom, how sure; until when an offer holds. */
export function EvidenceWords({ evidence, figure, today }: { evidence: Evidence; figure: string; today: string }) {
  const write = useWriter();
  const { where, seen, by, sure, until, forWhom, earns, stated, otherwise } = evidence;
  const basis = [
    figure || 'nothing stated',
    where ?? 'source not said',
    seen ? `${write.day(seen)} (${ageWords(seen, today)})` : 'not dated',
    by && `by ${by}`,
    sure && SURE[sure],
  ]
    .filter(Boolean)
    .join(', ');
  return (
    <div className="evidence-words">
      <p>{basis}</p>
      {stated && <p>“{stated}”</p>}
      {otherwise && <p className="is-warning">elsewhere: “{otherwise}”</p>}
      {(until || forWhom) && (
        <p className={until && until < today ? 'is-warning' : ''}>
          {[until && `offer until ${write.day(until)}`, forWhom && `for ${forWhom}`].filter(Boolean).join(', ')}
        </p>
      )}
      {earns && <p className="is-warning">this source earns a commission</p>}
    </div>
  );
}

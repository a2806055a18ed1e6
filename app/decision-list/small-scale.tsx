import type { DecisionSummary } from '#core/judgement/decision-summary';
import { candidateColour } from '../components/candidate-tag';

/** A stretch narrower than this, in percent of the scale, has no room for its letter. */
const LETTER_WIDTH = 4;
/** And narrower than this none for a name. */
const NAME_WIDTH = 24;

/** The sales scale of a decision in small: who is best at which level, and where the forecast stands. */
export function SmallScale({ scale: { from, to, stretches } }: { scale: NonNullable<DecisionSummary['scale']> }) {
  const place = (scale: number) => (100 * Math.log(scale / from)) / Math.log(to / from);
  return (
    <span className="small-scale" aria-hidden="true">
      {stretches.map((one) => {
        const width = place(one.to) - place(one.from);
        return (
          <span
            key={one.from}
            className={one.candidate === null ? 'is-nobody' : ''}
            style={{
              left: `${place(one.from)}%`,
              width: `${width}%`,
              ...(one.candidate ? { '--candidate': candidateColour(one.candidate) } : {}),
            }}
          >
            {width >= LETTER_WIDTH && one.candidate !== null && <b>{one.candidate}</b>} {width >= NAME_WIDTH && one.label}
          </span>
        );
      })}
      <i style={{ left: `${place(1)}%` }} />
    </span>
  );
}

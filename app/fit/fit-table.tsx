import type { FirstPlaces } from '#core/fit/stability';
import { CandidateTag } from '../components/candidate-tag';
import { useWriter } from '../locale/locale';
import { standingWords } from '../proposals/reason-words';
import { useLevel, useWorkbench } from '../workbench/workbench-context';
import type { Weighed } from './use-fit';

interface FitTableViewProps {
  weighed: readonly Weighed[];
  places: readonly FirstPlaces[];
  open: string | null;
  onOpen(candidate: string): void;
}

/** Fit and cost side by side, never mixed into one. */
export function FitTableView({ weighed, places, open, onOpen }: FitTableViewProps) {
  const { state } = useWorkbench();
  const { priced } = useLevel();
  const write = useWriter();
  const { currency } = state.workbench.decision;
  return (
    <table className="fits">
      <thead>
        <tr>
          <th scope="col">Candidate</th>
          <th scope="col">Fit of 100</th>
          <th scope="col">Total</th>
          <th scope="col" title="Over all ways of weighing, how often it fits best">
            First however weighed
          </th>
          <td />
        </tr>
      </thead>
      <tbody>
        {weighed.map((one) => {
          const share = places.find(({ candidate }) => candidate === one.candidate)?.share;
          const result = priced.priced.result.candidates.find(({ id }) => id === one.candidate);
          return (
            <tr key={one.candidate} className={one.isUsable ? '' : 'is-grey'}>
              <th scope="row">
                <CandidateTag id={one.candidate} /> {one.label}
                {!one.isUsable && result && <small className="problem">{standingWords(result, write.month)}</small>}
              </th>
              <td>
                <button
                  type="button"
                  className="figure"
                  aria-expanded={open === one.candidate}
                  aria-label={`Fit of ${one.label}: what it is made of`}
                  onClick={() => onOpen(one.candidate)}
                >
                  {one.most > one.fit + 0.5 && <small className="at-least">at least </small>}
                  {Math.round(one.fit)}
                </button>
                <i className="fit-bar" aria-hidden="true">
                  <i style={{ width: `${one.fit}%` }} />
                  <i className="fit-open" style={{ width: `${one.most - one.fit}%` }} />
                </i>
              </td>
              <td className="fit-cost">
                {one.atLeast && <small className="at-least">at least </small>}
                {write.whole(one.total)} <small>{currency}</small>
              </td>
              <td>{share === undefined ? '–' : `${shareWords(share)} of 100`}</td>
              <td>{one.isUnbeaten && <b className="unbeaten">nobody beats it on both</b>}</td>
            </tr>
          );
        })}
      </tbody>
    </table>
  );
}

/** A share of all weightings as a count out of a hundred. */
export function shareWords(share: number): string {
  const of100 = share * 100;
  if (of100 > 0 && of100 < 1) return 'less than 1';
  return of100 > 99 && of100 < 100 ? 'more than 99' : String(Math.round(of100));
}

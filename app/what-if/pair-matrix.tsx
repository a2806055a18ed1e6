import { nearestPoint, type PairBreakEven } from '#core/what-if/break-evens';
import { CandidateTag } from '../components/candidate-tag';
import { useWriter } from '../locale/locale';
import { useAskedDecision } from './asked-decision';

/** Every pair of candidates: the level of monthly sales nearest to the forecast at which the cheaper one changes. */
export function PairMatrix({
  pairs,
  ids,
  onChoose,
}: {
  pairs: readonly PairBreakEven[];
  ids: readonly string[];
  onChoose(a: string, b: string): void;
}) {
  const { nameOf } = useAskedDecision();
  const write = useWriter();
  const found = new Map(pairs.flatMap((pair) => [[`${pair.a} ${pair.b}`, pair] as const, [`${pair.b} ${pair.a}`, pair] as const]));
  return (
    <div className="wide-scroll" tabIndex={0} role="region" aria-label="Every pair">
      <table className="plain-table pair-matrix">
        <caption className="quiet">
          Sales a month at which the candidate above takes over from the one at the left, or gives way to it; the one that is cheaper above
          that level is named.
        </caption>
        <thead>
          <tr>
            <td />
            {ids.slice(1).map((id) => (
              <th scope="col" key={id} title={nameOf(id)}>
                <CandidateTag id={id} />
                <span className="visually-hidden">{nameOf(id)}</span>
              </th>
            ))}
          </tr>
        </thead>
        <tbody>
          {ids.slice(0, -1).map((a, row) => (
            <tr key={a}>
              <th scope="row">
                <CandidateTag id={a} /> {nameOf(a)}
              </th>
              {ids.slice(1).map((b, column) => {
                const pair = column >= row ? found.get(`${a} ${b}`) : undefined;
                const point = pair && nearestPoint(pair.points);
                if (!pair) return <td key={b} />;
                const always = pair.now === null ? 'same' : `always ${pair.now}`;
                const words = point ? write.whole(point.monthlySales) : always;
                return (
                  <td key={b}>
                    <button type="button" className="figure" title={`${nameOf(a)} and ${nameOf(b)}`} onClick={() => onChoose(a, b)}>
                      {words} {point && <small>then {point.above}</small>}
                    </button>
                  </td>
                );
              })}
            </tr>
          ))}
        </tbody>
      </table>
    </div>
  );
}

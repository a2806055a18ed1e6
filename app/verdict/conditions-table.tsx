import type { Condition } from '#core/decision/conditions-schema';
import { CandidateTag } from '../components/candidate-tag';
import { useWriter } from '../locale/locale';
import { conditionWords, winnerWords } from './verdict-words';

interface ConditionsTableProps {
  conditions: readonly Condition[];
  /** What was chosen: rows that say another are marked. */
  chosen: readonly string[];
  nameOf(id: string | null): string;
}

/** So many stretches of sales are shown around the forecast. */
const MOST_LEVELS = 7;

/** Under which conditions which candidate costs least. */
export function ConditionsTable({ conditions, chosen, nameOf }: ConditionsTableProps) {
  const write = useWriter();
  const figure = (text: string | undefined) => (text === undefined ? '' : write.whole(text));
  return (
    <div className="wide-scroll">
      <table className="plain-table conditions">
        <thead>
          <tr>
            <th scope="col">Condition</th>
            <th scope="col">Costs least</th>
            <th scope="col" className="figure-cell">
              Total
            </th>
            <th scope="col" className="figure-cell">
              Less than the next
            </th>
          </tr>
        </thead>
        <tbody>
          {shownConditions(conditions).map((condition) => {
            const isOther = condition.winner === null || !chosen.includes(condition.winner);
            return (
              <tr key={conditionWords(condition, write)} className={isOther ? 'is-other' : ''}>
                <th scope="row">
                  {conditionWords(condition, write)}
                  {condition.kind === 'sales' && condition.isForecast && <small> your forecast</small>}
                </th>
                <td>
                  {condition.winner !== null && <CandidateTag id={condition.winner} />} {winnerWords(condition, nameOf)}
                </td>
                <td className="figure-cell">{figure(condition.total)}</td>
                <td className="figure-cell">{figure(condition.margin)}</td>
              </tr>
            );
          })}
        </tbody>
      </table>
    </div>
  );
}

/** All but stretches of sales that are far from the forecast. */
export function shownConditions(conditions: readonly Condition[]): Condition[] {
  const levels = conditions.filter(({ kind }) => kind === 'sales');
  const here = levels.findIndex((one) => one.kind === 'sales' && one.isForecast);
  const first = Math.max(0, Math.min(here - Math.floor(MOST_LEVELS / 2), levels.length - MOST_LEVELS));
  return [...levels.slice(first, first + MOST_LEVELS), ...conditions.filter(({ kind }) => kind !== 'sales')];
}

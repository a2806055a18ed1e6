import { type Condition, isOnSheetsOnly } from '#core/decision/conditions-schema';
import { DataTable } from '../components/data-table';
import { CandidateTag } from '../components/candidate-tag';
import { anyOf } from '../locale/listed';
import { useWriter } from '../locale/locale';
import { conditionWords, winnerWords } from './verdict-words';
import { conditionsTable as words } from './words';

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
    <DataTable
      className="conditions"
      rows={shownConditions(conditions)}
      keyOf={(condition) => conditionWords(condition, write)}
      rowClass={({ winner }) => (winner === null || !chosen.includes(winner) ? 'is-other' : '')}
      columns={[
        {
          head: words.condition,
          kind: 'names-row',
          cell: (condition) => (
            <>
              {conditionWords(condition, write)}
              {condition.kind === 'sales' && condition.isForecast && <small> {words.yourForecast}</small>}
            </>
          ),
        },
        {
          head: words.costsLeast,
          cell: (condition) => (
            <>
              {condition.winner !== null && !isOnSheetsOnly(condition.winner) && <CandidateTag id={condition.winner} />}{' '}
              {winnerWords(condition, nameOf)}
            </>
          ),
        },
        { head: words.total, kind: 'figures', cell: ({ total }) => figure(total) },
        { head: words.lessThanTheNext, kind: 'figures', cell: ({ margin }) => figure(margin) },
      ]}
    />
  );
}

/** All but stretches of sales that are far from the forecast; things that are needed or done without with one and the same outcome in one. */
export function shownConditions(conditions: readonly Condition[]): Condition[] {
  const levels = conditions.filter(({ kind }) => kind === 'sales');
  const here = levels.findIndex((one) => one.kind === 'sales' && one.isForecast);
  const first = Math.max(0, Math.min(here - Math.floor(MOST_LEVELS / 2), levels.length - MOST_LEVELS));
  return [...levels.slice(first, first + MOST_LEVELS), ...together(conditions.filter(({ kind }) => kind !== 'sales'))];
}

function together(conditions: readonly Condition[]): Condition[] {
  const outcome = ({ kind, winner, plan, total, margin }: Condition) => JSON.stringify([kind, winner, plan, total, margin]);
  const labels = new Map<string, string[]>();
  for (const one of conditions) if (isOfThing(one)) labels.set(outcome(one), [...(labels.get(outcome(one)) ?? []), one.label]);
  return conditions.flatMap((one): Condition[] => {
    if (!isOfThing(one)) return [one];
    const all = labels.get(outcome(one)) ?? [];
    return all[0] === one.label ? [{ ...one, label: anyOf(all) }] : [];
  });
}

/** Whether a condition is about one thing that is needed, or done without. */
function isOfThing(condition: Condition): condition is Extract<Condition, { kind: 'need' | 'without' }> {
  return condition.kind === 'need' || condition.kind === 'without';
}

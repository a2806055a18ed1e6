import { Button } from 'antd';
import type { FitTable } from '#core/fit/criteria';
import { DataTable } from '../components/data-table';
import { useWriter } from '../locale/locale';
import type { Weighed } from './use-fit';
import { fitMakeUp as words } from './words';

/** What a candidate's fit is made of, criterion by criterion. */
export function FitMakeUp({ table, weighed, onClose }: { table: FitTable; weighed: Weighed; onClose(): void }) {
  const write = useWriter();
  const all = table.criteria.reduce((sum, { weight }) => sum + weight, 0);
  const rows = table.criteria.flatMap((criterion, at) => {
    const part = weighed.parts[at];
    return part ? [{ ...criterion, ...part }] : [];
  });
  const number = (value: number, most = 1) => write.number(String(value), most);
  return (
    <section aria-label={words.makeUpOfTheFit} className="fit-make-up">
      <h2>{weighed.label}</h2>
      <p className="fit-total">{words.of100(weighed.most > weighed.fit + 0.5 ? words.atLeast : '', number(weighed.fit))}</p>
      <p className="quiet">{words.eachCriterionAddsItsPoints(number(all))}</p>
      <DataTable
        hasOwnLook
        frame={null}
        rows={rows}
        keyOf={({ key }) => key}
        rowClass={({ points }) => (points === null ? 'is-not-known' : '')}
        columns={[
          { key: 'criterion', head: null, kind: 'names-row', cell: ({ label }) => label },
          { head: words.points, cell: ({ points }) => (points === null ? '?' : number(points, 0)) },
          { head: words.weight, cell: ({ weight }) => number(weight) },
          { head: words.adds, cell: ({ adds }) => number(adds) },
        ]}
      />
      <Button size="small" onClick={onClose}>
        {words.backToTheWeights}
      </Button>
    </section>
  );
}

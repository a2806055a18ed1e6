import { Button } from 'antd';
import type { FitTable } from '#core/fit/criteria';
import { useWriter } from '../locale/locale';
import type { Weighed } from './use-fit';

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
    <section aria-label="Make-up of the fit" className="fit-make-up">
      <h2>{weighed.label}</h2>
      <p className="fit-total">
        {weighed.most > weighed.fit + 0.5 ? 'at least ' : ''}
        {number(weighed.fit)} of 100
      </p>
      <p className="quiet">
        Each criterion adds its points × its weight ÷ {number(all)}, the sum of all weights. What is not known adds nothing.
      </p>
      <table>
        <thead>
          <tr>
            <td />
            <th scope="col">points</th>
            <th scope="col">weight</th>
            <th scope="col">adds</th>
          </tr>
        </thead>
        <tbody>
          {rows.map(({ key, label, points, weight, adds }) => (
            <tr key={key} className={points === null ? 'is-not-known' : ''}>
              <th scope="row">{label}</th>
              <td>{points === null ? '?' : number(points, 0)}</td>
              <td>{number(weight)}</td>
              <td>{number(adds)}</td>
            </tr>
          ))}
        </tbody>
      </table>
      <Button size="small" onClick={onClose}>
        Back to the weights
      </Button>
    </section>
  );
}

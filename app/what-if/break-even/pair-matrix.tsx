import { nearestPoint, type PairBreakEven } from '#core/what-if/break-evens';
import { CandidateTag } from '../../components/candidate-tag';
import { type Column, DataTable } from '../../components/data-table';
import { useWriter } from '../../locale/locale';
import { useAskedDecision } from '../asked-decision';
import { pairMatrix as words } from './words';

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
  const columns: ReadonlyArray<Column<string>> = [
    {
      key: 'first',
      head: null,
      kind: 'names-row',
      cell: (a) => (
        <>
          <CandidateTag id={a} /> {nameOf(a)}
        </>
      ),
    },
    ...ids.slice(1).map((b, column) => ({
      key: b,
      title: nameOf(b),
      head: (
        <>
          <CandidateTag id={b} />
          <span className="visually-hidden">{nameOf(b)}</span>
        </>
      ),
      cell: (a: string, row: number) => {
        const pair = column >= row ? found.get(`${a} ${b}`) : undefined;
        if (!pair) return null;
        const point = nearestPoint(pair.points);
        const always = pair.now === null ? 'same' : words.always(pair.now);
        return (
          <button type="button" className="figure" title={words.and(nameOf(a), nameOf(b))} onClick={() => onChoose(a, b)}>
            {point ? write.whole(point.monthlySales) : always} {point && <small>{words.then(point.above)}</small>}
          </button>
        );
      },
    })),
  ];
  return (
    <div className="wide-scroll" tabIndex={0} role="region" aria-label={words.everyPair}>
      <DataTable
        columns={columns}
        rows={ids.slice(0, -1)}
        keyOf={(id) => id}
        className="pair-matrix"
        frame={null}
        caption={<caption className="quiet">{words.salesAMonthAtWhich}</caption>}
      />
    </div>
  );
}

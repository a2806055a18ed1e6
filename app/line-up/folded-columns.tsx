import { Button } from 'antd';
import { withOpened } from '#core/comparison/fold';
import { candidateSummary } from '#core/wording/candidate-summary';
import { CandidateTag } from '../components/candidate-tag';
import { DataTable } from '../components/data-table';
import { useWriter } from '../locale/locale';
import { firstReason } from '../proposals/reason-words';
import { useEdits } from '../workbench/use-edits';
import { useWorkbench } from '../workbench/workbench-context';
import type { OpenFigure } from './figure-button';
import { useArranged } from './use-arranged';
import { foldedColumns as words } from './words/folded-columns';

/** Other plans of the vendors, and those that cannot be chosen: what they come to, or why not, and a button that opens them. */
export function FoldedColumns({ open }: { open: OpenFigure | null }) {
  const { workbench } = useWorkbench().state;
  const { folded } = useArranged(open?.kind === 'make-up' ? open.candidate : undefined);
  const edits = useEdits();
  const write = useWriter();
  const { candidates, currency } = workbench.decision;
  if (folded.length === 0) return null;
  return (
    <section className="folded-columns" aria-label={words.notAmongTheColumns}>
      <h3>{words.notAmongTheColumns}</h3>
      <p className="quiet">{words.everyVendorStandsAbove}</p>
      <DataTable
        rows={folded}
        keyOf={({ id }) => id}
        hideHead
        columns={[
          {
            key: 'name',
            head: null,
            kind: 'names-row',
            cell: ({ id, label }) => {
              const candidate = candidates.find((one) => one.id === id);
              return (
                <>
                  <CandidateTag id={id} /> <b>{label}</b> <small>{candidate && candidateSummary(workbench, candidate)}</small>
                </>
              );
            },
          },
          {
            key: 'total',
            head: null,
            kind: 'figures',
            cell: ({ result, atLeast }) => `${atLeast ? words.atLeast : ''}${write.money(result.total, currency)}`,
          },
          {
            key: 'why',
            head: null,
            cell: ({ result, difference }) =>
              result.usable ? (
                difference !== null && write.difference(difference)
              ) : (
                <span className="problem">{firstReason(result, write.month)}</span>
              ),
          },
          {
            key: 'open',
            head: null,
            cell: ({ id, label }) => (
              <Button
                size="small"
                aria-label={words.putAmongTheColumns(label)}
                onClick={() => edits.decision('lineUp.opened', words.amongTheColumns(label), (one) => withOpened(one, id, true))}
              >
                {words.putItBeside}
              </Button>
            ),
          },
        ]}
      />
    </section>
  );
}

import { addMonths } from '#core/calendar/month';
import { DataTable } from '../../components/data-table';
import { Fold } from '../../components/fold';
import { useWriter } from '../../locale/locale';
import { useWorkbench } from '../../workbench/workbench-context';
import { useAskedDecision, Working } from '../asked-decision';
import { useWaiting } from './use-chance';
import { beginningWords, savesWords, switchWords, waitingSentence } from './waiting-words';

/** What it is worth to begin with one plan and decide later, by what has been seen until then. */
export function WaitingSection({ isAsked }: { isAsked: boolean }) {
  const { decision } = useWorkbench().state.workbench;
  const { file, nameOf } = useAskedDecision();
  const write = useWriter();
  const { answer, ...working } = useWaiting(file, decision, isAsked);
  const month = (index: number) => write.month(addMonths(file.start, index));
  if (file.months < 2) return null;
  return (
    <section aria-label="What waiting is worth" aria-busy={working.isBusy}>
      <h2>What waiting is worth</h2>
      {!answer && !working.problem && <p className="quiet">Working it out …</p>}
      {answer && <p className="says-small">{waitingSentence(answer, nameOf, write, month)}</p>}
      {answer && answer.waits.length > 0 && (
        <Fold summary="Other months to decide in">
          <DataTable
            label="What deciding later saves, by month"
            rows={answer.waits}
            keyOf={({ months }) => months}
            rowClass={(one) => (answer.best !== null && answer.waits[answer.best] === one ? 'is-chosen' : '')}
            columns={[
              { head: 'Decide in', kind: 'names-row', cell: ({ months }) => month(months) },
              { head: 'Begin with', cell: ({ begin }) => beginningWords(begin, nameOf) },
              { head: 'Saves on average', kind: 'figures', cell: ({ saves }) => savesWords(saves, write) },
              { head: 'By what you’ve seen', kind: 'figures', cell: ({ bySeeing }) => savesWords(bySeeing, write) },
              { head: 'You then switch', kind: 'figures', cell: ({ moves }) => switchWords(moves) },
            ]}
          />
        </Fold>
      )}
      <Working {...working} />
    </section>
  );
}

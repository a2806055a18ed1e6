import { addMonths } from '#core/calendar/month';
import { DataTable } from '../../components/data-table';
import { Fold } from '../../components/fold';
import { useWriter } from '../../locale/locale';
import { useWorkbench } from '../../workbench/workbench-context';
import { useAskedDecision, Working } from '../asked-decision';
import { useWaiting } from './use-chance';
import { beginningWords, savesWords, switchWords, waitingSentence } from './waiting-words';
import { waitingSection as words } from './words';

/** What it is worth to begin with one plan and decide later, by what has been seen until then. */
export function WaitingSection({ isAsked }: { isAsked: boolean }) {
  const { decision } = useWorkbench().state.workbench;
  const { file, nameOf } = useAskedDecision();
  const write = useWriter();
  const { answer, ...working } = useWaiting(file, decision, isAsked);
  const month = (index: number) => write.month(addMonths(file.start, index));
  if (file.months < 2) return null;
  return (
    <section aria-label={words.whatWaitingIsWorth} aria-busy={working.isBusy}>
      <h2>{words.whatWaitingIsWorth}</h2>
      {!answer && !working.problem && <p className="quiet">{words.workingItOut}</p>}
      {answer && <p className="says-small">{waitingSentence(answer, nameOf, write, month)}</p>}
      {answer && answer.waits.length > 0 && (
        <Fold summary={words.otherMonthsToDecide}>
          <DataTable
            label={words.whatDecidingLaterSaves}
            rows={answer.waits}
            keyOf={({ months }) => months}
            rowClass={(one) => (answer.best !== null && answer.waits[answer.best] === one ? 'is-chosen' : '')}
            columns={[
              { head: words.decideIn, kind: 'names-row', cell: ({ months }) => month(months) },
              { head: words.beginWith, cell: ({ begin }) => beginningWords(begin, nameOf) },
              { head: words.savesOnAverage, kind: 'figures', cell: ({ saves }) => savesWords(saves, write) },
              { head: words.byWhatYouveSeen, kind: 'figures', cell: ({ bySeeing }) => savesWords(bySeeing, write) },
              { head: words.youThenSwitch, kind: 'figures', cell: ({ moves }) => switchWords(moves) },
            ]}
          />
        </Fold>
      )}
      <Working {...working} />
    </section>
  );
}

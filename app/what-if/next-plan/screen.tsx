import { Link } from 'react-router';
import type { StepUp } from '#core/what-if/steps-up';
import { CandidateTag } from '../../components/candidate-tag';
import { DataTable } from '../../components/data-table';
import { useWriter } from '../../locale/locale';
import { useWorkbench } from '../../workbench/workbench-context';
import { NothingToAsk, useAskedDecision, Working } from '../asked-decision';
import { useWhatIf } from '../use-what-if';
import { addsWords, paysWords, raisesWords, stepSentence, stepsSentence } from './words';

const QUESTION = { kind: 'steps' } as const;

/** What each step up a vendor's plans adds, for what it costs more, and from when on it pays. */
export default function NextPlan() {
  return (
    <NothingToAsk needs="one">
      <Steps />
    </NothingToAsk>
  );
}

function Steps() {
  const { file } = useAskedDecision();
  const { decisionId } = useWorkbench();
  const write = useWriter();
  const { answer: steps, ...working } = useWhatIf<'steps'>(file, QUESTION);
  const best = steps?.find(({ from, to }) => from.usable && to.usable);
  return (
    <>
      <main className="work" aria-label="Next plan up" aria-busy={working.isBusy}>
        {steps && steps.length === 0 && (
          <>
            <h2>No vendor has a second plan here</h2>
            <p>
              Two plans of one vendor on its <Link to={`/decisions/${decisionId}/sheets`}>price sheet</Link>, each with a price, and what
              the dearer one adds stands here: fees saved, features, room to grow, and the sales from which it pays.
            </p>
          </>
        )}
        {steps && steps.length > 0 && (
          <>
            <p className="says">{best ? `${stepsSentence(steps)} ${stepSentence(best, write)}` : stepsSentence(steps)}</p>
            <StepTable steps={steps} />
          </>
        )}
        <Working {...working} />
      </main>
      <aside className="margin" aria-label="How steps are counted">
        <h2>Worth the dearer plan?</h2>
        <p>
          Each plan stands at its best way of paying for you. What it costs more is set against the fees it saves over {file.months} months;
          what it adds besides is yours to weigh.
        </p>
        <p className="quiet">Things you need or would like come first among what a plan adds.</p>
      </aside>
    </>
  );
}

function StepTable({ steps }: { steps: readonly StepUp[] }) {
  const write = useWriter();
  return (
    <DataTable
      rows={steps}
      keyOf={({ from, to }) => `${from.candidate} ${to.candidate}`}
      rowClass={({ to }) => (to.usable ? '' : 'is-grey')}
      columns={[
        {
          head: 'Step',
          kind: 'names-row',
          cell: ({ vendor, from, to }) => (
            <>
              <b>{vendor}</b>
              <br />
              <CandidateTag id={from.candidate} /> {from.plan} → <CandidateTag id={to.candidate} /> {to.plan}
            </>
          ),
        },
        { head: 'Plan', kind: 'figures', cell: ({ plan }) => write.difference(plan) },
        { head: 'Fees', kind: 'figures', cell: ({ fees }) => write.difference(fees) },
        { head: 'In all', kind: 'figures', cell: ({ total }) => <b>{write.difference(total)}</b> },
        { head: 'Pays', cell: (step) => paysWords(step, write) },
        {
          head: 'Adds',
          cell: (step) => [addsWords(step), raisesWords(step, write)].filter(Boolean).join('; ') || <span className="nothing">–</span>,
        },
      ]}
    />
  );
}

import { Link } from 'react-router';
import type { StepUp } from '#core/what-if/steps-up';
import * as places from '../../first-steps/places-in-words';
import { CandidateTag } from '../../components/candidate-tag';
import { DataTable } from '../../components/data-table';
import { useWriter } from '../../locale/locale';
import { useStore } from '../../workbench/workbench-context';
import { NothingToAsk, useAskedDecision, Working } from '../asked-decision';
import { useWhatIf } from '../use-what-if';
import { ComesWithTable } from './comes-with-table';
import { addsWords, creditSentence, monthlyWords, paysWords, raisesWords, singlyWords, stepSentence, stepsSentence } from './words';
import { screen as texts } from './words';
import { capital } from '#core/wording/capital';

const QUESTION = { kind: 'steps' } as const;
const CREDITS = { kind: 'credit-pays' } as const;

/** What each step up a vendor's plans adds, for what it costs more, and from when on it pays. */
export default function NextPlan() {
  return (
    <NothingToAsk needs="one" place={places.nextPlan}>
      <Steps />
    </NothingToAsk>
  );
}

function Steps() {
  const { file } = useAskedDecision();
  const { decisionId } = useStore();
  const write = useWriter();
  const { answer: steps, ...working } = useWhatIf<'steps'>(file, QUESTION);
  const best = steps?.find(({ from, to }) => from.usable && to.usable);
  return (
    <>
      <main className="work" aria-label={texts.nextPlanUp} aria-busy={working.isBusy}>
        {steps && steps.length === 0 && (
          <>
            <h2>{texts.noVendorHasASecond}</h2>
            <p>{texts.enterASecondPlan(<Link to={`/decisions/${decisionId}/sheets`}>{texts.priceSheet}</Link>)}</p>
          </>
        )}
        {steps && steps.length > 0 && (
          <>
            <p className="says">{best ? `${stepsSentence(steps)} ${stepSentence(best, write)}` : stepsSentence(steps)}</p>
            <StepTable steps={steps} />
          </>
        )}
        <ComesWithTable />
        <Credits />
        <Working {...working} />
      </main>
      <aside className="margin" aria-label={texts.howStepsAreCounted}>
        <h2>{texts.worthTheDearerPlan}</h2>
        <p>{texts.eachPlanStandsAtItsBest(file.months)}</p>
        <p className="quiet">{texts.thingsYouNeedOrWould}</p>
        <h2>{texts.whatAPlanHas}</h2>
        <p className="quiet">{texts.isWorthWhatYou}</p>
      </aside>
    </>
  );
}

function Credits() {
  const { file } = useAskedDecision();
  const write = useWriter();
  const { answer: credits } = useWhatIf<'credit-pays'>(file, CREDITS);
  if (!credits || credits.length === 0) return null;
  return (
    <>
      <h2>{texts.creditsThatGrowWithSales}</h2>
      {credits.map((credit) => (
        <p key={credit.candidate}>{creditSentence(credit, write)}</p>
      ))}
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
      className="steps-table"
      below={(step) => <StepDetails step={step} />}
      belowClass="below-step"
      columns={[
        {
          head: texts.step,
          kind: 'names-row',
          cell: ({ vendor, from, to }) => (
            <>
              <b>{vendor}</b>
              <br />
              <span className="step-plans">
                <CandidateTag id={from.candidate} /> {from.plan} → <CandidateTag id={to.candidate} /> {to.plan}
              </span>
            </>
          ),
        },
        { head: texts.plan, kind: 'figures', cell: ({ plan }) => write.difference(plan) },
        { head: texts.fees, kind: 'figures', cell: ({ fees }) => write.difference(fees) },
        ...(steps.some(({ others }) => Number(others) !== 0)
          ? [{ head: texts.addOnsAndTheRest, kind: 'figures' as const, cell: ({ others }: StepUp) => write.difference(others) }]
          : []),
        { head: texts.inAll, kind: 'figures', cell: ({ total }) => <b>{write.difference(total)}</b> },
        { head: texts.pays, cell: (step) => paysWords(step, write) },
      ]}
    />
  );
}

/** What a step costs a month, and what it adds. */
function StepDetails({ step }: { step: StepUp }) {
  const write = useWriter();
  const monthly = monthlyWords(step, write);
  const adds = addsWords(step);
  const others = [singlyWords(step, write), raisesWords(step, write)].filter(Boolean);
  return (
    <>
      {monthly && <span>{monthly}. </span>}
      {adds && <span>{texts.adds(adds)} </span>}
      {others.map((words) => (
        <span key={words}>{capital(words)}. </span>
      ))}
    </>
  );
}

import { percentOf, withPercent, withStreamsLifted } from '#core/forecast/lift';
import { Button } from 'antd';
import type { Candidate } from '#core/decision-file/candidate-schema';
import { withChangedCandidate, withoutCandidate } from '#core/decision/candidates';
import type { Decision } from '#core/decision/decision-schema';
import { withPinned } from '#core/proposals/edit-followed';
import { ChoiceField } from '../components/choice-field';
import { ChoicesField } from '../components/choices-field';
import { NumberField } from '../components/number-field';
import { TextField } from '../components/text-field';
import { useEdits } from '../workbench/use-edits';
import { useWorkbench } from '../workbench/workbench-context';
import { AddonChoices } from './addon-choices';
import { ExtraFields } from './extra-fields';
import { PlanChoices } from './plan-choices';
import { SetVendorAside } from './set-vendor-aside';
import { makeUpPanel as words } from './words/make-up-panel';

/** Changes one candidate: where, what in words, and how. */
export type CandidateChange = (key: string, label: string, recipe: (candidate: Candidate) => Candidate) => void;

const HOURS = { least: 0, most: 10_000, wanted: words.aNumberOfHours };

/** What a candidate is put together from, and what it needs beside the plan. */
export function MakeUpPanel({ candidateId, onRemoved }: { candidateId: string; onRemoved(): void }) {
  const { state } = useWorkbench();
  const edits = useEdits();
  const { decision, sheets } = state.workbench;
  const candidate = decision.candidates.find(({ id }) => id === candidateId);
  if (!candidate) return <p>{words.thisCandidateWasRemoved}</p>;
  const change: CandidateChange = (key, label, recipe) =>
    edits.decision(`candidate.${candidateId}.${key}`, `${label}, ${candidate.label}`, (one) =>
      withChangedCandidate(isOfMakeUp(key) ? asItStands(one, candidate) : one, candidateId, recipe),
    );
  const processors = sheets.flatMap(({ sheet }) => (sheet.kind === 'processor' ? [sheet.processor] : []));
  const { payments = 'own', hours } = candidate;
  const { streams } = decision.forecast;
  return (
    <>
      <h2>{words.whatIsPutTogether(candidate.id)}</h2>
      <TextField
        label={words.name}
        value={candidate.label}
        onChange={(label) => change('label', words.theName, (one) => ({ ...one, label }))}
      />
      <Following candidateId={candidateId} />
      <PlanChoices candidate={candidate} onChange={change} />
      {typeof payments === 'string' ? (
        <ChoiceField
          label={words.paymentsGoThrough}
          value={payments}
          options={[
            { value: 'own', label: words.thePlatformItself },
            ...processors.map(({ id, label }) => ({ value: id, label: label || words.aProcessorWithoutAName })),
          ]}
          onChange={(next) => change('payments', words.thePaymentProcessor, (one) => ({ ...one, payments: next }))}
        />
      ) : (
        <p className="quiet">
          {words.paymentsAreSplitOver(
            payments
              .map(({ use }) => (use === 'own' ? words.thePlatformItself : (processors.find(({ id }) => id === use)?.label ?? use)))
              .join(' and '),
          )}
        </p>
      )}
      <AddonChoices candidate={candidate} onChange={change} />
      <ExtraFields
        extras={candidate.extras ?? []}
        fieldKey={`candidate.${candidateId}`}
        currency={decision.currency}
        onChange={(key, label, extras) => change(key, label, (one) => ({ ...one, extras: extras(one.extras ?? []) }))}
      />
      <h3>{words.yourOwnTime}</h3>
      <div className="pair">
        <NumberField
          fieldKey={`candidate.${candidateId}.setup`}
          label={words.toSetUp}
          suffix={words.hours}
          value={hours?.setup ?? '0'}
          range={HOURS}
          onChange={(setup) => change('setup', words.hoursToSetUp, (one) => ({ ...one, hours: { ...one.hours, setup: setup ?? '0' } }))}
        />
        <NumberField
          fieldKey={`candidate.${candidateId}.monthly`}
          label={words.eachMonth}
          suffix={words.hours}
          value={hours?.monthly ?? '0'}
          range={HOURS}
          onChange={(monthly) =>
            change('monthly', words.hoursAMonth, (one) => ({ ...one, hours: { ...one.hours, monthly: monthly ?? '0' } }))
          }
        />
      </div>
      <NumberField
        fieldKey={`candidate.${candidateId}.lift`}
        label={words.bringsMoreOrdersThan}
        suffix="%"
        value={percentOf(candidate.lift)}
        range={{ least: -100, most: 1000, wanted: words.aPercentage }}
        hint={words.zeroUnlessThereIsReason}
        onChange={(lift) => change('lift', words.theLift, (one) => ({ ...one, lift: withPercent(one.lift, lift ?? '0') }))}
      />
      {streams.length > 1 && Number(percentOf(candidate.lift)) !== 0 && (
        <ChoicesField
          label={words.moreOrdersOf}
          values={typeof candidate.lift === 'object' ? candidate.lift.streams : []}
          placeholder={words.everythingThatIsSold}
          options={streams.map(({ id, label }) => ({ value: id, label: label || id }))}
          onChange={(chosen) =>
            change('lift-streams', words.whatTheLiftIsOf, (one) => ({ ...one, lift: withStreamsLifted(one.lift, chosen) }))
          }
        />
      )}
      <p>
        <Button
          onClick={() => {
            edits.decision(`candidate.${candidateId}.removed`, words.removed(candidate.label), (one) => withoutCandidate(one, candidateId));
            onRemoved();
          }}
        >
          {words.removeItFromTheComparison}
        </Button>
      </p>
      <SetVendorAside candidate={candidate} onDone={onRemoved} />
    </>
  );
}

/** Whether a change is to what a proposal says: plans, terms, add-ons, payments. */
function isOfMakeUp(key: string): boolean {
  return /^(plan|term|addon|payments)\b/.test(key);
}

/** A candidate that follows a proposal is pinned as it stands on the screen before it is changed by hand. */
function asItStands(decision: Decision, shown: Candidate): Decision {
  const follows = decision.followed?.some(({ candidate, pinned }) => candidate === shown.id && !pinned);
  if (!follows) return decision;
  return withPinned({ ...decision, candidates: decision.candidates.map((one) => (one.id === shown.id ? shown : one)) }, shown.id, true);
}

/** Whether the candidate follows what is proposed, and the way to pin it or let it follow. */
function Following({ candidateId }: { candidateId: string }) {
  const { state } = useWorkbench();
  const edits = useEdits();
  const { candidates, followed = [] } = state.workbench.decision;
  const found = followed.find(({ candidate }) => candidate === candidateId);
  const shown = candidates.find(({ id }) => id === candidateId);
  if (!found || !shown) return null;
  return (
    <p className="following">
      {found.pinned ? words.pinnedItStaysAsItIs : words.itFollowsWhatIsProposed}
      <Button
        size="small"
        onClick={() =>
          edits.decision(`candidate.${candidateId}.pinned`, found.pinned ? words.followingAgain : 'pinned', (one) =>
            found.pinned ? withPinned(one, candidateId, false) : asItStands(one, shown),
          )
        }
      >
        {found.pinned ? words.followTheProposalAgain : words.pinItAsItIs}
      </Button>
    </p>
  );
}

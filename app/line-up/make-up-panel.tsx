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

/** Changes one candidate: where, what in words, and how. */
export type CandidateChange = (key: string, label: string, recipe: (candidate: Candidate) => Candidate) => void;

const HOURS = { least: 0, most: 10_000, wanted: 'a number of hours' };

/** What a candidate is put together from, and what it needs beside the plan. */
export function MakeUpPanel({ candidateId, onRemoved }: { candidateId: string; onRemoved(): void }) {
  const { state } = useWorkbench();
  const edits = useEdits();
  const { decision, sheets } = state.workbench;
  const candidate = decision.candidates.find(({ id }) => id === candidateId);
  if (!candidate) return <p>This candidate was removed. Undo brings it back.</p>;
  const change: CandidateChange = (key, label, recipe) =>
    edits.decision(`candidate.${candidateId}.${key}`, `${label}, ${candidate.label}`, (one) =>
      withChangedCandidate(isOfMakeUp(key) ? asItStands(one, candidate) : one, candidateId, recipe),
    );
  const processors = sheets.flatMap(({ sheet }) => (sheet.kind === 'processor' ? [sheet.processor] : []));
  const { payments = 'own', hours } = candidate;
  const { streams } = decision.forecast;
  return (
    <>
      <h2>What {candidate.id} is put together from</h2>
      <TextField label="Name" value={candidate.label} onChange={(label) => change('label', 'the name', (one) => ({ ...one, label }))} />
      <Following candidateId={candidateId} />
      <PlanChoices candidate={candidate} onChange={change} />
      {typeof payments === 'string' ? (
        <ChoiceField
          label="Payments go through"
          value={payments}
          options={[
            { value: 'own', label: 'the platform itself' },
            ...processors.map(({ id, label }) => ({ value: id, label: label || 'a processor without a name' })),
          ]}
          onChange={(next) => change('payments', 'the payment processor', (one) => ({ ...one, payments: next }))}
        />
      ) : (
        <p className="quiet">
          Payments are split over{' '}
          {payments
            .map(({ use }) => (use === 'own' ? 'the platform itself' : (processors.find(({ id }) => id === use)?.label ?? use)))
            .join(' and ')}
          .
        </p>
      )}
      <AddonChoices candidate={candidate} onChange={change} />
      <ExtraFields
        extras={candidate.extras ?? []}
        fieldKey={`candidate.${candidateId}`}
        currency={decision.currency}
        onChange={(key, label, extras) => change(key, label, (one) => ({ ...one, extras: extras(one.extras ?? []) }))}
      />
      <h3>Your own time</h3>
      <div className="pair">
        <NumberField
          fieldKey={`candidate.${candidateId}.setup`}
          label="To set up"
          suffix="hours"
          value={hours?.setup ?? '0'}
          range={HOURS}
          onChange={(setup) => change('setup', 'hours to set up', (one) => ({ ...one, hours: { ...one.hours, setup: setup ?? '0' } }))}
        />
        <NumberField
          fieldKey={`candidate.${candidateId}.monthly`}
          label="Each month"
          suffix="hours"
          value={hours?.monthly ?? '0'}
          range={HOURS}
          onChange={(monthly) =>
            change('monthly', 'hours a month', (one) => ({ ...one, hours: { ...one.hours, monthly: monthly ?? '0' } }))
          }
        />
      </div>
      <NumberField
        fieldKey={`candidate.${candidateId}.lift`}
        label="Brings more orders than the forecast"
        suffix="%"
        value={percentOf(candidate.lift)}
        range={{ least: -100, most: 1000, wanted: 'a percentage' }}
        hint="0 unless there is reason to think so"
        onChange={(lift) => change('lift', 'the lift', (one) => ({ ...one, lift: withPercent(one.lift, lift ?? '0') }))}
      />
      {streams.length > 1 && Number(percentOf(candidate.lift)) !== 0 && (
        <ChoicesField
          label="More orders of"
          values={typeof candidate.lift === 'object' ? candidate.lift.streams : []}
          placeholder="everything that is sold"
          options={streams.map(({ id, label }) => ({ value: id, label: label || id }))}
          onChange={(chosen) =>
            change('lift-streams', 'what the lift is of', (one) => ({ ...one, lift: withStreamsLifted(one.lift, chosen) }))
          }
        />
      )}
      <p>
        <Button
          onClick={() => {
            edits.decision(`candidate.${candidateId}.removed`, `${candidate.label} removed`, (one) => withoutCandidate(one, candidateId));
            onRemoved();
          }}
        >
          Remove it from the comparison
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
      {found.pinned
        ? 'Pinned: it stays as it is, whatever is proposed. '
        : 'It follows what is proposed: changing a plan, term, add-on or the payments pins it. '}
      <Button
        size="small"
        onClick={() =>
          edits.decision(`candidate.${candidateId}.pinned`, found.pinned ? 'following again' : 'pinned', (one) =>
            found.pinned ? withPinned(one, candidateId, false) : asItStands(one, shown),
          )
        }
      >
        {found.pinned ? 'Follow the proposal again' : 'Pin it as it is'}
      </Button>
    </p>
  );
}

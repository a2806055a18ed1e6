import { Button } from 'antd';
import type { Candidate } from '#core/decision-file/candidate-schema';
import { withChangedCandidate } from '#core/decision/candidates';
import { termWords } from '#core/price-sheet/term-words';
import { ChoiceField } from '../components/choice-field';
import { NumberField } from '../components/number-field';
import { TextField } from '../components/text-field';
import { useEdits } from '../workbench/use-edits';
import { useWorkbench } from '../workbench/workbench-context';
import { AddonChoices } from './addon-choices';
import { ExtraFields } from './extra-fields';

/** Changes one candidate: where, what in words, and how. */
export type CandidateChange = (key: string, label: string, recipe: (candidate: Candidate) => Candidate) => void;

const HOURS = { least: 0, most: 10_000, wanted: 'a number of hours' };

/** What a candidate is put together from, and what it needs beside the plan. */
export function MakeUpPanel({ candidateId, onRemoved }: { candidateId: string; onRemoved(): void }) {
  const { state } = useWorkbench();
  const edits = useEdits();
  const { decision, sheets } = state.bench;
  const candidate = decision.candidates.find(({ id }) => id === candidateId);
  if (!candidate) return <p>This candidate was removed. Undo brings it back.</p>;
  const change: CandidateChange = (key, label, recipe) =>
    edits.decision(`candidate.${candidateId}.${key}`, `${label}, ${candidate.label}`, (one) => withChangedCandidate(one, candidateId, recipe));
  const plans = sheets.flatMap(({ sheet }) => (sheet.kind === 'offer' ? sheet.offer.plans : []));
  const processors = sheets.flatMap(({ sheet }) => (sheet.kind === 'processor' ? [sheet.processor] : []));
  const { payments = 'own', hours } = candidate;
  return (
    <>
      <h2>What {candidate.id} is put together from</h2>
      <TextField label="Name" value={candidate.label} onChange={(label) => change('label', 'the name', (one) => ({ ...one, label }))} />
      {candidate.plans.map(({ plan: id, term }, index) => {
        const plan = plans.find((one) => one.id === id);
        if (!plan) return <p key={id}>A plan that is no longer on a price sheet of this decision.</p>;
        return (
          <ChoiceField
            key={id}
            label={`${plan.label || 'The plan'} is paid`}
            value={plan.terms.some((one) => one.id === term) ? term : undefined}
            placeholder="choose a term"
            options={plan.terms.map((one) => ({ value: one.id, label: termWords(one.months) }))}
            onChange={(next) => change(`term.${index}`, 'the term', (one) => ({ ...one, plans: one.plans.map((used, at) => (at === index ? { ...used, term: next } : used)) }))}
          />
        );
      })}
      {typeof payments === 'string' ? (
        <ChoiceField
          label="Payments go through"
          value={payments}
          options={[{ value: 'own', label: 'the platform itself' }, ...processors.map(({ id, label }) => ({ value: id, label: label || 'a processor without a name' }))]}
          onChange={(next) => change('payments', 'the payment processor', (one) => ({ ...one, payments: next }))}
        />
      ) : (
        <p className="quiet">Payments are split over {payments.map(({ use }) => (use === 'own' ? 'the platform itself' : (processors.find(({ id }) => id === use)?.label ?? use))).join(' and ')}.</p>
      )}
      <AddonChoices candidate={candidate} onChange={change} />
      <ExtraFields candidate={candidate} currency={decision.currency} onChange={change} />
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
          onChange={(monthly) => change('monthly', 'hours a month', (one) => ({ ...one, hours: { ...one.hours, monthly: monthly ?? '0' } }))}
        />
      </div>
      <NumberField
        fieldKey={`candidate.${candidateId}.lift`}
        label="Brings more orders than the forecast"
        suffix="%"
        value={candidate.lift ?? '0'}
        range={{ least: -100, most: 1000, wanted: 'a percentage' }}
        hint="0 unless there is reason to think so"
        onChange={(lift) => change('lift', 'the lift', (one) => ({ ...one, lift: lift ?? '0' }))}
      />
      <p>
        <Button
          onClick={() => {
            edits.decision(`candidate.${candidateId}.removed`, `${candidate.label} removed`, (one) => ({ ...one, candidates: one.candidates.filter(({ id }) => id !== candidateId) }));
            onRemoved();
          }}
        >
          Take it out of the line-up
        </Button>
      </p>
    </>
  );
}

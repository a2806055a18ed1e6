import { Checkbox } from 'antd';
import type { Evidence } from '#core/decision/sheet-notes';
import { ChoiceField } from '../components/choice-field';
import { DayField } from '../components/day-field';
import { TextField } from '../components/text-field';

const SURE: ReadonlyArray<{ value: 'sure' | 'likely' | 'guess'; label: string }> = [
  { value: 'sure', label: 'sure' },
  { value: 'likely', label: 'likely' },
  { value: 'guess', label: 'a guess' },
];

interface EvidenceFormProps {
  /** Unique in the decision. */
  fieldKey: string;
  evidence: Evidence;
  /** Whether it is about all of the sheet: single figures also have the page's words and their offer. */
  isSheet?: boolean;
  onChange(change: { [Field in keyof Evidence]?: Evidence[Field] | undefined }): void;
}

/** Where a figure was found, when, by whom, and how far it can be trusted. */
export function EvidenceForm({ fieldKey, evidence, isSheet, onChange }: EvidenceFormProps) {
  return (
    <div className="evidence-form">
      <TextField
        label="Where it was seen"
        value={evidence.where ?? ''}
        placeholder="pricing page"
        onChange={(where) => onChange({ where: where || undefined })}
      />
      {!isSheet && <DayField fieldKey={`${fieldKey}.seen`} label="On" value={evidence.seen} onChange={(seen) => onChange({ seen })} />}
      <TextField label="By whom" value={evidence.by ?? ''} onChange={(by) => onChange({ by: by || undefined })} />
      <ChoiceField label="How sure" value={evidence.sure} options={SURE} placeholder="not said" onChange={(sure) => onChange({ sure })} />
      {!isSheet && (
        <>
          <DayField
            fieldKey={`${fieldKey}.until`}
            label="The offer holds until"
            value={evidence.until}
            onChange={(until) => onChange({ until })}
          />
          <TextField
            label="For whom"
            value={evidence.forWhom ?? ''}
            placeholder="everybody"
            onChange={(forWhom) => onChange({ forWhom: forWhom || undefined })}
          />
          <TextField
            label="The page’s own words"
            value={evidence.stated ?? ''}
            onChange={(stated) => onChange({ stated: stated || undefined })}
          />
          {evidence.otherwise !== undefined && (
            <TextField
              label="Elsewhere it says"
              value={evidence.otherwise}
              onChange={(otherwise) => onChange({ otherwise: otherwise || undefined })}
            />
          )}
        </>
      )}
      <Checkbox checked={evidence.earns === true} onChange={({ target }) => onChange({ earns: target.checked || undefined })}>
        this source earns a commission
      </Checkbox>
    </div>
  );
}

import { Checkbox } from 'antd';
import type { Evidence } from '#core/decision/sheet-notes';
import { ChoiceField } from '../components/choice-field';
import { DayField } from '../components/day-field';
import { TextField } from '../components/text-field';
import { evidenceForm as words } from './words/evidence-form';

const SURE: ReadonlyArray<{ value: 'sure' | 'likely' | 'guess'; label: string }> = [
  { value: 'sure', label: words.sure },
  { value: 'likely', label: words.likely },
  { value: 'guess', label: words.aGuess },
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
        label={words.whereItWasSeen}
        value={evidence.where ?? ''}
        placeholder={words.pricingPage}
        onChange={(where) => onChange({ where: where || undefined })}
      />
      {!isSheet && (
        <DayField fieldKey={`${fieldKey}.seen`} label={words.on} value={evidence.seen} onChange={(seen) => onChange({ seen })} />
      )}
      <TextField label={words.byWhom} value={evidence.by ?? ''} onChange={(by) => onChange({ by: by || undefined })} />
      <ChoiceField
        label={words.howSure}
        value={evidence.sure}
        options={SURE}
        placeholder={words.notSaid}
        onChange={(sure) => onChange({ sure })}
      />
      {!isSheet && (
        <>
          <DayField
            fieldKey={`${fieldKey}.until`}
            label={words.theOfferHoldsUntil}
            value={evidence.until}
            onChange={(until) => onChange({ until })}
          />
          <TextField
            label={words.forWhom}
            value={evidence.forWhom ?? ''}
            placeholder={words.everybody}
            onChange={(forWhom) => onChange({ forWhom: forWhom || undefined })}
          />
          <TextField
            label={words.thePagesOwnWords}
            value={evidence.stated ?? ''}
            onChange={(stated) => onChange({ stated: stated || undefined })}
          />
          {evidence.otherwise !== undefined && (
            <TextField
              label={words.elsewhereItSays}
              value={evidence.otherwise}
              onChange={(otherwise) => onChange({ otherwise: otherwise || undefined })}
            />
          )}
        </>
      )}
      <Checkbox checked={evidence.earns === true} onChange={({ target }) => onChange({ earns: target.checked || undefined })}>
        {words.thisSourceEarnsACommission}
      </Checkbox>
    </div>
  );
}

import { Button } from 'antd';
import type { DecisionNeed } from '#core/decision/need-schema';
import { featureWords, needKey, needWords } from '#core/wording/need-words';
import { isWithin } from '#core/needs/file-needs';
import { addMonths } from '#core/calendar/month';
import { ChoiceField } from '../components/choice-field';
import { NumberField } from '../components/number-field';
import { TextField } from '../components/text-field';
import { useWriter } from '../locale/locale';
import { useWorkbench } from '../workbench/workbench-context';

const DIRECTIONS = [
  { value: 'to' as const, label: 'hands its data on' },
  { value: 'from' as const, label: 'takes data over' },
  { value: 'both' as const, label: 'both ways' },
];
const WEIGHT = { least: 0, most: 100, wanted: 'a weight, 1 to 5 as a rule' };
const AMOUNT = { least: 0, most: 1e9, wanted: 'a number' };

interface NeedRowProps {
  need: DecisionNeed;
  /** How many plans meet it, of how many, and of how many nobody knows. */
  met: { readonly met: number; readonly unknown: number; readonly plans: number };
  onChange(field: string, recipe: (need: DecisionNeed) => DecisionNeed | null): void;
}

/** One need: what, how much it counts, from when on, and why. */
export function NeedRow({ need, met, onChange }: NeedRowProps) {
  const { decision } = useWorkbench().state.workbench;
  const write = useWriter();
  const key = needKey(need);
  const name = needWords(need);
  const months = Array.from({ length: decision.months }, (_, index) => addMonths(decision.start, index));
  const later = need.from !== undefined && !months.includes(need.from) ? [need.from] : [];
  return (
    <li className="need">
      <div className="need-what">
        <TextField
          label={fieldLabel(need)}
          value={need.kind === 'connects' ? (need.to ?? '') : (need.label ?? featureWords(need.feature))}
          onChange={(label) => onChange('label', (one) => (one.kind === 'connects' ? { ...one, to: label } : { ...one, label }))}
        />
        {need.kind === 'at-least' && (
          <NumberField
            fieldKey={`need.${key}.least`}
            label="At least"
            value={need.least ?? '1'}
            range={AMOUNT}
            onChange={(least) => onChange('least', (one) => ({ ...one, least: least ?? '1' }))}
          />
        )}
        {need.kind === 'connects' && (
          <ChoiceField
            label="Which way"
            value={need.direction ?? 'to'}
            options={DIRECTIONS}
            onChange={(direction) => onChange('direction', (one) => ({ ...one, direction }))}
          />
        )}
      </div>
      <ChoiceField
        label="Level"
        value={need.level}
        options={[
          { value: 'must', label: 'must' },
          { value: 'want', label: 'would like' },
        ]}
        onChange={(level) => onChange('level', (one) => ({ ...one, level }))}
      />
      {need.level === 'want' ? (
        <NumberField
          fieldKey={`need.${key}.weight`}
          label="Weight"
          value={need.weight ?? '1'}
          range={WEIGHT}
          onChange={(weight) => onChange('weight', (one) => ({ ...one, weight: weight ?? '1' }))}
        />
      ) : (
        <span className="field need-rules-out">
          <span className="field-label">Weight</span> rules out
        </span>
      )}
      <ChoiceField
        label="From"
        value={need.from ?? ''}
        searchable
        options={[
          { value: '', label: 'the start' },
          ...[...months.slice(1), ...later].map((month) => ({ value: month, label: write.month(month) })),
        ]}
        onChange={(month) => onChange('from', ({ from: _former, ...one }) => (month === '' ? one : { ...one, from: month }))}
      />
      <TextField
        className="need-why"
        label="Why"
        value={need.why ?? ''}
        placeholder="so that you know later"
        onChange={(why) => onChange('why', ({ why: _former, ...one }) => (why === '' ? one : { ...one, why }))}
      />
      <span className="need-met">
        {!isWithin(need, decision.start, decision.months) && <i className="lacks">after the horizon: does not count yet. </i>}
        {met.plans > 0 && (
          <>
            {met.met} of {met.plans} plans
            {met.unknown > 0 && <i className="lacks">, {met.unknown} not known</i>}
          </>
        )}
      </span>
      <Button
        className="need-remove"
        type="text"
        size="small"
        aria-label={`Remove: ${name}`}
        onClick={() => onChange('removed', () => null)}
      >
        remove
      </Button>
    </li>
  );
}

function fieldLabel({ without, kind }: DecisionNeed): string {
  if (without) return 'Must not be there';
  return kind === 'connects' ? 'Connects with' : 'What';
}

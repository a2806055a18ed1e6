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
import { needRow as words } from './words';

const DIRECTIONS = [
  { value: 'to' as const, label: words.handsItsDataOn },
  { value: 'from' as const, label: words.takesDataOver },
  { value: 'both' as const, label: words.bothWays },
];
const WEIGHT = { least: 0, most: 100, wanted: words.aWeight1To5 };
const AMOUNT = { least: 0, most: 1e9, wanted: words.aNumber };

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
            label={words.atLeast}
            value={need.least ?? '1'}
            range={AMOUNT}
            onChange={(least) => onChange('least', (one) => ({ ...one, least: least ?? '1' }))}
          />
        )}
        {need.kind === 'connects' && (
          <ChoiceField
            label={words.whichWay}
            value={need.direction ?? 'to'}
            options={DIRECTIONS}
            onChange={(direction) => onChange('direction', (one) => ({ ...one, direction }))}
          />
        )}
      </div>
      <ChoiceField
        label={words.level}
        value={need.level}
        options={[
          { value: 'must', label: words.must },
          { value: 'want', label: words.wouldLike },
        ]}
        onChange={(level) => onChange('level', (one) => ({ ...one, level }))}
      />
      {need.level === 'want' ? (
        <NumberField
          fieldKey={`need.${key}.weight`}
          label={words.weight}
          value={need.weight ?? '1'}
          range={WEIGHT}
          onChange={(weight) => onChange('weight', (one) => ({ ...one, weight: weight ?? '1' }))}
        />
      ) : (
        <span className="field need-rules-out">{words.rulesOut(<span className="field-label">{words.weight}</span>)}</span>
      )}
      <ChoiceField
        label={words.from}
        value={need.from ?? ''}
        searchable
        options={[
          { value: '', label: words.theStart },
          ...[...months.slice(1), ...later].map((month) => ({ value: month, label: write.month(month) })),
        ]}
        onChange={(month) => onChange('from', ({ from: _former, ...one }) => (month === '' ? one : { ...one, from: month }))}
      />
      <TextField
        className="need-why"
        label={words.why}
        value={need.why ?? ''}
        placeholder={words.soThatYouKnow}
        onChange={(why) => onChange('why', ({ why: _former, ...one }) => (why === '' ? one : { ...one, why }))}
      />
      <span className="need-met">
        {!isWithin(need, decision.start, decision.months) && <i className="lacks">{words.afterTheHorizonDoes} </i>}
        {met.plans > 0 && (
          <>{words.ofPlans(met.met, met.plans, met.unknown > 0 && <i className="lacks">{words.notKnown(met.unknown)}</i>)}</>
        )}
      </span>
      <Button
        className="need-remove"
        type="text"
        size="small"
        aria-label={words.removeName(name)}
        onClick={() => onChange('removed', () => null)}
      >
        {words.remove}
      </Button>
    </li>
  );
}

function fieldLabel({ without, kind }: DecisionNeed): string {
  if (without) return words.mustNotBeThere;
  return kind === 'connects' ? words.connectsWith : 'What';
}

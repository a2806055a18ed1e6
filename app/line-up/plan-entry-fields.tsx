import { Checkbox } from 'antd';
import type { Candidate, PlanEntry } from '#core/decision-file/candidate-schema';
import { ChoicesField } from '../components/choices-field';
import { Fold } from '../components/fold';
import { NumberField } from '../components/number-field';
import { useWorkbench } from '../workbench/workbench-context';
import { planEntryFields as words } from './words/plan-entry-fields';

interface PlanEntryFieldsProps {
  candidate: Candidate;
  index: number;
  onChange(key: string, change: (entry: PlanEntry) => PlanEntry): void;
}

/** What a plan is used for, and months that come on top of its first payment. */
export function PlanEntryFields({ candidate, index, onChange }: PlanEntryFieldsProps) {
  const { streams } = useWorkbench().state.workbench.decision.forecast;
  const entry = candidate.plans[index];
  if (!entry) return null;
  const isOneOfSeveral = candidate.plans.length > 1;
  const { extraMonths = 0, takesPayments = true } = entry;
  const isUsual = extraMonths === 0 && takesPayments && entry.streams === undefined;
  const fields = (
    <>
      {isOneOfSeveral && streams.length > 1 && (
        <ChoicesField
          label={words.itHandles}
          values={entry.streams ?? []}
          placeholder={words.everythingThatIsSold}
          options={streams.map(({ id, label }) => ({ value: id, label: label || id }))}
          onChange={(chosen) => onChange('streams', (one) => withStreams(one, chosen))}
        />
      )}
      {isOneOfSeveral && (
        <Checkbox checked={takesPayments} onChange={({ target }) => onChange('takes-payments', (one) => withPayments(one, target.checked))}>
          {words.itTakesThePayments}
        </Checkbox>
      )}
      <NumberField
        fieldKey={`candidate.${candidate.id}.plan.${entry.plan}.extra-months`}
        label={words.monthsOnTopOfTheFirst}
        suffix={words.months}
        value={String(extraMonths)}
        range={{ least: 0, most: 1200, whole: true, wanted: words.aNumberOfMonths }}
        hint={words.aBalanceThatBecomes}
        onChange={(months) => onChange('extra-months', (one) => withExtraMonths(one, Number(months ?? '0')))}
      />
    </>
  );
  // Where two plans share the work it has to be said; else it is rare.
  return isOneOfSeveral || !isUsual ? fields : <Fold summary={words.monthsOnTop}>{fields}</Fold>;
}

function withStreams({ streams: _former, ...entry }: PlanEntry, chosen: readonly string[]): PlanEntry {
  return chosen.length === 0 ? entry : { ...entry, streams: [...chosen] };
}

function withPayments({ takesPayments: _former, ...entry }: PlanEntry, takesPayments: boolean): PlanEntry {
  return takesPayments ? entry : { ...entry, takesPayments };
}

function withExtraMonths({ extraMonths: _former, ...entry }: PlanEntry, extraMonths: number): PlanEntry {
  return extraMonths === 0 ? entry : { ...entry, extraMonths };
}

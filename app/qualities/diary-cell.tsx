import { withTried, withVendor } from '#core/qualities/edit-qualities';
import type { Task, Tried } from '#core/decision/quality-schema';
import { NumberField } from '../components/number-field';
import { LongTextField } from '../components/long-text-field';
import { useEdits } from '../workbench/use-edits';
import { useWorkbench } from '../workbench/workbench-context';
import type { NamedOffer } from './vendors';

/** How one task went with one vendor: minutes, a mark, a note. */
export function DiaryCell({ task, vendor, today }: { task: Task; vendor: NamedOffer; today: string }) {
  const { decision } = useWorkbench().state.workbench;
  const edits = useEdits();
  const tried = decision.vendors?.[vendor.id]?.tried?.[task.id];
  const key = `tried.${vendor.id}.${task.id}`;
  const what = `${task.label || 'the task'}, ${vendor.label}`;
  const change = (field: keyof Tried, value: string | undefined) =>
    edits.decision(`${key}.${field}`, what, (one) =>
      withVendor(one, vendor.id, (notes) => withTried(notes, task.id, { [field]: value, on: tried?.on ?? today })),
    );
  return (
    <>
      <div className="diary-figures">
        <NumberField
          fieldKey={`${key}.minutes`}
          label={`Minutes, ${what}`}
          labelHidden
          optional
          suffix="min"
          value={tried?.minutes}
          range={{ least: 0, most: 10_000, wanted: 'minutes' }}
          onChange={(minutes) => change('minutes', minutes ?? undefined)}
        />
        <NumberField
          fieldKey={`${key}.mark`}
          label={`Mark, ${what}`}
          labelHidden
          optional
          suffix="of 10"
          value={tried?.mark}
          range={{ least: 0, most: 10, wanted: 'a mark from 0 to 10' }}
          onChange={(mark) => change('mark', mark ?? undefined)}
        />
      </div>
      <LongTextField
        label={`Note, ${what}`}
        labelHidden
        lines={1}
        value={tried?.note ?? ''}
        placeholder="note"
        onChange={(note) => change('note', note === '' ? undefined : note)}
      />
    </>
  );
}

import { withTried, withVendor } from '#core/qualities/edit-qualities';
import type { Task, Tried } from '#core/decision/quality-schema';
import { NumberField } from '../components/number-field';
import { LongTextField } from '../components/long-text-field';
import { useEdits } from '../workbench/use-edits';
import { useWorkbench } from '../workbench/workbench-context';
import type { NamedOffer } from './vendors';
import { diaryCell as words } from './words';

/** How one task went with one vendor: minutes, a mark, a note. */
export function DiaryCell({ task, vendor, today }: { task: Task; vendor: NamedOffer; today: string }) {
  const { decision } = useWorkbench().state.workbench;
  const edits = useEdits();
  const tried = decision.vendors?.[vendor.id]?.tried?.[task.id];
  const key = `tried.${vendor.id}.${task.id}`;
  const what = `${task.label || words.theTask}, ${vendor.label}`;
  const change = (field: keyof Tried, value: string | undefined) =>
    edits.decision(`${key}.${field}`, what, (one) =>
      withVendor(one, vendor.id, (notes) => withTried(notes, task.id, { [field]: value, on: tried?.on ?? today })),
    );
  return (
    <>
      <div className="diary-figures">
        <NumberField
          fieldKey={`${key}.minutes`}
          label={words.minutesWhat(what)}
          labelHidden
          optional
          suffix={words.min}
          value={tried?.minutes}
          range={{ least: 0, most: 10_000, wanted: words.minutes }}
          onChange={(minutes) => change('minutes', minutes ?? undefined)}
        />
        <NumberField
          fieldKey={`${key}.mark`}
          label={words.mark(what)}
          labelHidden
          optional
          suffix={words.of10}
          value={tried?.mark}
          range={{ least: 0, most: 10, wanted: words.aMarkFrom0 }}
          onChange={(mark) => change('mark', mark ?? undefined)}
        />
      </div>
      <LongTextField
        label={words.noteWhat(what)}
        labelHidden
        lines={1}
        value={tried?.note ?? ''}
        placeholder={words.note}
        onChange={(note) => change('note', note === '' ? undefined : note)}
      />
    </>
  );
}

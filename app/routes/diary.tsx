import { Button } from 'antd';
import { useState } from 'react';
import { useRouteLoaderData } from 'react-router';
import { daysBetween } from '#core/calendar/day';
import { withTask, withVendor } from '#core/qualities/edit-qualities';
import { trialResult } from '#core/qualities/trial';
import { DataTable } from '../components/data-table';
import { ChoiceField } from '../components/choice-field';
import { DayField } from '../components/day-field';
import { LongTextField } from '../components/long-text-field';
import { useWriter } from '../locale/locale';
import { DiaryCell } from '../qualities/diary-cell';
import { type NamedOffer, useVendors } from '../qualities/vendors';
import { newId } from '../workbench/new-id';
import { useEdits } from '../workbench/use-edits';
import { useWorkbench } from '../workbench/workbench-context';
import { diary as words } from './words/diary';

/** The same tasks tried with each vendor: minutes, marks, notes, and when each trial ends. */
export default function Diary() {
  const { decision } = useWorkbench().state.workbench;
  const { today } = useRouteLoaderData<{ today: string }>('routes/needs') ?? { today: '2026-01-01' };
  const edits = useEdits();
  const write = useWriter();
  const all = useVendors();
  const [added, setAdded] = useState<readonly string[]>([]);
  const { tasks = [], vendors = {} } = decision;
  const isTried = (id: string) => vendors[id]?.trialEnds !== undefined || Object.keys(vendors[id]?.tried ?? {}).length > 0;
  const shown = all.filter(({ id }) => isTried(id) || added.includes(id));
  const others = all.filter(({ id }) => !shown.some((one) => one.id === id));
  return (
    <main className="work" aria-label={words.trialDiary}>
      <p>{words.theSameTasksWithEvery}</p>
      <DataTable
        hasOwnLook
        className="diary"
        frame="qualities-scroll"
        rows={tasks}
        keyOf={({ id }) => id}
        columns={[
          { head: words.task, kind: 'names-row', cell: (task) => <TaskName task={task} /> },
          ...shown.map((vendor) => ({
            key: vendor.id,
            cellClass: 'diary-cell',
            head: <TrialHead vendor={vendor} ends={vendors[vendor.id]?.trialEnds} today={today} />,
            cell: (task: (typeof tasks)[number]) => <DiaryCell task={task} vendor={vendor} today={today} />,
          })),
        ]}
        foot={
          <tfoot>
            <tr>
              <th scope="row">{words.allTogether}</th>
              {shown.map(({ id }) => {
                const { tried, tasks: of, minutes, mark } = trialResult(tasks, vendors[id]);
                return (
                  <td key={id}>
                    <b>{mark === null ? words.noMarkYet : words.of10(write.number(String(mark), 1))}</b>
                    <small>{words.ofTasks(tried, of, minutes === null ? '' : words.minutes(write.number(String(minutes), 0)))}</small>
                  </td>
                );
              })}
            </tr>
          </tfoot>
        }
      />
      <div className="add-row">
        <Button
          onClick={() =>
            edits.decision(`task.${newId()}`, words.aTask, (one) => ({ ...one, tasks: [...(one.tasks ?? []), { id: newId(), label: '' }] }))
          }
        >
          {words.oneMoreTask}
        </Button>
        {others.length > 0 && (
          <ChoiceField
            label={words.tryAnotherVendor}
            value={undefined}
            placeholder={words.choose}
            options={others.map(({ id, label }) => ({ value: id, label }))}
            onChange={(id) => setAdded([...added, id])}
          />
        )}
      </div>
    </main>
  );
}

function TaskName({ task }: { task: { readonly id: string; readonly label: string } }) {
  const edits = useEdits();
  return (
    <>
      <LongTextField
        label={words.task}
        labelHidden
        lines={1}
        value={task.label}
        placeholder={words.whatIsToBeDone}
        autoFocus={task.label === ''}
        onChange={(label) =>
          edits.decision(`task.${task.id}`, words.aTask, (one) => withTask(one, task.id, (former) => ({ ...former, label })))
        }
      />
      <Button
        type="text"
        size="small"
        aria-label={words.removeTheTask(task.label)}
        onClick={() => edits.decision(`task.${task.id}.removed`, words.aTaskRemoved, (one) => withTask(one, task.id, () => null))}
      >
        {words.remove}
      </Button>
    </>
  );
}

function TrialHead({ vendor: { id, label }, ends, today }: { vendor: NamedOffer; ends: string | undefined; today: string }) {
  const edits = useEdits();
  return (
    <>
      {label}
      <DayField
        fieldKey={`vendor.${id}.trial-ends`}
        label={words.trialEndsOn}
        value={ends}
        onChange={(day) =>
          edits.decision(`vendor.${id}.trial-ends`, words.theTrialOf(label), (one) =>
            withVendor(one, id, ({ trialEnds: _former, ...notes }) => (day === undefined ? notes : { ...notes, trialEnds: day })),
          )
        }
      />
      <TrialLeft ends={ends} today={today} />
    </>
  );
}

function TrialLeft({ ends, today }: { ends: string | undefined; today: string }) {
  if (ends === undefined) return null;
  const days = daysBetween(today, ends);
  if (days < 0) return <small className="lacks">{words.isOver}</small>;
  return (
    <small className={days <= 7 ? 'lacks' : ''}>
      {days === 0 ? words.endsToday : words.left(days === 1 ? words.oneDay : words.days(days))}
    </small>
  );
}

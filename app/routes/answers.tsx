import { useMemo, useRef, useState } from 'react';
import { Link, useRouteLoaderData } from 'react-router';
import { askedVendors } from '#core/needs/answers';
import { withAnswer } from '#core/needs/edit-answers';
import { needKey, needWords } from '#core/wording/need-words';
import { findSheet } from '#core/decision/workbench';
import type { OpenQuestion } from '#core/proposals/to-find-out';
import { type GridPoint, within } from '../components/grid-keys';
import { AnswerForm } from '../needs/answer-form';
import { AnswersTable, columnsOf } from '../needs/answers-table';
import { FindOutList } from '../needs/find-out-list';
import { useEdits } from '../workbench/use-edits';
import { useWorkbench } from '../workbench/workbench-context';
import { answers as words } from './words/answers';

export default function Answers() {
  const { state, decisionId } = useWorkbench();
  const edits = useEdits();
  const { today } = useRouteLoaderData<{ today: string }>('routes/needs') ?? { today: '2026-01-01' };
  const { needs: all = [] } = state.workbench.decision;
  const needs = useMemo(() => [...all.filter(({ level }) => level === 'must'), ...all.filter(({ level }) => level === 'want')], [all]);
  const vendors = useMemo(() => askedVendors(state.workbench.sheets), [state.workbench.sheets]);
  const [focus, setFocus] = useState<GridPoint | null>(null);
  const form = useRef<HTMLElement>(null);
  const columns = useMemo(() => columnsOf(vendors), [vendors]);
  if (needs.length === 0 || columns.length === 0)
    return (
      <main className="work" aria-label={words.whatPlansSayToIt}>
        <h2>{words.nothingToAskYet}</h2>
        <p>
          {words.andEveryPlansAnswer(
            needs.length === 0 ? (
              <Link to={`/decisions/${decisionId}/needs`}>{words.sayWhatIsNeeded}</Link>
            ) : (
              <Link to={`/decisions/${decisionId}/sheets`}>{words.enterThePriceSheet}</Link>
            ),
          )}
        </p>
      </main>
    );
  const point = focus && within(focus, needs.length, columns.length);
  const [need, column] = [point && needs[point.row], point && columns[point.column]];
  const sheet = column ? findSheet(state.workbench, column.vendor.sheetId)?.sheet : undefined;
  const show = (question: OpenQuestion) => {
    const asked = question.asks.kind === 'need' ? needKey(question.asks.need) : null;
    setFocus({
      row: needs.findIndex((one) => needKey(one) === asked),
      column: columns.findIndex((one) => one.asked.plan.id === question.part),
    });
  };
  return (
    <>
      <main className="work" aria-label={words.whatPlansSayToIt}>
        <AnswersTable
          needs={needs}
          vendors={vendors}
          focus={point ?? { row: 0, column: 0 }}
          onFocus={setFocus}
          onAnswer={(one, { vendor, asked }, given) =>
            edits.sheet(
              vendor.sheetId,
              `${asked.plan.id}.${needKey(one)}`,
              `${vendor.offer.label} ${asked.plan.label}, ${needWords(one)}`,
              (changed) => withAnswer(changed, asked.plan.id, one, given),
            )
          }
          onOpen={() => {
            if (!focus) setFocus({ row: 0, column: 0 });
            requestAnimationFrame(() => form.current?.focus());
          }}
        />
        <p className="quiet answers-keys">
          {words.arrowKeysMoveAnswer({ yes: <kbd>y</kbd>, no: <kbd>n</kbd>, unknown: <kbd>?</kbd>, enter: <kbd>{words.enter}</kbd> })}
        </p>
      </main>
      <aside className="margin" aria-label={words.answerAndWhatIsToFind}>
        {need && column && sheet && (
          <AnswerForm
            key={`${needKey(need)} ${column.asked.plan.id}`}
            need={need}
            column={column}
            sheet={sheet}
            today={today}
            first={form}
          />
        )}
        <FindOutList onShow={show} />
      </aside>
    </>
  );
}

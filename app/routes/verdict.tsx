import { Button, Checkbox } from 'antd';
import { decimal } from '#core/amount/decimal';
import type { Choice } from '#core/decision/decision-schema';
import type { LineUpColumn } from '#core/comparison/line-up';
import { CandidateTag } from '../components/candidate-tag';
import { TextField } from '../components/text-field';
import { useWriter } from '../locale/locale';
import { useEdits } from '../workbench/use-edits';
import { useWorkbench } from '../workbench/workbench-context';
import type { Route } from './+types/verdict';

export function loader() {
  return { today: new Date().toISOString().slice(0, 10) };
}

export default function Verdict({ loaderData }: Route.ComponentProps) {
  const { state, atForecast: priced } = useWorkbench();
  const write = useWriter();
  const edits = useEdits();
  const { decision } = state.bench;
  const { choice, currency, months } = decision;
  const { columns, leader } = priced.lineUp;
  const choose = (column: LineUpColumn) =>
    edits.decision('choice', `chosen: ${column.label}`, (one) => ({
      ...one,
      choice: {
        candidate: column.id,
        label: column.label,
        reason: one.choice?.reason ?? '',
        on: loaderData.today,
        total: column.result.total,
        currency,
        monthlySales: priced.average.sales,
      },
    }));
  const withdraw = () => edits.decision('choice', 'the choice withdrawn', ({ choice: _former, ...rest }) => rest);
  return (
    <main className="work verdict" aria-label="Verdict">
      <h2>Which one, and why</h2>
      {columns.length === 0 && <p>There is nothing to choose from yet.</p>}
      <ul className="choices">
        {columns.map((column) => (
          <li key={column.id} className={choice?.candidate === column.id ? 'is-chosen' : ''}>
            <Checkbox checked={choice?.candidate === column.id} onChange={({ target }) => (target.checked ? choose(column) : withdraw())}>
              <span className="choice">
                <CandidateTag id={column.id} />
                <b>{column.label}</b>
                <span className="choice-total">
                  {column.atLeast && 'at least '}
                  {write.whole(column.result.total)}
                </span>
                <small>{column === leader ? 'cheapest' : column.difference ? write.difference(column.difference) : ''}</small>
                {!column.result.usable && <small className="problem">outgrown or lacking something: see the line-up</small>}
              </span>
            </Checkbox>
          </li>
        ))}
      </ul>
      {choice && (
        <section className="chosen" aria-label="The choice">
          <TextField
            long
            label={`Why ${choice.label}? In your own words, for whoever asks in a year.`}
            value={choice.reason}
            onChange={(reason) => edits.decision('reason', 'the reason', (one) => ({ ...one, ...(one.choice ? { choice: { ...one.choice, reason } } : {}) }))}
          />
          <p>
            Chosen on {write.day(choice.on)}
            {choice.total !== undefined && ` at ${write.money(choice.total, choice.currency)} ${choice.currency}`} over {months} months
            {choice.monthlySales !== undefined && `, with ${write.whole(choice.monthlySales)} of sales a month`}. <Since choice={choice} />
          </p>
          <Button size="small" onClick={withdraw}>
            Withdraw the choice
          </Button>
        </section>
      )}
    </main>
  );
}

/** How the chosen candidate stands now, compared with the day of the choice. */
function Since({ choice }: { choice: Choice }) {
  const { atForecast } = useWorkbench();
  const write = useWriter();
  const { columns, leader } = atForecast.lineUp;
  const now = columns.find(({ id }) => id === choice.candidate);
  if (!now) return <span className="problem">It is not in the line-up any more.</span>;
  const position = now === leader ? 'It is the cheapest.' : now.difference && leader ? `It is ${write.whole(now.difference)} dearer than ${leader.label}.` : '';
  if (choice.total === undefined || decimal(choice.total).eq(now.result.total)) return <>{position}</>;
  return (
    <>
      Now it comes to {write.money(now.result.total, choice.currency)}. {position}
    </>
  );
}

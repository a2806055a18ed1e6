import { Button } from 'antd';
import { Form, Link, redirect } from 'react-router';
import { createDecision, listDecisions, loadWorkbench } from '#data/decisions';
import { addMonths } from '#core/calendar/month';
import { newStream } from '#core/decision/edit-forecast';
import type { Workbench } from '#core/decision/workbench';
import { ImportFile } from '../decision-list/import-file';
import { useWriter } from '../locale/locale';
import { database } from '../server/database.server';
import { newId } from '../workbench/new-id';
import { price } from '../workbench/workbench-context';
import type { Route } from './+types/decisions';

/** All decisions with their bottom line. */
export async function loader() {
  const db = await database();
  const decisions = [];
  for (const { id, name, changedAt } of await listDecisions(db)) {
    const saved = await loadWorkbench(db, id);
    if (!saved) continue;
    const { lineUp } = price(saved.bench);
    decisions.push({
      id,
      name,
      changedOn: changedAt.slice(0, 10),
      candidates: lineUp.columns.length,
      leader: lineUp.leader?.label ?? null,
      total: lineUp.leader?.result.total ?? null,
      margin: lineUp.runnerUp?.margin ?? null,
      currency: saved.bench.decision.currency,
      choice: saved.bench.decision.choice?.label ?? null,
    });
  }
  return { decisions };
}

/** Begins a decision from nothing and opens it where the first two figures are typed. */
export async function action() {
  const id = newId();
  const now = new Date().toISOString();
  await createDecision(await database(), id, emptyWorkbench(now.slice(0, 7)), now);
  throw redirect(`/decisions/${id}/sales`);
}

function emptyWorkbench(thisMonth: string): Workbench {
  return {
    decision: {
      name: 'Where should we sell?',
      currency: 'EUR',
      start: addMonths(thisMonth, 1),
      months: 24,
      forecast: { streams: [newStream('sales', 'Sales')] },
      candidates: [],
    },
    sheets: [],
  };
}

export const meta: Route.MetaFunction = () => [{ title: 'Your decisions · Venalis' }];

export default function Decisions({ loaderData }: Route.ComponentProps) {
  const write = useWriter();
  const { decisions } = loaderData;
  return (
    <div className="list-page">
      <header className="bench-head">
        <span className="brand">
          Venalis<i>.</i>
        </span>
        <h1>Your decisions</h1>
      </header>
      <main className="decision-list">
        {decisions.length === 0 ? (
          <p className="answer">
            Say what you expect to sell, enter what two plans cost, and see which one costs you least, and from which level of sales that changes.
          </p>
        ) : (
          <ul>
            {decisions.map((one) => (
              <li key={one.id}>
                <Link to={`/decisions/${one.id}/line-up`}>
                  <b>{one.name || 'A decision without a question'}</b>
                </Link>
                <span>
                  {one.leader && one.total
                    ? `${one.leader} costs least: ${write.money(one.total, one.currency)} ${one.currency}${one.margin ? `, ${write.whole(one.margin)} less than the next` : ''}`
                    : 'no answer yet'}
                </span>
                <small>
                  {one.choice ? `chosen: ${one.choice}` : `${one.candidates} ${one.candidates === 1 ? 'candidate' : 'candidates'}, open`} · changed {write.day(one.changedOn)} ·{' '}
                  <a href={`/decisions/${one.id}/export`} download>
                    export
                  </a>
                </small>
              </li>
            ))}
          </ul>
        )}
        <Form method="post">
          <Button type="primary" htmlType="submit">
            Begin a decision
          </Button>
        </Form>
        <ImportFile />
      </main>
    </div>
  );
}

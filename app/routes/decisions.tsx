import { Button } from 'antd';
import { Form, Link, redirect } from 'react-router';
import * as z from 'zod';
import { deletedName, duplicateDecision, listDecisions, setArchived, setDeleted } from '#data/decision-list';
import { createDecision, loadWorkbench } from '#data/decisions';
import { addMonths } from '#core/calendar/month';
import { newStream } from '#core/decision/edit-forecast';
import type { Workbench } from '#core/decision/workbench';
import { DecisionRow } from '../decision-list/decision-row';
import { ImportFile } from '../decision-list/import-file';
import { database } from '../server/database.server';
import { newId } from '../workbench/new-id';
import { verdictName } from '#core/verdict/verdict-name';
import { price } from '../workbench/workbench-context';
import type { Route } from './+types/decisions';

/** All decisions with their bottom line, and the one that was just deleted. */
export async function loader({ request }: Route.LoaderArgs) {
  const db = await database();
  const decisions = [];
  for (const { id, name, changedAt, archivedAt } of await listDecisions(db)) {
    const saved = await loadWorkbench(db, id);
    if (!saved) continue;
    const { lineUp } = price(saved.bench);
    decisions.push({
      id,
      name,
      changedOn: changedAt.slice(0, 10),
      isArchived: archivedAt !== null,
      candidates: lineUp.columns.length,
      leader: lineUp.leader?.label ?? null,
      total: lineUp.leader?.result.total ?? null,
      margin: lineUp.runnerUp?.margin ?? null,
      currency: saved.bench.decision.currency,
      choice: verdictName(saved.bench.decision.verdicts),
    });
  }
  const deletedId = new URL(request.url).searchParams.get('deleted');
  const deleted = deletedId === null ? undefined : await deletedName(db, deletedId);
  return { decisions, deleted: deletedId !== null && deleted !== undefined ? { id: deletedId, name: deleted } : null };
}

const intentSchema = z.object({ intent: z.enum(['begin', 'duplicate', 'archive', 'unarchive', 'delete', 'bring-back']).catch('begin'), id: z.string().max(100).catch('') });

/** Begins a decision from nothing, or duplicates, archives, deletes one or brings it back. */
export async function action({ request }: Route.ActionArgs) {
  const { intent, id } = intentSchema.parse(Object.fromEntries(await request.formData()));
  const db = await database();
  const now = new Date().toISOString();
  const fresh = newId();
  switch (intent) {
    case 'begin':
      await createDecision(db, fresh, emptyWorkbench(now.slice(0, 7)), now);
      throw redirect(`/decisions/${fresh}/sales`);
    case 'duplicate':
      if (!(await duplicateDecision(db, id, fresh, now))) throw new Response('Not found', { status: 404 });
      throw redirect(`/decisions/${fresh}/frame`);
    case 'archive':
    case 'unarchive':
      await setArchived(db, id, intent === 'archive' ? now : null);
      return null;
    case 'delete':
      await setDeleted(db, id, now);
      throw redirect(`/decisions?deleted=${encodeURIComponent(id)}`);
    case 'bring-back':
      await setDeleted(db, id, null);
      throw redirect('/decisions');
  }
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
  const { decisions, deleted } = loaderData;
  const [inUse, archived] = [decisions.filter(({ isArchived }) => !isArchived), decisions.filter(({ isArchived }) => isArchived)];
  return (
    <div className="list-page">
      <header className="bench-head">
        <span className="brand">
          Venalis<i>.</i>
        </span>
        <h1>Your decisions</h1>
      </header>
      <main className="decision-list">
        {deleted && (
          <Form method="post" className="notice" role="status">
            <input type="hidden" name="id" value={deleted.id} />
            “{deleted.name || 'A decision without a question'}” was deleted.{' '}
            <Button size="small" htmlType="submit" name="intent" value="bring-back">
              Bring it back
            </Button>
          </Form>
        )}
        {inUse.length === 0 ? (
          <p className="answer">
            Say what you expect to sell, enter what two plans cost, and see which one costs you least, and from which level of sales that changes.
          </p>
        ) : (
          <ul>
            {inUse.map((one) => (
              <DecisionRow key={one.id} decision={one} />
            ))}
          </ul>
        )}
        <Form method="post">
          <Button type="primary" htmlType="submit" name="intent" value="begin">
            Begin a decision
          </Button>
        </Form>
        <p className="watch-link">
          <Link to="/watch">Price watch</Link>: look at pricing pages and exchange rates again, and see what that does to each decision.
        </p>
        <ImportFile />
        {archived.length > 0 && (
          <details className="archived">
            <summary>{archived.length} archived</summary>
            <ul>
              {archived.map((one) => (
                <DecisionRow key={one.id} decision={one} />
              ))}
            </ul>
          </details>
        )}
      </main>
    </div>
  );
}

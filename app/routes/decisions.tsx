import { Button } from 'antd';
import { useEffect } from 'react';
import { Form, Link, redirect, useRevalidator } from 'react-router';
import * as z from 'zod';
import { deletedName, duplicateDecision, setArchived, setDeleted } from '#data/decision-list';
import { createDecision, loadWorkbench } from '#data/decisions';
import { watchedSheets } from '#data/price-watch';
import { addMonths } from '#core/calendar/month';
import { beginAgain } from '#core/decision/begin-again';
import { newStream } from '#core/decision/edit-forecast';
import { askedWorkbench } from '#core/sales-question/asked-workbench';
import type { Workbench } from '#core/decision/workbench';
import { AskQuestion } from '../decision-list/ask-question';
import { DecisionRow } from '../decision-list/decision-row';
import { ImportFile } from '../decision-list/import-file';
import { database } from '../server/database.server';
import { formOf } from '../server/form.server';
import { listedRows } from '../server/decision-list.server';
import { signedInContext } from '../server/request-context';
import { newId } from '../workbench/new-id';
import type { Route } from './+types/decisions';
import { decisions as words } from './words/decisions';
import { Brand } from '../components/brand';

/** All decisions with their bottom line, and the one that was just deleted. */
export async function loader({ request, context }: Route.LoaderArgs) {
  const db = await database();
  const deletedId = new URL(request.url).searchParams.get('deleted');
  const deleted = deletedId === null ? undefined : await deletedName(db, deletedId);
  return {
    decisions: await listedRows(db),
    /** Vendors on whose pages something was found that is not decided yet. */
    changed: (await watchedSheets(db)).filter(({ found }) => found.length > 0).length,
    deleted: deletedId !== null && deleted !== undefined ? { id: deletedId, name: deleted } : null,
    isSignedIn: context.get(signedInContext),
  };
}

const intentSchema = z.object({
  intent: z.enum(['begin', 'ask', 'again', 'duplicate', 'archive', 'unarchive', 'delete', 'bring-back']),
  id: z.string().max(100).default(''),
  question: z.string().trim().max(300).default(''),
});

/** Begins a decision from nothing, with a question or with an earlier one, or duplicates, archives, deletes one or brings it back. */
export async function action({ request }: Route.ActionArgs) {
  const asked = intentSchema.safeParse(Object.fromEntries(await formOf(request)));
  if (!asked.success) throw new Response(words.whatIsToBeDone, { status: 400 });
  const { intent, id, question } = asked.data;
  const db = await database();
  const now = new Date().toISOString();
  const fresh = newId();
  switch (intent) {
    case 'begin':
      await createDecision(db, fresh, emptyWorkbench(now.slice(0, 7)), now);
      throw redirect(`/decisions/${fresh}/start`);
    case 'ask':
      await createDecision(db, fresh, askedWorkbench(emptyWorkbench(now.slice(0, 7)), question), now);
      throw redirect(`/decisions/${fresh}/start`);
    case 'again': {
      const earlier = await loadWorkbench(db, id);
      if (!earlier) throw new Response(words.notFound, { status: 404 });
      await createDecision(db, fresh, beginAgain(earlier.workbench, addMonths(now.slice(0, 7), 1)), now);
      throw redirect(`/decisions/${fresh}/start`);
    }
    case 'duplicate':
      if (!(await duplicateDecision(db, id, fresh, now))) throw new Response(words.notFound, { status: 404 });
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
      name: words.whereShouldWeSell,
      currency: 'EUR',
      start: addMonths(thisMonth, 1),
      months: 24,
      forecast: { streams: [newStream('sales', 'Sales')] },
      candidates: [],
    },
    sheets: [],
  };
}

export const meta: Route.MetaFunction = () => [{ title: words.yourDecisionsVenalis }];

export default function Decisions({ loaderData }: Route.ComponentProps) {
  const { decisions, deleted, changed, isSignedIn } = loaderData;
  useFillingUp(decisions.some(({ state }) => state.kind === 'unknown'));
  const [inUse, archived] = [decisions.filter(({ isArchived }) => !isArchived), decisions.filter(({ isArchived }) => isArchived)];
  return (
    <div className="list-page">
      <header className="workbench-head">
        <span className="brand">
          <Brand />
        </span>
        <h1>{words.yourDecisions}</h1>
        {isSignedIn && (
          <form method="post" action="/sign-out" className="workbench-signs">
            <Button size="small" type="text" htmlType="submit">
              {words.signOut}
            </Button>
          </form>
        )}
      </header>
      <main className="decision-list">
        {deleted && (
          <Form method="post" className="notice" role="status">
            <input type="hidden" name="id" value={deleted.id} />
            {words.wasDeleted(deleted.name || words.untitledDecision)}{' '}
            <Button size="small" htmlType="submit" name="intent" value="bring-back">
              {words.bringBack}
            </Button>
          </Form>
        )}
        {inUse.length === 0 ? (
          <p className="answer">{words.sayWhatYouExpect}</p>
        ) : (
          <ul>
            {inUse.map((one) => (
              <DecisionRow key={one.id} decision={one} />
            ))}
          </ul>
        )}
        {archived.length > 0 && (
          <details className="archived">
            <summary>{words.archived(archived.length)}</summary>
            <ul>
              {archived.map((one) => (
                <DecisionRow key={one.id} decision={one} />
              ))}
            </ul>
          </details>
        )}
      </main>
      <aside className="list-aside" aria-label={words.whatElseThereIs}>
        <Form method="post">
          <Button type="primary" htmlType="submit" name="intent" value="begin">
            {words.beginADecision}
          </Button>
        </Form>
        <AskQuestion />
        <p className="watch-link">
          <Link to="/watch">{words.priceWatch}</Link>
          {changed > 0 ? (
            <b>: {changed === 1 ? words.oneVendorsPricesHave : words.vendorsPricesHaveChanged(changed)}</b>
          ) : (
            words.looksAtPricingPages
          )}
        </p>
        <p className="watch-link">{words.hasBackUpsOne(<Link to="/data">{words.yourData}</Link>)}</p>
        <p className="watch-link">
          {words.withExamplesAndToPrint(<Link to="/how">{words.howItIsWorked}</Link>, <Link to="/guide">{words.aGuideOnOne}</Link>)}
        </p>
        <ImportFile />
      </aside>
    </div>
  );
}

const FILL_AGAIN_MS = 1_000;

/** Asks again while bottom lines are still being worked out. */
function useFillingUp(isUnfinished: boolean) {
  const { revalidate, state } = useRevalidator();
  useEffect(() => {
    if (!isUnfinished || state !== 'idle') return;
    const timer = setTimeout(() => void revalidate(), FILL_AGAIN_MS);
    return () => clearTimeout(timer);
  }, [isUnfinished, revalidate, state]);
}

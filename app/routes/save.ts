import { loadSheets } from '#data/sheets';
import { saveChange } from '#data/decisions';
import type { UsedSheet } from '#core/decision/workbench';
import { database } from '../server/database.server';
import { readBody, refusalOf, saveRequestSchema } from '../server/save-request.server';
import type { SaveReply } from '../workbench/saved';
import type { Route } from './+types/save';
import { save as words } from './words/save';

/** Saves a change as a new revision, unless it was made on a revision that is not the newest any more. */
export async function action({ request, params }: Route.ActionArgs): Promise<Response> {
  const body = await readBody(request, saveRequestSchema);
  if ('why' in body) return reply({ kind: 'refused', why: body.why }, 422);
  const db = await database();
  const { decision, sheets } = body.value;
  const kept = await loadSheets(db, sheets);
  const used: UsedSheet[] = [];
  for (const [at, { id, revision, changed }] of sheets.entries()) {
    const sheet = changed ?? kept[at];
    if (!sheet) return reply({ kind: 'refused', why: words.thereIsNoRevision(revision, id) }, 422);
    used.push({ id, revision, sheet });
  }
  const why = refusalOf(decision, used);
  if (why) return reply({ kind: 'refused', why }, 422);
  const outcome = await saveChange(db, params.decisionId, body.value, new Date().toISOString());
  if (!outcome) return reply({ kind: 'refused', why: words.thisDecisionDoesNotExist }, 404);
  if (outcome.ok) return reply({ kind: 'saved', saved: outcome.saved });
  return reply({ kind: 'stale', current: outcome.current, staleSheets: outcome.staleSheets }, 409);
}

/** There is nothing to read at this address. */
export function loader(): Response {
  return new Response(words.onlyChangesAreSent, { status: 405, headers: { Allow: 'POST' } });
}

function reply(body: SaveReply, status = 200): Response {
  return Response.json(body, { status });
}

import { stepBack } from '#data/decisions';
import { database } from '../server/database.server';
import { readBody, stepRequestSchema } from '../server/save-request.server';
import type { Route } from './+types/step';
import { step as words } from './words/step';

/** Undoes or redoes the last step. */
export async function action({ request, params }: Route.ActionArgs): Promise<Response> {
  const body = await readBody(request, stepRequestSchema);
  if ('why' in body) return Response.json({ kind: 'refused', why: body.why }, { status: 422 });
  const { revision, direction } = body.value;
  const outcome = await stepBack(await database(), params.decisionId, revision, direction, new Date().toISOString());
  if (!outcome) return Response.json({ kind: 'refused', why: words.thisDecisionDoesNotExist }, { status: 404 });
  if (outcome.ok) return Response.json({ kind: 'saved', saved: outcome.saved });
  return Response.json({ kind: 'stale', current: outcome.current, staleSheets: outcome.staleSheets }, { status: 409 });
}

/** There is nothing to read at this address. */
export function loader(): Response {
  return new Response(words.onlyUndoAndRedo, { status: 405, headers: { Allow: 'POST' } });
}

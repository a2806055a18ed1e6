import * as z from 'zod';
import { database } from '../server/database.server';
import { readBody } from '../server/save-request.server';
import { type EffectsOfChanges, effectsOfChanges } from '../server/watch-view.server';
import type { Route } from './+types/watch-effects';
import { watchEffects as words } from './words/watch-effects';

const askedSchema = z.strictObject({ sheet: z.string().max(100), changes: z.array(z.string().max(1_000)).max(500) });

/** Tells what some of the changes found on a sheet's page would do to the decisions that use it; nothing is taken over. */
export async function action({ request }: Route.ActionArgs): Promise<EffectsOfChanges> {
  const asked = await readBody(request, askedSchema);
  if ('why' in asked) throw new Response(asked.why, { status: 422 });
  const { sheet, changes } = asked.value;
  return { changes, effects: await effectsOfChanges(await database(), sheet, changes) };
}

/** There is nothing to read at this address. */
export function loader(): Response {
  return new Response(words.onlyChangesToAsk, { status: 405, headers: { Allow: 'POST' } });
}

import * as z from 'zod';
import { database } from '../server/database.server';
import { readBody } from '../server/save-request.server';
import { type DecisionEffect, effectsOfChanges } from '../server/watch-view.server';
import type { Route } from './+types/watch-effects';

const askedSchema = z.strictObject({ sheet: z.string().max(100), changes: z.array(z.string().max(1_000)).max(500) });

/** What some of the changes found on a sheet's page would do to decisions. */
export interface EffectsOfChanges {
  /** Those that were asked about, by id. */
  readonly changes: readonly string[];
  /** Null if what is found is not what was asked about any more. */
  readonly effects: readonly DecisionEffect[] | null;
}

/** Tells what some of the changes found on a sheet's page would do to the decisions that use it; nothing is taken over. */
export async function action({ request }: Route.ActionArgs): Promise<EffectsOfChanges> {
  const asked = await readBody(request, askedSchema);
  if ('why' in asked) throw new Response(asked.why, { status: 422 });
  const { sheet, changes } = asked.value;
  return { changes, effects: await effectsOfChanges(await database(), sheet, changes) };
}

/** There is nothing to read at this address. */
export function loader(): Response {
  return new Response('Only changes to ask about are sent here.', { status: 405, headers: { Allow: 'POST' } });
}

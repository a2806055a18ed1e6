import { readActuals, type ActualsReading } from '#core/afterwards/read-actuals';
import type { Route } from './+types/read-actuals';
import { readActuals as words } from './words/read-actuals';

/** Reads real months from a CSV file sent as text; nothing is kept. */
export async function action({ request }: Route.ActionArgs): Promise<ActualsReading> {
  return readActuals(await request.text());
}

/** There is nothing to read at this address. */
export function loader(): Response {
  return new Response(words.onlyTextsToBeRead, { status: 405, headers: { Allow: 'POST' } });
}

import { readSheetSource, type SheetSource } from '#core/sheet-import/read-source';
import type { Route } from './+types/read-source';

/** Looks at a pasted text or a file sent as text, and says what it holds; nothing is kept. */
export async function action({ request }: Route.ActionArgs): Promise<SheetSource> {
  return readSheetSource(await request.text());
}

/** There is nothing to read at this address. */
export function loader(): Response {
  return new Response('Only texts to be read are sent here.', { status: 405, headers: { Allow: 'POST' } });
}

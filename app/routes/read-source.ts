import { readSheetSource, type SheetSource } from '#core/sheet-import/read-source';
import type { Route } from './+types/read-source';
import { readSource as words } from './words/read-source';

/** Looks at a pasted text or a file sent as text, and says what it holds; nothing is kept. */
export async function action({ request }: Route.ActionArgs): Promise<SheetSource> {
  return readSheetSource(await request.text());
}

/** There is nothing to read at this address. */
export function loader(): Response {
  return new Response(words.onlyTextsToBeRead, { status: 405, headers: { Allow: 'POST' } });
}

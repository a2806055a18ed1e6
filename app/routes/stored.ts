import { textOf } from '#data/revisions';
import { attachment } from '../server/attachment';
import { database } from '../server/database.server';
import type { Route } from './+types/stored';
import { stored as words } from './words/stored';

/** What is stored of a decision, as it is: its newest revision that comes out whole, also where it cannot be opened. */
export async function loader({ params }: Route.LoaderArgs): Promise<Response> {
  const db = await database();
  const id = params.decisionId;
  const revisions = await db
    .selectFrom('decisionRevisions')
    .select(['revision', 'content', 'base'])
    .where('decisionId', '=', id)
    .orderBy('revision', 'desc')
    .execute();
  for (const stored of revisions) {
    const text = await textOf(db, 'decision', id, stored).catch(() => null);
    if (text !== null) return attachment(text, 'application/json; charset=utf-8', words.revision(id, stored.revision), 'json');
  }
  const [newest] = revisions;
  if (!newest) throw new Response(words.notFound, { status: 404 });
  return attachment(new Uint8Array(newest.content), 'application/octet-stream', words.damaged(id), 'bin');
}

import { exportEverything } from '#data/export-everything';
import { attachment } from '../server/attachment';
import { database } from '../server/database.server';
import type { Route } from './+types/data-export';
import { dataExport as words } from './words/data-export';

/** Everything that is kept here as one file; with `?history` the steps of undo too. */
export async function loader({ request }: Route.LoaderArgs): Promise<Response> {
  const at = new Date().toISOString();
  const everything = await exportEverything(await database(), {
    withHistory: new URL(request.url).searchParams.has('history'),
    at,
  });
  return attachment(`${JSON.stringify(everything)}\n`, 'application/json; charset=utf-8', words.venalisEverything(at.slice(0, 10)), 'json');
}

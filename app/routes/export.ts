import { archiveOf } from '#core/assembly/archive';
import { assembleDecisionFile } from '#core/assembly/assemble';
import { loadWorkbench } from '#data/decisions';
import { attachment } from '../server/attachment';
import { database } from '../server/database.server';
import { followedNow } from '#core/proposals/followed-now';
import type { Route } from './+types/export';

/**
 * The decision with the price sheets it uses: as a decision file, in which candidates that follow a proposal are made of
 * what is proposed now; with `?all` everything that is kept about it.
 */
export async function loader({ params, request }: Route.LoaderArgs): Promise<Response> {
  const saved = await loadWorkbench(await database(), params.decisionId);
  if (!saved) throw new Response('Not found', { status: 404 });
  const { workbench } = saved;
  const isAll = new URL(request.url).searchParams.has('all');
  const document = isAll ? archiveOf(workbench) : assembleDecisionFile(followedNow(workbench)).file;
  return attachment(
    `${JSON.stringify(document, null, 1)}\n`,
    'application/json; charset=utf-8',
    `${workbench.decision.name}${isAll ? ' all' : ''}`,
    'json',
  );
}

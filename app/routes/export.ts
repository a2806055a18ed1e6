import { loadWorkbench } from '#data/decisions';
import { archiveOf } from '#core/decision/archive';
import { assembleDecisionFile } from '#core/decision/assemble';
import { decisionProposals } from '#core/proposals/decision-proposals';
import { withFollowed } from '#core/proposals/followed';
import { database } from '../server/database.server';
import type { Route } from './+types/export';

/**
 * The decision with the price sheets it uses: as a decision file, in which candidates that follow a proposal are made of
 * what is proposed now; with `?all` everything that is kept about it.
 */
export async function loader({ params, request }: Route.LoaderArgs): Promise<Response> {
  const saved = await loadWorkbench(await database(), params.decisionId);
  if (!saved) throw new Response('Not found', { status: 404 });
  const { bench } = saved;
  const isAll = new URL(request.url).searchParams.has('all');
  const follows = (bench.decision.followed ?? []).some(({ pinned }) => !pinned);
  const document = isAll ? archiveOf(bench) : assembleDecisionFile(follows ? withFollowed(bench, decisionProposals(bench)) : bench).file;
  const name = bench.decision.name.toLowerCase().replace(/[^a-z0-9]+/g, '-').replace(/^-|-$/g, '').slice(0, 60) || 'decision';
  return new Response(`${JSON.stringify(document, null, 1)}\n`, {
    headers: { 'Content-Type': 'application/json; charset=utf-8', 'Content-Disposition': `attachment; filename="${name}${isAll ? '-all' : ''}.json"` },
  });
}

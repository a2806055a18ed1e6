import { loadWorkbench } from '#data/decisions';
import { assembleDecisionFile } from '#core/decision/assemble';
import { database } from '../server/database.server';
import type { Route } from './+types/export';

/** The decision as a decision file, with the price sheets it uses. */
export async function loader({ params }: Route.LoaderArgs): Promise<Response> {
  const saved = await loadWorkbench(await database(), params.decisionId);
  if (!saved) throw new Response('Not found', { status: 404 });
  const { file } = assembleDecisionFile(saved.bench);
  const name = file.name.toLowerCase().replace(/[^a-z0-9]+/g, '-').replace(/^-|-$/g, '').slice(0, 60) || 'decision';
  return new Response(`${JSON.stringify(file, null, 1)}\n`, {
    headers: { 'Content-Type': 'application/json; charset=utf-8', 'Content-Disposition': `attachment; filename="${name}.json"` },
  });
}

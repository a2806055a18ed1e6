import { archiveOf } from '#core/assembly/archive';
import { assembleDecisionFile } from '#core/assembly/assemble';
import { withOrders } from '#core/past-orders/archived-orders';
import { allOrders } from '#data/past-orders';
import { loadWorkbench } from '#data/decisions';
import { attachment } from '../server/attachment';
import { database } from '../server/database.server';
import { followedNow } from '#core/proposals/followed-now';
import type { Route } from './+types/export';
import { exportWords as words } from './words/export';

/**
 * The decision with the price sheets it uses: as a decision file, in which candidates that follow a proposal are made of
 * what is proposed now; with `?all` everything that is kept about it, and with `&orders` its past orders too.
 */
export async function loader({ params, request }: Route.LoaderArgs): Promise<Response> {
  const saved = await loadWorkbench(await database(), params.decisionId);
  if (!saved) throw new Response(words.notFound, { status: 404 });
  const { workbench } = saved;
  const { searchParams } = new URL(request.url);
  const isAll = searchParams.has('all');
  const orders = isAll && searchParams.has('orders') ? await allOrders(await database(), params.decisionId) : [];
  const document = isAll ? withOrders(archiveOf(workbench), orders) : assembleDecisionFile(followedNow(workbench)).file;
  return attachment(
    // A million orders a line each would be three times as large.
    `${orders.length > 0 ? JSON.stringify(document) : JSON.stringify(document, null, 1)}\n`,
    'application/json; charset=utf-8',
    `${workbench.decision.name}${isAll ? ' all' : ''}`,
    'json',
  );
}

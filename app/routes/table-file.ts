import { csvText } from '#core/csv/csv-text';
import { ledgerTable, lineUpTable } from '#core/csv/decision-tables';
import { attachment } from '../server/attachment';
import { openDecision } from '../server/open-decision.server';
import { price } from '../workbench/workbench-context';
import type { Route } from './+types/table-file';
import { tableFile as words } from './words/table-file';

const TABLES = ['line-up', 'ledger'] as const;

/** The line-up or the ledger as CSV. */
export async function loader({ request, params }: Route.LoaderArgs): Promise<Response> {
  const table = TABLES.find((name) => new URL(request.url).pathname.endsWith(`/${name}.csv`));
  if (!table) throw new Response(words.thereIsNoSuch, { status: 404 });
  const { workbench } = await openDecision(params.decisionId);
  const { priced, lineUp } = price(workbench);
  const rows = table === 'line-up' ? lineUpTable(lineUp, priced.pricing.file.currency) : ledgerTable(priced);
  return attachment(csvText(rows), 'text/csv; charset=utf-8', `${workbench.decision.name} ${table}`, 'csv');
}

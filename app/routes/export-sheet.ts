import { loadWorkbench } from '#data/decisions';
import { sheetLabel } from '#core/decision/sheet-label';
import { findSheet } from '#core/decision/workbench';
import { sheetFile } from '#core/sheet-import/sheet-file';
import { database } from '../server/database.server';
import type { Route } from './+types/export-sheet';
import { exportSheet as words } from './words/export-sheet';

/** One price sheet, as the decision uses it, with everything noted about its figures. */
export async function loader({ params }: Route.LoaderArgs): Promise<Response> {
  const saved = await loadWorkbench(await database(), params.decisionId);
  const used = saved && findSheet(saved.workbench, params.sheetId);
  if (!used) throw new Response(words.notFound, { status: 404 });
  const name =
    sheetLabel(used.sheet)
      .toLowerCase()
      .replace(/[^a-z0-9]+/g, '-')
      .replace(/^-|-$/g, '')
      .slice(0, 60) || 'price-sheet';
  return new Response(`${JSON.stringify(sheetFile(used.sheet), null, 1)}\n`, {
    headers: { 'Content-Type': 'application/json; charset=utf-8', 'Content-Disposition': `attachment; filename="${name}.json"` },
  });
}

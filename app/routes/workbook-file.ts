import { workbookOf } from '#core/workbook/workbook';
import { attachment } from '../server/attachment';
import { openDecision } from '../server/open-decision.server';
import { writeWorkbook } from '../server/write-workbook.server';
import { price } from '../workbench/workbench-context';
import type { Route } from './+types/workbook-file';

/** The decision as a spreadsheet whose formulas are live. */
export async function loader({ params }: Route.LoaderArgs): Promise<Response> {
  const { workbench } = await openDecision(params.decisionId);
  const sheets = workbookOf(price(workbench).priced.pricing.file);
  return attachment(
    await writeWorkbook(sheets),
    'application/vnd.openxmlformats-officedocument.spreadsheetml.sheet',
    workbench.decision.name,
    'xlsx',
  );
}

import { Link } from 'react-router';
import { ONE } from '#core/amount/decimal';
import type { Charge } from '#core/decision-file/price-sheet-schema';
import { sheetLabel } from '#core/decision/sheet-label';
import { checkSheet } from '#core/price-checks/price-checks';
import { gapsOf } from '#core/price-sheet/gaps';
import { type VendorOverview, vendorOverviews } from '#core/proposals/vendor-overview';
import { rateWords } from '#core/wording/rate-words';
import { termWords } from '#core/wording/term-words';
import { DataTable } from '../components/data-table';
import { useWriter } from '../locale/locale';
import { useWorkbench, useWorked } from '../workbench/workbench-context';
import { ageWords } from './age-words';
import { useCheckContext } from './check-context';
import { vendorTable as texts } from './words/vendor-table';

/** Every vendor in a line: its best plan for this seller, what it asks now and later, its fees, and what an order comes to. */
export function VendorTable({ today }: { today: string }) {
  const { state, decisionId, atForecast } = useWorkbench();
  const { proposals } = useWorked();
  const write = useWriter();
  const context = useCheckContext(today);
  const { sheets, decision } = state.workbench;
  const forecast = { orders: atForecast.priced.pricing.forecastAt(ONE).orders };
  const rows = vendorOverviews(sheets, proposals ?? { vendors: [] }, forecast);
  const sheetOf = (id: string) => sheets.find((one) => one.id === id)?.sheet;
  // Until the best plans are known, no other plan's figures stand in their place.
  const isKnown = proposals !== null;
  const onceKnown = (words: string) => (isKnown ? words : '…');
  const price = ({ plan }: VendorOverview, amount: string | null) =>
    onceKnown(amount === null || !plan ? '–' : (plan.currency === decision.currency ? write.money : write.price)(amount, plan.currency));
  const fee = (charge: Charge | null) => onceKnown(charge ? rateWords(charge, (decimal) => write.number(decimal)) : '–');
  const openOf = (id: string) => {
    const sheet = sheetOf(id);
    return sheet ? gapsOf(sheet) + checkSheet(sheet, context).open.length : 0;
  };
  return (
    <DataTable
      className="vendor-table"
      rows={[...rows].sort((a, b) => Number(a.perOrder ?? Infinity) - Number(b.perOrder ?? Infinity))}
      keyOf={({ sheetId }) => sheetId}
      rowClass={({ isUsable }) => (isUsable ? '' : 'is-grey')}
      columns={[
        {
          head: texts.vendor,
          kind: 'names-row',
          cell: ({ sheetId }) => {
            const sheet = sheetOf(sheetId);
            return <Link to={`/decisions/${decisionId}/sheets/${sheetId}`}>{(sheet && sheetLabel(sheet)) || texts.withoutANameYet}</Link>;
          },
        },
        {
          head: texts.bestForYou,
          cell: ({ plan, term, isUsable }) =>
            isUsable && plan && term ? (
              `${plan.label || texts.itsPlan}, ${termWords(term.months)}`
            ) : (
              <span className="quiet">{isKnown ? texts.noneOfItsPlans : texts.workingItOut}</span>
            ),
        },
        { head: texts.aMonthNow, kind: 'figures', cell: (row) => price(row, row.now) },
        { head: texts.atRenewal, kind: 'figures', cell: (row) => price(row, row.renewal) },
        { head: texts.cardFee, cell: ({ cardFee }) => fee(cardFee) },
        { head: texts.salesFee, cell: ({ salesFee }) => fee(salesFee) },
        {
          head: texts.allInAnOrder,
          kind: 'figures',
          title: texts.everythingTheVendorTakes,
          cell: ({ perOrder }) => onceKnown(perOrder === null ? '–' : write.money(perOrder, decision.currency)),
        },
        {
          head: texts.seen,
          cell: ({ sheetId }) => {
            const seen = sheetOf(sheetId)?.seen;
            return seen ? ageWords(seen, today) : <span className="quiet">{texts.notDated}</span>;
          },
        },
        {
          head: texts.open,
          kind: 'figures',
          cell: ({ sheetId }) => openOf(sheetId) || <span className="nothing">–</span>,
        },
      ]}
    />
  );
}

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
          head: 'Vendor',
          kind: 'names-row',
          cell: ({ sheetId }) => {
            const sheet = sheetOf(sheetId);
            return <Link to={`/decisions/${decisionId}/sheets/${sheetId}`}>{(sheet && sheetLabel(sheet)) || 'Without a name yet'}</Link>;
          },
        },
        {
          head: 'Best for you',
          cell: ({ plan, term, isUsable }) =>
            isUsable && plan && term ? (
              `${plan.label || 'its plan'}, ${termWords(term.months)}`
            ) : (
              <span className="quiet">{isKnown ? 'none of its plans yet' : 'working it out …'}</span>
            ),
        },
        { head: 'A month, now', kind: 'figures', cell: (row) => price(row, row.now) },
        { head: 'at renewal', kind: 'figures', cell: (row) => price(row, row.renewal) },
        { head: 'Card fee', cell: ({ cardFee }) => fee(cardFee) },
        { head: 'Sales fee', cell: ({ salesFee }) => fee(salesFee) },
        {
          head: 'All in, an order',
          kind: 'figures',
          title: 'Everything the vendor takes over the whole horizon, divided by the orders you expect',
          cell: ({ perOrder }) => onceKnown(perOrder === null ? '–' : write.money(perOrder, decision.currency)),
        },
        {
          head: 'Seen',
          cell: ({ sheetId }) => {
            const seen = sheetOf(sheetId)?.seen;
            return seen ? ageWords(seen, today) : <span className="quiet">not dated</span>;
          },
        },
        {
          head: 'Open',
          kind: 'figures',
          cell: ({ sheetId }) => openOf(sheetId) || <span className="nothing">–</span>,
        },
      ]}
    />
  );
}

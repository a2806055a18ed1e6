import { Link, useOutletContext } from 'react-router';
import * as places from '../first-steps/places-in-words';
import { EmptyPlace } from '../first-steps/empty-place';
import { VendorTable } from '../price-sheets/vendor-table';
import { useWorkbench } from '../workbench/workbench-context';
import { sheetsHome as words } from './words/sheets-home';

export default function SheetsHome() {
  const { state, decisionId } = useWorkbench();
  const { today } = useOutletContext<{ today: string }>();
  const { sheets } = state.workbench;
  const hasVendors = sheets.some(({ sheet }) => sheet.kind === 'offer');
  if (!hasVendors) return <EmptyPlace place={places.sheets} />;
  return (
    <main className="work" aria-label={words.priceSheets}>
      <h2>{words.whatVendorsCharge}</h2>
      <p className="quiet">
        {words.ofEveryVendorThePlan(
          <Link to={`/decisions/${decisionId}/sales`}>{words.expectToSell}</Link>,
          <Link to={`/decisions/${decisionId}/needs`}>{words.need}</Link>,
        )}
      </p>
      <VendorTable today={today} />
    </main>
  );
}

import { Link, useOutletContext } from 'react-router';
import { EmptyPlace } from '../first-steps/empty-place';
import { VendorTable } from '../price-sheets/vendor-table';
import { useWorkbench } from '../workbench/workbench-context';

export default function SheetsHome() {
  const { state, decisionId } = useWorkbench();
  const { today } = useOutletContext<{ today: string }>();
  const { sheets } = state.workbench;
  const hasVendors = sheets.some(({ sheet }) => sheet.kind === 'offer');
  if (!hasVendors) return <EmptyPlace place="sheets" />;
  return (
    <main className="work" aria-label="Price sheets">
      <h2>What vendors charge</h2>
      <p className="quiet">
        Of every vendor the plan that is best for what you <Link to={`/decisions/${decisionId}/sales`}>expect to sell</Link> and{' '}
        <Link to={`/decisions/${decisionId}/needs`}>need</Link>, the one that takes least of an order first. Choose a vendor to see its
        whole sheet.
      </p>
      <VendorTable today={today} />
    </main>
  );
}

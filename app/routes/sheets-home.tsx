import { Link, useOutletContext } from 'react-router';
import { VendorTable } from '../price-sheets/vendor-table';
import { useWorkbench } from '../workbench/workbench-context';

export default function SheetsHome() {
  const { state, decisionId } = useWorkbench();
  const { today } = useOutletContext<{ today: string }>();
  const { sheets } = state.workbench;
  const hasVendors = sheets.some(({ sheet }) => sheet.kind === 'offer');
  return (
    <main className="work" aria-label="Price sheets">
      <h2>What the vendors ask</h2>
      {!hasVendors && (
        <p>
          Add a vendor and enter its plans the way its pricing page states them, or paste the whole page: every vendor then stands here in a
          line, with what its best plan for you comes to.
        </p>
      )}
      {hasVendors && (
        <>
          <p className="quiet">
            Of every vendor the plan that is best for what you <Link to={`/decisions/${decisionId}/sales`}>expect to sell</Link> and{' '}
            <Link to={`/decisions/${decisionId}/needs`}>need</Link>, the one that takes least of an order first. Choose a vendor to see its
            whole sheet.
          </p>
          <VendorTable today={today} />
        </>
      )}
    </main>
  );
}

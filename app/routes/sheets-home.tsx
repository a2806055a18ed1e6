import { Link } from 'react-router';
import { sheetLabel } from '#core/decision/sheet-label';
import { useWorkbench } from '../workbench/workbench-context';

export default function SheetsHome() {
  const { state, decisionId } = useWorkbench();
  const { sheets } = state.workbench;
  return (
    <main className="work" aria-label="Price sheets">
      <h2>What the vendors ask</h2>
      {sheets.length === 0 ? (
        <p>
          Add a vendor and enter its plans the way its pricing page states them, plans side by side. Every plan with a price comes into the
          line-up by itself.
        </p>
      ) : (
        <>
          <p>
            One sheet a vendor, plans side by side, as pricing pages are laid out. Choose one at the left, or start with{' '}
            <Link to={`/decisions/${decisionId}/sheets/${sheets[0]?.id ?? ''}`}>
              {sheets[0] ? sheetLabel(sheets[0].sheet) || 'the first' : ''}
            </Link>
            .
          </p>
          <p className="quiet">A sheet is kept on its own: other decisions can use it too, each remembers which revision it used.</p>
        </>
      )}
    </main>
  );
}

import { useOutletContext } from 'react-router';
import type { ListedSheet } from '#data/sheets';
import { findSheet } from '#core/decision/workbench';
import { AddonSheet } from '../price-sheets/addon-sheet';
import { OfferSheetForm } from '../price-sheets/offer-sheet';
import { ProcessorSheetForm } from '../price-sheets/processor-sheet';
import { NewerSheetNotice } from '../price-sheets/newer-sheet-notice';
import { useWorkbench } from '../workbench/workbench-context';
import type { Route } from './+types/sheet';

export default function Sheet({ params }: Route.ComponentProps) {
  const { state } = useWorkbench();
  const { kept } = useOutletContext<{ kept: readonly ListedSheet[] }>();
  const used = findSheet(state.bench, params.sheetId);
  if (!used)
    return (
      <main className="work" aria-label="Price sheet">
        <h2>This price sheet is not part of the decision</h2>
        <p>It may have been taken off. Choose another at the left; undo brings back one that was just removed.</p>
      </main>
    );
  const newest = kept.find(({ id }) => id === used.id);
  return (
    <main className="work" aria-label="Price sheet" key={used.id}>
      {newest && newest.revision > used.revision && <NewerSheetNotice used={used} newest={newest} />}
      {used.sheet.kind === 'offer' && <OfferSheetForm id={used.id} sheet={used.sheet} />}
      {used.sheet.kind === 'processor' && <ProcessorSheetForm id={used.id} sheet={used.sheet} />}
      {used.sheet.kind === 'addon' && <AddonSheet id={used.id} sheet={used.sheet} />}
    </main>
  );
}

import { useOutletContext } from 'react-router';
import type { ListedSheet } from '#data/sheets';
import { findSheet } from '#core/decision/workbench';
import { SheetForm } from '../price-sheets/sheet-form';
import { NewerSheetNotice } from '../price-sheets/newer-sheet-notice';
import { useWorkbench } from '../workbench/workbench-context';
import type { Route } from './+types/sheet';
import { sheet as words } from './words/sheet';

export default function Sheet({ params }: Route.ComponentProps) {
  const { state } = useWorkbench();
  const { kept, today } = useOutletContext<{ kept: readonly ListedSheet[]; today: string }>();
  const used = findSheet(state.workbench, params.sheetId);
  if (!used)
    return (
      <main className="work" aria-label={words.priceSheet}>
        <h2>{words.thisPriceSheetIsNotPart}</h2>
        <p>{words.itMayHaveBeen}</p>
      </main>
    );
  const newest = kept.find(({ id }) => id === used.id);
  return (
    <div className="sheet-place" key={used.id}>
      {newest && newest.revision > used.revision && <NewerSheetNotice used={used} newest={newest} />}
      <SheetForm id={used.id} sheet={used.sheet} today={today} />
    </div>
  );
}

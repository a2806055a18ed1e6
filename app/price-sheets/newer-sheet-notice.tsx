import { Button } from 'antd';
import type { UsedSheet } from '#core/decision/workbench';
import { sheetLabel } from '#core/decision/sheet-label';
import { useStore } from '../workbench/workbench-context';
import { newerSheetNotice as words } from './words/newer-sheet-notice';

/** This decision still uses an older revision of a sheet that was changed from another decision. */
export function NewerSheetNotice({ used, newest }: { used: UsedSheet; newest: UsedSheet }) {
  const { store } = useStore();
  const take = () =>
    store.change({ key: `${used.id}.newest`, label: words.theNewest(sheetLabel(newest.sheet)) }, (workbench) => ({
      ...workbench,
      sheets: workbench.sheets.map((one) => (one.id === used.id ? { id: used.id, revision: newest.revision, sheet: newest.sheet } : one)),
    }));
  return (
    <p className="notice">
      {words.thisSheetWasChanged}{' '}
      <Button size="small" onClick={take}>
        {words.useTheNewest}
      </Button>
    </p>
  );
}

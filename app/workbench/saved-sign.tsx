import { SteadyButton as Button } from '../components/steady-button';
import { useSyncExternalStore } from 'react';
import { useWriter } from '../locale/locale';
import { useWorkbench } from './workbench-context';
import { savedSign as words } from './words/saved-sign';

const never = () => () => undefined;

/** The quiet sign of saved, saving or not saved and why. */
export function SavedSign() {
  const { state, store } = useWorkbench();
  const write = useWriter();
  // The time of day depends on the person's time zone, which only the browser knows.
  const savedAt = useSyncExternalStore(
    never,
    () => write.time(state.savedAt),
    () => '',
  );
  if (state.save.kind === 'saving') return <span className="saved-sign">{words.saving}</span>;
  if (state.save.kind === 'conflict') return <span className="saved-sign is-problem">{words.notSavedChangedElsewhere}</span>;
  if (state.save.kind === 'not-saved')
    return (
      <span className="saved-sign is-problem" role="alert">
        {words.notSaved(state.save.why)}{' '}
        <Button type="link" size="small" onClick={() => void store.flush()}>
          {words.tryAgain}
        </Button>
      </span>
    );
  return <span className="saved-sign">{words.saved(savedAt)}</span>;
}

/** Two windows changed the same decision: says so, and lets the person choose; neither version is lost. */
export function ConflictNotice() {
  const { state, store } = useWorkbench();
  const write = useWriter();
  const { save } = state;
  const at = useSyncExternalStore(
    never,
    () => (save.kind === 'conflict' ? write.time(save.other.savedAt) : ''),
    () => '',
  );
  if (save.kind !== 'conflict') return null;
  const sheets = save.staleSheets.length > 0 && save.other.revision === state.revision;
  return (
    <div className="conflict" role="alert">
      <p>
        {words.whatYouTypedHere(
          <b>{sheets ? words.thisPriceSheetWas : words.thisDecisionWasChanged}</b>,
          !sheets && words.at(at, save.other.undo ? ` (${save.other.undo})` : ''),
        )}
      </p>
      <p>
        <Button type="primary" onClick={() => void store.resolveConflict('mine')}>
          {words.keepMyVersion}
        </Button>{' '}
        <Button onClick={() => void store.resolveConflict('other')}>{words.takeTheOtherVersion}</Button>{' '}
        <span className="quiet">{words.eitherWayUndoBrings}</span>
      </p>
    </div>
  );
}

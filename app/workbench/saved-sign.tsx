import { SteadyButton as Button } from '../components/steady-button';
import { useSyncExternalStore } from 'react';
import { useWriter } from '../locale/locale';
import { useWorkbench } from './workbench-context';

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
  if (state.save.kind === 'saving') return <span className="saved-sign">saving …</span>;
  if (state.save.kind === 'conflict') return <span className="saved-sign is-problem">not saved: changed elsewhere</span>;
  if (state.save.kind === 'not-saved')
    return (
      <span className="saved-sign is-problem" role="alert">
        not saved: {state.save.why}{' '}
        <Button type="link" size="small" onClick={() => void store.flush()}>
          try again
        </Button>
      </span>
    );
  return <span className="saved-sign">saved {savedAt}</span>;
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
        <b>{sheets ? 'This price sheet was changed from another decision' : 'This decision was changed elsewhere'}</b>
        {!sheets && ` at ${at}${save.other.undo ? ` (${save.other.undo})` : ''}`}. What you typed here is still here, and not saved yet.
      </p>
      <p>
        <Button type="primary" onClick={() => void store.resolveConflict('mine')}>
          Keep my version
        </Button>{' '}
        <Button onClick={() => void store.resolveConflict('other')}>Take the other version</Button>{' '}
        <span className="quiet">Either way, undo brings back the one you did not take.</span>
      </p>
    </div>
  );
}

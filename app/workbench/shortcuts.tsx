import { SteadyButton as Button } from '../components/steady-button';
import { lazy, Suspense, useEffect } from 'react';
import { useNavigate } from 'react-router';
import { CommandDialog } from '../command-list/command-dialog';
import { useDialog } from '../command-list/use-dialog';
import type { Place } from './places';
import { useWorkbench } from './workbench-context';
import { shortcuts as words } from './words/shortcuts';

const isTextField = (target: EventTarget | null) =>
  target instanceof HTMLElement &&
  (target.matches('input, textarea, select, [contenteditable="true"]') || target.closest('[role="combobox"]') !== null);

const KeyList = lazy(() => import('../command-list/key-list'));

/** Undo, redo, and the keys of the workbench; the list of them opens with "?". */
export function Shortcuts({ places }: { places: readonly Place[] }) {
  const { store, state, decisionId } = useWorkbench();
  const navigate = useNavigate();
  const { dialog, isOpen, open: openKeys, closed } = useDialog();
  useEffect(() => {
    const press = (event: KeyboardEvent) => {
      const place = event.altKey && !event.ctrlKey && /^Digit[1-9]$/.test(event.code) ? places[Number(event.code.slice(5)) - 1] : undefined;
      const step = (event.ctrlKey || event.metaKey) && event.key.toLowerCase() === 'z' && !isTextField(event.target);
      if (place) void navigate(`/decisions/${decisionId}/${place.path}`);
      else if (step) void store.step(event.shiftKey ? 'redo' : 'undo');
      else if (event.key === '?' && !isTextField(event.target)) openKeys();
      else return;
      event.preventDefault();
    };
    window.addEventListener('keydown', press);
    return () => window.removeEventListener('keydown', press);
  }, [store, places, decisionId, navigate, openKeys]);
  return (
    <>
      <Button
        type="text"
        size="small"
        disabled={state.undo === null}
        title={state.undo ? words.undoUndo(state.undo) : words.nothingToUndo}
        onClick={() => void store.step('undo')}
      >
        {words.undo}
      </Button>
      <Button
        type="text"
        size="small"
        disabled={state.redo === null}
        title={state.redo ? words.redoRedo(state.redo) : words.nothingToRedo}
        onClick={() => void store.step('redo')}
      >
        {words.redo}
      </Button>
      <CommandDialog onKeys={openKeys} />
      <Button type="text" size="small" aria-label={words.keys} title={words.keys} onClick={openKeys}>
        ?
      </Button>
      <dialog ref={dialog} className="keys" aria-label={words.keys} onClose={closed}>
        <Suspense fallback={null}>{isOpen && <KeyList places={places} />}</Suspense>
      </dialog>
    </>
  );
}

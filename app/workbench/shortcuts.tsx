import { Button } from 'antd';
import { useEffect, useRef } from 'react';
import { useNavigate } from 'react-router';
import type { Place } from './places';
import { useWorkbench } from './workbench-context';

const isTextField = (target: EventTarget | null) =>
  target instanceof HTMLElement &&
  (target.matches('input, textarea, select, [contenteditable="true"]') || target.closest('[role="combobox"]') !== null);

/** Undo, redo, and the keys of the workbench; the list of them opens with "?". */
export function Shortcuts({ places }: { places: readonly Place[] }) {
  const { store, state, decisionId } = useWorkbench();
  const navigate = useNavigate();
  const list = useRef<HTMLDialogElement>(null);
  useEffect(() => {
    const press = (event: KeyboardEvent) => {
      const place = event.altKey && !event.ctrlKey && /^Digit\d$/.test(event.code) ? places[Number(event.code.slice(5)) - 1] : undefined;
      const step = (event.ctrlKey || event.metaKey) && event.key.toLowerCase() === 'z' && !isTextField(event.target);
      if (place) void navigate(`/decisions/${decisionId}/${place.path}`);
      else if (step) void store.step(event.shiftKey ? 'redo' : 'undo');
      else if (event.key === '?' && !isTextField(event.target)) list.current?.showModal();
      else return;
      event.preventDefault();
    };
    window.addEventListener('keydown', press);
    return () => window.removeEventListener('keydown', press);
  }, [store, places, decisionId, navigate]);
  return (
    <>
      <Button
        type="text"
        size="small"
        disabled={state.undo === null}
        title={state.undo ? `Undo: ${state.undo}` : 'Nothing to undo'}
        onClick={() => void store.step('undo')}
      >
        undo
      </Button>
      <Button
        type="text"
        size="small"
        disabled={state.redo === null}
        title={state.redo ? `Redo: ${state.redo}` : 'Nothing to redo'}
        onClick={() => void store.step('redo')}
      >
        redo
      </Button>
      <Button type="text" size="small" aria-label="Keys" title="Keys" onClick={() => list.current?.showModal()}>
        ?
      </Button>
      <dialog ref={list} className="keys" aria-labelledby="keys-title">
        <h2 id="keys-title">Keys</h2>
        <dl>
          {places.map(({ name }, index) => (
            <div key={name}>
              <dt>Alt + {index + 1}</dt>
              <dd>{name}</dd>
            </div>
          ))}
          <div>
            <dt>Ctrl + Z</dt>
            <dd>undo, outside text fields</dd>
          </div>
          <div>
            <dt>Ctrl + Shift + Z</dt>
            <dd>redo</dd>
          </div>
          <div>
            <dt>Enter</dt>
            <dd>on a figure: how it came about</dd>
          </div>
          <div>
            <dt>arrows, Enter, F2, Space</dt>
            <dd>on a price sheet: move, edit a cell, go through not known, nothing, no limit, not offered; typing begins a figure</dd>
          </div>
          <div>
            <dt>arrows, Page up and down, digits</dt>
            <dd>on the sales scale: another level of sales; Escape goes back to your forecast</dd>
          </div>
          <div>
            <dt>Alt + arrows</dt>
            <dd>on a candidate’s name in the comparison: move it to the left or right</dd>
          </div>
          <div>
            <dt>?</dt>
            <dd>in a price: not known; outside text fields: this list</dd>
          </div>
        </dl>
        <form method="dialog">
          <Button htmlType="submit">Close</Button>
        </form>
      </dialog>
    </>
  );
}

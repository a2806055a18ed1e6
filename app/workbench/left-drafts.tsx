import { Button } from 'antd';
import { useEffect, useState } from 'react';
import { useWriter } from '../locale/locale';
import { dropDraft, type LeftDraft, leftDrafts, noteThisTab } from './draft-storage';
import { useStore, useWorkbench } from './workbench-context';
import type { WorkbenchStore } from './workbench-store';
import { leftDrafts as words } from './words/left-drafts';

/**
 * Changes that windows left behind before they could be saved. The newest is taken up by itself; if there are more, or
 * one that cannot be read any more, the person decides about each.
 */
export function LeftDrafts() {
  const { decisionId, store } = useStore();
  const [left, setLeft] = useState<readonly LeftDraft[]>([]);
  useEffect(() => {
    let active = true;
    noteThisTab(decisionId);
    void leftDrafts(decisionId).then((found) => {
      if (!active) return;
      const newest = found.find((one) => 'draft' in one);
      if (newest) void takeUp(newest, store);
      setLeft(found.filter((one) => one !== newest));
    });
    return () => {
      active = false;
    };
  }, [decisionId, store]);
  const done = (key: string) => setLeft((before) => before.filter((one) => one.key !== key));
  return left.map((one) => <LeftDraftNotice key={one.key} left={one} onDone={() => done(one.key)} />);
}

/**
 * Takes a draft up as this window’s own changes: only then is the one that was left dropped.
 *
 * @returns whether it was taken up; not while a conflict waits to be decided
 */
async function takeUp(left: LeftDraft, store: WorkbenchStore): Promise<boolean> {
  await store.flush();
  if (!('draft' in left) || store.state().save.kind === 'conflict') return false;
  store.resume(left.draft);
  dropDraft(left.key);
  return true;
}

function LeftDraftNotice({ left, onDone }: { left: LeftDraft; onDone(): void }) {
  const { store, state } = useWorkbench();
  const write = useWriter();
  const when = left.keptAt ? words.onAt(write.day(left.keptAt.slice(0, 10)), write.time(left.keptAt)) : '';
  const discard = () => {
    dropDraft(left.key);
    onDone();
  };
  return (
    <div className="conflict" role="status">
      {'draft' in left ? (
        <p>{words.theLast(<b>{words.anotherWindowClosedWithChanges(when)}</b>, left.draft.change.label)}</p>
      ) : (
        <details>
          <summary>{words.showIt(<b>{words.somethingTypedWasNever(when)}</b>)}</summary>
          <pre className="left-text">{left.text}</pre>
        </details>
      )}
      <p>
        {'draft' in left && (
          <Button disabled={state.save.kind === 'conflict'} onClick={() => void takeUp(left, store).then((isTaken) => isTaken && onDone())}>
            {words.useTheseChanges}
          </Button>
        )}{' '}
        <Button type="text" onClick={discard}>
          {words.discard}
        </Button>
      </p>
    </div>
  );
}

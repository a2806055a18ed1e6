import { createContext, type ReactNode, useContext, useEffect, useMemo, useState, useSyncExternalStore } from 'react';
import { assembleDecisionFile, type HeldBack } from '#core/decision/assemble';
import type { Workbench } from '#core/decision/workbench';
import { type AverageMonth, averageMonth } from '#core/comparison/average-sales';
import { type PricedDecision, priceDecision } from '#core/comparison/decision-result';
import { type LineUp, lineUp } from '#core/comparison/line-up';
import { draftStorage, keepUnread, leftDraft, leftUnread } from './draft-storage';
import { httpTransport } from './http-transport';
import type { Saved } from './saved';
import { createWorkbenchStore, type WorkbenchState, type WorkbenchStore } from './workbench-store';

/** Everything that follows from the bench: one computation for all screens. */
export interface Priced {
  readonly priced: PricedDecision;
  readonly lineUp: LineUp;
  readonly average: AverageMonth;
  readonly heldBack: readonly HeldBack[];
}

interface Open {
  readonly decisionId: string;
  readonly store: WorkbenchStore;
  readonly state: WorkbenchState;
  readonly priced: Priced;
}

const OpenWorkbench = createContext<Open | null>(null);

/** Holds the open decision and what is computed from it, for the screens below. */
export function WorkbenchProvider({ decisionId, saved, children }: { decisionId: string; saved: Saved; children: ReactNode }) {
  const [store] = useState(() => createWorkbenchStore(saved, httpTransport(decisionId), draftStorage(decisionId)));
  const state = useSyncExternalStore(store.subscribe, store.state, store.state);
  const priced = useMemo(() => price(state.bench), [state.bench]);
  useEffect(() => store.receive(saved), [store, saved]);
  useEffect(() => resumeWhatWasLeft(decisionId, store), [decisionId, store]);
  useEffect(() => keepUnread(decisionId, state.unread), [decisionId, state.unread]);
  const open = useMemo(() => ({ decisionId, store, state, priced }), [decisionId, store, state, priced]);
  return <OpenWorkbench value={open}>{children}</OpenWorkbench>;
}

/** The open decision. */
export function useWorkbench(): Open {
  const open = useContext(OpenWorkbench);
  if (!open) throw new Error('No decision is open here');
  return open;
}

/** Benches never change; what one comes to is worked out once for as long as it is in use. */
const pricedBenches = new WeakMap<Workbench, Priced>();

/** Prices a bench the same way on the server and in the browser. */
export function price(bench: Workbench): Priced {
  const priced = pricedBenches.get(bench) ?? priceAnew(bench);
  pricedBenches.set(bench, priced);
  return priced;
}

function priceAnew(bench: Workbench): Priced {
  const { file, heldBack } = assembleDecisionFile(bench);
  const priced = priceDecision(file);
  return { priced, lineUp: lineUp(priced), average: averageMonth(file, priced.result), heldBack };
}

function resumeWhatWasLeft(decisionId: string, store: WorkbenchStore): () => void {
  let active = true;
  void leftDraft(decisionId).then((draft) => {
    if (draft && active) store.resume(draft);
  });
  for (const [key, unread] of leftUnread(decisionId)) store.setUnread(key, unread);
  const leave = () => void store.flush();
  window.addEventListener('pagehide', leave);
  window.addEventListener('online', leave);
  return () => {
    active = false;
    window.removeEventListener('pagehide', leave);
    window.removeEventListener('online', leave);
  };
}

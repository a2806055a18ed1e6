import { createContext, type ReactNode, useContext, useDeferredValue, useEffect, useMemo, useState, useSyncExternalStore } from 'react';
import { assembleDecisionFile, type HeldBack } from '#core/decision/assemble';
import type { Workbench } from '#core/decision/workbench';
import { decimal } from '#core/amount/decimal';
import { type AverageMonth, averageMonth } from '#core/comparison/average-sales';
import { type PricedDecision, priceDecision } from '#core/comparison/decision-result';
import { type LineUp, lineUp } from '#core/comparison/line-up';
import { type SalesScale, salesScale } from '#core/comparison/sales-scale';
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
  /** What everything comes to at the level of sales that is being looked at. */
  readonly priced: Priced;
  /** What everything comes to at the forecast itself. */
  readonly atForecast: Priced;
  /** Who is cheapest at which level of sales; null without candidates or sales. */
  readonly salesScale: SalesScale | null;
  /** The level of sales being looked at, as a multiple of the forecast; 1 is the forecast. */
  readonly scale: number;
  setScale(scale: number): void;
}

const OpenWorkbench = createContext<Open | null>(null);

/** Holds the open decision and what is computed from it, for the screens below. */
export function WorkbenchProvider({ decisionId, saved, children }: { decisionId: string; saved: Saved; children: ReactNode }) {
  const [store] = useState(() => createWorkbenchStore(saved, httpTransport(decisionId), draftStorage(decisionId)));
  const state = useSyncExternalStore(store.subscribe, store.state, store.state);
  const [scale, setScale] = useState(1);
  const atForecast = useMemo(() => price(state.bench), [state.bench]);
  const priced = useMemo(() => (scale === 1 ? atForecast : priceAt(state.bench, scale)), [state.bench, atForecast, scale]);
  useEffect(() => store.receive(saved), [store, saved]);
  useEffect(() => resumeWhatWasLeft(decisionId, store), [decisionId, store]);
  useEffect(() => keepUnread(decisionId, state.unread), [decisionId, state.unread]);
  // The scale takes longer than the totals; it follows right after they are painted.
  const settled = useDeferredValue(atForecast);
  const sales = useMemo(() => scaleOf(settled), [settled]);
  const open = useMemo(
    () => ({ decisionId, store, state, priced, atForecast, salesScale: sales, scale, setScale }),
    [decisionId, store, state, priced, atForecast, sales, scale],
  );
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
  const priced = pricedBenches.get(bench) ?? priceAt(bench, 1);
  pricedBenches.set(bench, priced);
  return priced;
}

const scales = new WeakMap<Priced, SalesScale | null>();

/** The sales scale of what was priced, worked out once. */
function scaleOf(of: Priced): SalesScale | null {
  const found = scales.get(of);
  if (found !== undefined) return found;
  const scale = salesScale(of.priced.pricing);
  scales.set(of, scale);
  return scale;
}

/** What a bench comes to at a multiple of its forecast. */
function priceAt(bench: Workbench, scale: number): Priced {
  const { file, heldBack } = assembleDecisionFile(bench);
  const priced = priceDecision(file, decimal(scale));
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

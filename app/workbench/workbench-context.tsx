import { createContext, type ReactNode, useContext, useDeferredValue, useEffect, useMemo, useState, useSyncExternalStore } from 'react';
import { useLocation, useRevalidator } from 'react-router';
import type { HeldBack } from '#core/assembly/assemble';
import { assembleToPrice } from '#core/assembly/assemble-to-price';
import { workbenchInVersion, type Workbench } from '#core/decision/workbench';
import type { DecisionFile } from '#core/decision-file/schema';
import type { VersionName } from '#core/forecast/versions';
import { type AverageMonth, averageMonth } from '#core/comparison/average-sales';
import { type PricedDecision, priceDecision } from '#core/comparison/decision-result';
import { type Levels, levelsOf } from '#core/comparison/levels';
import { type LineUp, lineUp } from '#core/comparison/line-up';
import { type SalesScale, salesScale } from '#core/comparison/sales-scale';
import { draftStorage, isBehind, keepRevision, keepUnread, leftUnread, wouldLoseSomething } from './draft-storage';
import { withFollowed } from '#core/proposals/followed';
import { useWorkedOut, type Worked } from './use-worked-out';
import { InCurrency } from '../locale/locale';
import { afterPaint } from './after-paint';
import { useAfterPaint } from './use-after-paint';
import { httpTransport } from './http-transport';
import type { Saved } from './saved';
import { createWorkbenchStore, type Unread, type WorkbenchState, type WorkbenchStore } from './workbench-store';
import { workbenchContext as words } from './words/workbench-context';

/** Everything that follows from the workbench: one computation for all screens. */
export interface Priced {
  readonly priced: PricedDecision;
  readonly lineUp: LineUp;
  readonly average: AverageMonth;
  readonly heldBack: readonly HeldBack[];
}

interface OpenStore {
  readonly decisionId: string;
  readonly store: WorkbenchStore;
}

interface Open extends OpenStore {
  /** What is kept, with candidates that follow a proposal made of what is proposed now. */
  readonly state: WorkbenchState;
  /** What everything comes to at the forecast itself. */
  readonly atForecast: Priced;
  /** Who is cheapest at which level of sales; null without candidates or sales. */
  readonly salesScale: SalesScale | null;
  /** Which version of expected sales every screen shows. */
  readonly version: VersionName;
  setVersion(version: VersionName): void;
}

/** The level of sales that is being looked at. */
interface LookedAt {
  /** A multiple of the forecast; 1 is the forecast. */
  readonly scale: number;
  setScale(scale: number): void;
  /** What everything comes to there. */
  readonly priced: Priced;
}

/** Stays the same as long as a decision is open: who only changes it, or follows one text in it, is not drawn anew. */
const Store = createContext<OpenStore | null>(null);
const OpenWorkbench = createContext<Open | null>(null);
/** Apart from the rest, so that only those who show it are drawn again when it comes. */
const WorkedOut = createContext<Worked | null>(null);
/** Apart from the rest, so that dragging along the scale draws only what shows the level. */
const LevelLookedAt = createContext<LookedAt | null>(null);

/** Holds the open decision and what is computed from it, for the screens below. */
export function WorkbenchProvider({ decisionId, saved, children }: { decisionId: string; saved: Saved; children: ReactNode }) {
  const [store] = useState(() => createWorkbenchStore(saved, httpTransport(decisionId), draftStorage(decisionId), afterPaint));
  const kept = useSyncExternalStore(store.subscribe, store.state, store.state);
  const [scale, setRawScale] = useState(1);
  const [version, setVersion] = useState<VersionName>('expected');
  const worked = useWorkedOut(kept.workbench);
  const proposals = worked.proposals;
  const live = useMemo(() => withFollowed(kept.workbench, proposals), [kept.workbench, proposals]);
  const state = useMemo(() => (live === kept.workbench ? kept : { ...kept, workbench: live }), [kept, live]);
  // On a price sheet the cell is painted first, the totals right after it; elsewhere the totals are what is looked at.
  const settledWorkbench = useAfterPaint(live);
  const workbench = useLocation().pathname.includes('/sheets/') ? settledWorkbench : live;
  const atForecast = useMemo(() => price(workbench, version), [workbench, version]);
  const levels = useMemo(() => levelsFrom(atForecast), [atForecast]);
  const priced = useMemo(() => (scale === 1 ? atForecast : levels(scale)), [atForecast, levels, scale]);
  useEffect(() => store.receive(saved), [store, saved]);
  useCatchUp(decisionId, saved.revision);
  useEffect(() => resumeWhatWasLeft(decisionId, store), [decisionId, store]);
  useEffect(() => keepUnread(decisionId, state.unread), [decisionId, state.unread]);
  // The scale takes longer than the totals; it follows right after they are painted.
  const settled = useDeferredValue(atForecast);
  const sales = useMemo(() => scaleOf(settled), [settled]);
  const opened = useMemo(() => ({ decisionId, store }), [decisionId, store]);
  const open = useMemo(
    () => ({ decisionId, store, state, atForecast, salesScale: sales, version, setVersion }),
    [decisionId, store, state, atForecast, sales, version],
  );
  const lookedAt = useMemo(
    () => ({ scale, setScale: (wanted: number) => setRawScale(Number(wanted.toPrecision(SCALE_DIGITS))), priced }),
    [scale, priced],
  );
  return (
    <Store value={opened}>
      <OpenWorkbench value={open}>
        <WorkedOut value={worked}>
          <LevelLookedAt value={lookedAt}>
            <InCurrency currency={live.decision.currency}>{children}</InCurrency>
          </LevelLookedAt>
        </WorkedOut>
      </OpenWorkbench>
    </Store>
  );
}

/** Asks again for a decision whose page was already on its way when the page before got its last change saved. */
function useCatchUp(decisionId: string, revision: number): void {
  const { revalidate } = useRevalidator();
  const { pathname } = useLocation();
  useEffect(() => {
    // Going on to another place ends a question that is under way: then it is asked again there.
    if (isBehind(decisionId, revision)) void revalidate();
    else keepRevision(decisionId, revision);
  }, [decisionId, revision, pathname, revalidate]);
}

/** The open decision. */
export function useWorkbench(): Open {
  const open = useContext(OpenWorkbench);
  if (!open) throw new Error(words.noDecisionIsOpenHere);
  return open;
}

/** Where the open decision is changed; who uses nothing else is not drawn anew by a change. */
export function useStore(): OpenStore {
  const opened = useContext(Store);
  if (!opened) throw new Error(words.noDecisionIsOpenHere);
  return opened;
}

/** The text typed into a field that could not be read as what it holds; undefined if it could. */
export function useUnread(fieldKey: string): Unread | undefined {
  const { store } = useStore();
  const read = () => store.state().unread[fieldKey];
  return useSyncExternalStore(store.subscribe, read, read);
}

/** All texts that could not be read, by their field's key. */
export function useUnreadTexts(): WorkbenchState['unread'] {
  const { store } = useStore();
  const read = () => store.state().unread;
  return useSyncExternalStore(store.subscribe, read, read);
}

/** The level of sales that is being looked at, and what everything comes to there. */
export function useLevel(): LookedAt {
  const level = useContext(LevelLookedAt);
  if (!level) throw new Error(words.noDecisionIsOpenHere);
  return level;
}

/** What is worked out beside the interface: proposals, what is to find out, how stable the fit is. */
export function useWorked(): Worked {
  const worked = useContext(WorkedOut);
  if (!worked) throw new Error(words.noDecisionIsOpenHere);
  return worked;
}

/** Benches never change; what one comes to is worked out once for as long as it is in use. */
const pricedBenches = new WeakMap<Workbench, Map<VersionName, Priced>>();

/** The last decision file of each version, written out: what changes only reasons, notes and names of needs costs nothing. */
const lastPriced = new Map<VersionName, { readonly written: string; readonly priced: Priced }>();

/** Prices a workbench the same way on the server and in the browser. */
export function price(workbench: Workbench, version: VersionName = 'expected'): Priced {
  const versions = pricedBenches.get(workbench) ?? new Map<VersionName, Priced>();
  const priced = versions.get(version) ?? pricedOnce(workbenchInVersion(workbench, version), version);
  pricedBenches.set(workbench, versions.set(version, priced));
  return priced;
}

function pricedOnce(workbench: Workbench, version: VersionName): Priced {
  const { file, heldBack } = assembleToPrice(workbench);
  const written = JSON.stringify([file, heldBack]);
  const last = lastPriced.get(version);
  if (last?.written === written) return last.priced;
  const priced = pricedFile(file, heldBack);
  lastPriced.set(version, { written, priced });
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

function pricedFile(file: DecisionFile, heldBack: readonly HeldBack[]): Priced {
  return summed(priceDecision(file), heldBack);
}

function summed(priced: PricedDecision, heldBack: readonly HeldBack[]): Priced {
  return { priced, lineUp: lineUp(priced), average: averageMonth(priced.pricing.file, priced.result), heldBack };
}

/** Digits of a scale: far finer than a finger, and exact in a number. */
const SCALE_DIGITS = 6;

/** What was priced at other levels of sales; prepared when the first one is looked at. */
function levelsFrom({ priced: { pricing }, heldBack }: Priced): (scale: number) => Priced {
  let levels: Levels | undefined;
  return (scale) => {
    levels ??= levelsOf(pricing.file);
    return summed(levels.at(scale), heldBack);
  };
}

function resumeWhatWasLeft(decisionId: string, store: WorkbenchStore): () => void {
  for (const [key, unread] of leftUnread(decisionId)) store.setUnread(key, unread);
  const leave = () => void store.flush();
  const ask = (event: BeforeUnloadEvent) => {
    if (wouldLoseSomething()) event.preventDefault();
  };
  window.addEventListener('pagehide', leave);
  window.addEventListener('online', leave);
  window.addEventListener('beforeunload', ask);
  return () => {
    window.removeEventListener('pagehide', leave);
    window.removeEventListener('online', leave);
    window.removeEventListener('beforeunload', ask);
  };
}

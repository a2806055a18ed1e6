import { ExponentialBackoff, type IBackoff, noJitterGenerator } from 'cockatiel';
import type { UsedSheet, Workbench } from '#core/decision/workbench';
import { isSameContent } from './same-content';
import { unreadStillThere } from './unread';
import type { Saved, SaveReply, SaveRequest, SaveTransport } from './saved';
import { isTakenUp, touchedSheets, withVerdictsFixed } from './workbench-changes';
import { workbenchStore as words } from './words/workbench-store';

/** What is being changed: its key joins a stretch of typing into one step of undo, its label is shown. */
export interface ChangeName {
  readonly key: string;
  readonly label: string;
}

/** Whether what is on the screen is kept. */
export type SaveState =
  | { readonly kind: 'saved' }
  | { readonly kind: 'saving' }
  | { readonly kind: 'not-saved'; readonly why: string }
  | { readonly kind: 'conflict'; readonly other: Saved; readonly staleSheets: readonly UsedSheet[] };

/** Everything the workbench's screens are drawn from. */
export interface WorkbenchState {
  readonly workbench: Workbench;
  readonly revision: number;
  readonly savedAt: string;
  readonly undo: string | null;
  readonly redo: string | null;
  readonly save: SaveState;
  /** Texts typed into fields that could not be read, by field key; their last good value is in the workbench. */
  readonly unread: Readonly<Record<string, Unread>>;
}

/** A text that could not be read as what its field holds. */
export interface Unread {
  readonly text: string;
  readonly problem: string;
  /** The field's name, as it is shown beside figures that rest on its last good value. */
  readonly label: string;
  /** Of a price sheet's cell: whether it stands for the figure alone, so that what else belongs to it stays. */
  readonly replaces?: 'figure' | 'all';
}

/** Changes that are not kept by the server yet, as they survive a reload. */
export interface Draft {
  readonly workbench: Workbench;
  readonly revision: number;
  readonly touched: readonly string[];
  readonly change: ChangeName;
  /** What was sent last, where more was typed since: found at the server it is nobody else's. */
  readonly sent?: Workbench | undefined;
}

/** Where drafts are kept in the browser. */
export interface DraftKeeper {
  keep(draft: Draft): void;
  clear(): void;
  /** Notes a revision that the server has now, before anything else can happen to the page. */
  heardOf(revision: number): void;
}

export interface WorkbenchStore {
  state(): WorkbenchState;
  subscribe(listener: () => void): () => void;
  /** Changes the workbench at once and saves it soon after. */
  change(name: ChangeName, recipe: (workbench: Workbench) => Workbench): void;
  /** Notes, or with null forgets, a text that a field could not read. */
  setUnread(key: string, unread: Unread | null): void;
  /**
   * Makes changes that a key just typed asks for. They count at once; who follows them is told once the key itself is
   * painted, or as soon as anything else happens.
   */
  whileTyping(act: () => void): void;
  /** Tells who follows what was typed last, such as when its field is left. */
  tell(): void;
  step(direction: 'undo' | 'redo'): Promise<void>;
  /** Sends what is waiting now. */
  flush(): Promise<void>;
  /** Ends a conflict by putting this version on top of the other, or the other on top of this one. */
  resolveConflict(keep: 'mine' | 'other'): Promise<void>;
  /** Takes up what the server has now, if nothing is waiting here. */
  receive(saved: Saved): void;
  /** Takes up changes that were not saved when the page was left. */
  resume(draft: Draft): void;
}

interface Waiting {
  readonly change: ChangeName;
  readonly workbench: Workbench;
  readonly touched: ReadonlySet<string>;
}

const SAVE_AFTER_MS = 400;
/** What could not be sent is tried again after two seconds, and each time after twice as long, up to a minute. */
const TRIED_AGAIN = new ExponentialBackoff({ initialDelay: 2_000, maxDelay: 60_000, generator: noJitterGenerator });

/**
 * The workbench's state in the browser, without any interface: changes apply at once, are saved one after the
 * other, each on the revision the one before gave, and are never dropped.
 *
 * @param afterPaint - calls once what is drawn already has been painted; at once unless said
 */
export function createWorkbenchStore(
  saved: Saved,
  transport: SaveTransport,
  drafts: DraftKeeper,
  afterPaint: (then: () => void) => void = (then) => then(),
): WorkbenchStore {
  let state: WorkbenchState = { ...fieldsOf(saved), workbench: saved.workbench, save: { kind: 'saved' }, unread: {} };
  let waiting: Waiting[] = [];
  let running: Promise<void> | null = null;
  let timer: ReturnType<typeof setTimeout> | undefined;
  let wait: IBackoff<unknown> | null = null;
  let lastSent: Workbench | undefined;
  const sheetRevisions = new Map(saved.workbench.sheets.map(({ id, revision }) => [id, revision]));
  const listeners = new Set<() => void>();
  let isTyping = false;
  let isToTell = false;

  const tell = () => {
    isToTell = false;
    for (const listener of listeners) listener();
  };

  const set = (next: Partial<WorkbenchState>) => {
    state = { ...state, ...next };
    if (!isTyping) return tell();
    if (isToTell) return;
    isToTell = true;
    afterPaint(() => isToTell && tell());
  };

  const later = (milliseconds: number) => {
    clearTimeout(timer);
    timer = setTimeout(() => void flush(), milliseconds);
  };

  const keepDraft = () => {
    const last = waiting.at(-1);
    if (!last) return drafts.clear();
    const touched = new Set(waiting.flatMap((one) => [...one.touched]));
    const sent = lastSent === last.workbench ? undefined : lastSent;
    drafts.keep({ workbench: last.workbench, revision: state.revision, touched: [...touched], change: last.change, sent });
  };

  const enqueue = (next: Waiting) => {
    const last = waiting.at(-1);
    const joins = last?.change.key === next.change.key && (running === null || waiting.length > 1);
    if (last && joins) waiting = [...waiting.slice(0, -1), { ...next, touched: new Set([...last.touched, ...next.touched]) }];
    else waiting = [...waiting, next];
    keepDraft();
  };

  const request = ({ change, workbench, touched }: Waiting): SaveRequest => ({
    ...change,
    revision: state.revision,
    decision: workbench.decision,
    sheets: workbench.sheets.map(({ id, sheet }) => ({
      id,
      revision: sheetRevisions.get(id) ?? 0,
      ...(touched.has(id) ? { changed: sheet } : {}),
    })),
  });

  /** Takes up the revisions of what was saved; the content on the screen may be further on already. */
  const takeUpRevisions = (reply: Saved) => {
    for (const { id, revision } of reply.workbench.sheets) sheetRevisions.set(id, revision);
    drafts.heardOf(reply.revision);
    set({
      ...fieldsOf(reply),
      workbench: {
        decision: withVerdictsFixed(state.workbench.decision, reply.workbench.decision),
        sheets: state.workbench.sheets.map((used) => ({ ...used, revision: sheetRevisions.get(used.id) ?? used.revision })),
      },
    });
  };

  const replaceBy = (reply: Saved) => {
    sheetRevisions.clear();
    for (const { id, revision } of reply.workbench.sheets) sheetRevisions.set(id, revision);
    drafts.heardOf(reply.revision);
    set({ ...fieldsOf(reply), workbench: reply.workbench });
  };

  const sendAll = async () => {
    while (waiting[0] && state.save.kind !== 'conflict') {
      const [sent] = waiting;
      set({ save: { kind: 'saving' } });
      const sentBefore = lastSent;
      lastSent = sent.workbench;
      const reply = await transport.save(request(sent));
      if (reply.kind === 'stale' && sentBefore && isSameContent(reply.current.workbench, sentBefore)) {
        takeUpRevisions(reply.current);
        continue;
      }
      if (isOwnEcho(reply)) {
        waiting = [];
        replaceBy(reply.current);
        keepDraft();
        break;
      }
      if (!taken(reply)) return;
      waiting = waiting.slice(1);
      lastSent = undefined;
      takeUpRevisions(reply.saved);
      keepDraft();
    }
    if (waiting.length === 0 && state.save.kind !== 'saved') set({ save: { kind: 'saved' } });
  };

  /** Whether the reply is a save; everything else is shown, and what waits goes on waiting. */
  const taken = (reply: SaveReply): reply is Extract<SaveReply, { kind: 'saved' }> => {
    if (reply.kind === 'saved') {
      wait = null;
      return true;
    }
    if (reply.kind === 'stale') set({ save: { kind: 'conflict', other: reply.current, staleSheets: reply.staleSheets } });
    else set({ save: { kind: 'not-saved', why: reply.why } });
    if (reply.kind === 'unreachable') {
      wait = (wait ?? TRIED_AGAIN).next(undefined);
      later(wait.duration);
    }
    if (reply.kind === 'refused') joinWaiting();
    return false;
  };

  /** What stands elsewhere is what waits here: a page that was being left got it saved, but never heard so. */
  const isOwnEcho = (reply: SaveReply): reply is Extract<SaveReply, { kind: 'stale' }> =>
    reply.kind === 'stale' && isSameContent(reply.current.workbench, state.workbench);

  /** What was refused goes along with the next change, which may mend it. */
  const joinWaiting = () => {
    const last = waiting.at(-1);
    if (last) waiting = [{ ...last, touched: new Set(waiting.flatMap((one) => [...one.touched])) }];
  };

  const flush = async (): Promise<void> => {
    clearTimeout(timer);
    running ??= sendAll().finally(() => {
      running = null;
    });
    await running;
  };

  return {
    state: () => state,
    subscribe(listener) {
      listeners.add(listener);
      return () => listeners.delete(listener);
    },
    change(name, recipe) {
      const workbench = recipe(state.workbench);
      if (workbench === state.workbench) return;
      const touched = touchedSheets(state.workbench, workbench);
      for (const { id, revision } of workbench.sheets)
        if (!sheetRevisions.has(id) || isTakenUp(state.workbench, id, revision)) sheetRevisions.set(id, revision);
      const isConflict = state.save.kind === 'conflict';
      const pending = waiting.at(-1);
      if (pending && pending.change.key !== name.key && !isConflict) void flush();
      enqueue({ change: name, workbench, touched });
      const unread = unreadStillThere(state.unread, state.workbench, workbench);
      set({ workbench, unread, ...(isConflict ? {} : { save: { kind: 'saving' } }) });
      if (!isConflict) later(SAVE_AFTER_MS);
    },
    setUnread(key, unread) {
      if (unread === null && !(key in state.unread)) return;
      const { [key]: _former, ...others } = state.unread;
      set({ unread: unread ? { ...others, [key]: unread } : others });
    },
    whileTyping(act) {
      isTyping = true;
      try {
        act();
      } finally {
        isTyping = false;
      }
    },
    tell() {
      if (isToTell) tell();
    },
    async step(direction) {
      await flush();
      if (waiting.length > 0 || state[direction] === null) return;
      const reply = await transport.step(direction, state.revision);
      if (taken(reply)) {
        replaceBy(reply.saved);
        set({ save: { kind: 'saved' }, unread: {} });
      }
    },
    flush,
    async resolveConflict(keep) {
      if (state.save.kind !== 'conflict') return;
      const { other, staleSheets } = state.save;
      for (const { id, revision } of [...other.workbench.sheets, ...staleSheets]) sheetRevisions.set(id, revision);
      const touched = new Set(waiting.flatMap((one) => [...one.touched]));
      waiting = [{ change: { key: 'this-version', label: words.theVersionOfThisWindow }, workbench: state.workbench, touched }];
      set({ ...fieldsOf(other), save: { kind: 'saving' } });
      await flush();
      if (keep === 'mine' || waiting.length > 0) return;
      const newer = new Map(staleSheets.map((used) => [used.id, used]));
      const workbench = { ...other.workbench, sheets: other.workbench.sheets.map((used) => newer.get(used.id) ?? used) };
      const restored = new Set(workbench.sheets.filter(({ id }) => touched.has(id)).map(({ id }) => id));
      waiting = [{ change: { key: 'other-version', label: words.theVersionFromElsewhere }, workbench, touched: restored }];
      set({ workbench, unread: {} });
      await flush();
    },
    receive(reply) {
      if (waiting.length === 0 && reply.revision > state.revision && state.save.kind !== 'conflict') replaceBy(reply);
    },
    resume(draft) {
      if (isSameContent(draft.workbench, state.workbench)) return drafts.clear();
      for (const { id, revision } of draft.workbench.sheets) if (!sheetRevisions.has(id)) sheetRevisions.set(id, revision);
      waiting = [{ change: draft.change, workbench: draft.workbench, touched: new Set(draft.touched) }];
      const other = { workbench: state.workbench, ...fieldsOf(state) };
      // What was on its way when the page was left has arrived: what was typed after it goes on top.
      const isOwn = draft.revision === other.revision || (draft.sent !== undefined && isSameContent(draft.sent, state.workbench));
      // It stays a draft made on its own revision, whatever happens to the page before it is saved or decided about.
      set({ workbench: draft.workbench, revision: isOwn ? other.revision : draft.revision });
      lastSent = draft.sent;
      keepDraft();
      if (isOwn) later(0);
      else set({ save: { kind: 'conflict', other, staleSheets: [] } });
    },
  };
}

function fieldsOf({ revision, savedAt, undo, redo }: Pick<Saved, 'revision' | 'savedAt' | 'undo' | 'redo'>) {
  return { revision, savedAt, undo, redo };
}

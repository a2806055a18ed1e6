import { newId } from './new-id';
import { markAsOpen, openWindows } from './open-windows';
import type { Draft, DraftKeeper, Unread } from './workbench-store';
import { draftStorage as words } from './words/draft-storage';

/** A draft that a window left behind: as it can be taken up again, or as text where it cannot be read. */
export type LeftDraft = { readonly key: string; readonly keptAt: string | null } & ({ readonly draft: Draft } | { readonly text: string });

/** This page among all windows that are open; a page that is loaded again is another one. */
let thisWindow: string | undefined;

function windowId(): string {
  if (thisWindow === undefined) {
    thisWindow = newId();
    markAsOpen(thisWindow);
  }
  return thisWindow;
}

const prefixOf = (decisionId: string) => `venalis.draft.${decisionId}`;

/** What was typed and could not be kept anywhere: leaving the page would lose it. */
const unsafe = new Set<string>();

/** Whether leaving this page would lose something that was typed. */
export function wouldLoseSomething(): boolean {
  return unsafe.size > 0;
}

/** Changes that were not saved yet survive the page in the browser's own storage, a place for each decision and window. */
export function draftStorage(decisionId: string): DraftKeeper {
  const key = () => `${prefixOf(decisionId)}.${windowId()}`;
  return {
    keep: (draft) => keepAt(localStorageOf, key(), JSON.stringify({ ...draft, keptAt: new Date().toISOString() })),
    clear: () => keepAt(localStorageOf, key(), null),
    heardOf: (revision) => keepRevision(decisionId, revision),
  };
}

/** Without marks of open windows, a draft counts as left behind when nothing was added to it for so long. */
const QUIET_MS = 120_000;

/**
 * The drafts that windows left behind which are no longer open, the newest first. One of an older form, or of a form
 * that is not known, comes as text.
 */
export async function leftDrafts(decisionId: string): Promise<LeftDraft[]> {
  const prefix = prefixOf(decisionId);
  const keys = attempt(() => Object.keys(localStorage).filter((key) => key === prefix || key.startsWith(`${prefix}.`))) ?? [];
  const own = `${prefix}.${windowId()}`;
  const others = keys.filter((key) => key !== own);
  if (others.length === 0) return [];
  const open = await openWindows();
  const { draftSchema } = await import('./draft-schema');
  const left = others.flatMap((key): LeftDraft[] => {
    const text = attempt(() => localStorage.getItem(key));
    if (text === null) return [];
    const parsed = attempt((): unknown => JSON.parse(text));
    const keptAt =
      typeof parsed === 'object' && parsed !== null && 'keptAt' in parsed && typeof parsed.keptAt === 'string' ? parsed.keptAt : null;
    const isOpen = open
      ? open.has(key.slice(prefix.length + 1))
      : keptAt !== null && Date.now() - Date.parse(keptAt) < QUIET_MS && !wasThisTab(key);
    if (isOpen) return [];
    const read = draftSchema.safeParse(parsed);
    return [{ key, keptAt, ...(read.success ? { draft: read.data } : { text }) }];
  });
  return left.sort((a, b) => (b.keptAt ?? '').localeCompare(a.keptAt ?? ''));
}

const TAB = 'venalis.tab';

/** Whether a draft was kept by the page that was open in this tab before. */
function wasThisTab(key: string): boolean {
  return attempt(() => sessionStorage.getItem(TAB)) === key;
}

/** Notes which draft is this tab’s, for the page that comes after this one. */
export function noteThisTab(decisionId: string): void {
  attempt(() => sessionStorage.setItem(TAB, `${prefixOf(decisionId)}.${windowId()}`));
}

/** Drops a draft that was taken up or that the person does not want. */
export function dropDraft(key: string): void {
  attempt(() => localStorage.removeItem(key));
}

const revisionKey = (decisionId: string) => `venalis.revision.${decisionId}`;

/** Notes the revision that this window has last heard of. */
export function keepRevision(decisionId: string, revision: number): void {
  attempt(() => sessionStorage.setItem(revisionKey(decisionId), String(revision)));
}

/** Whether this window has heard of a newer revision than this: its page was on its way while a save was finished. */
export function isBehind(decisionId: string, revision: number): boolean {
  return Number(attempt(() => sessionStorage.getItem(revisionKey(decisionId)))) > revision;
}

const unreadKey = (decisionId: string) => `venalis.unread.${decisionId}`;

/** Keeps texts that fields could not read, for as long as the window is open. */
export function keepUnread(decisionId: string, unread: Readonly<Record<string, Unread>>): void {
  keepAt(sessionStorageOf, unreadKey(decisionId), Object.keys(unread).length > 0 ? JSON.stringify(unread) : null);
}

const halfTypedKey = (decisionId: string) => `venalis.half-typed.${decisionId}`;

/** Keeps the text that a field is being typed with right now, as long as it is in no state to be taken; null forgets it. */
export function keepHalfTyped(decisionId: string, typed: (Omit<Unread, 'problem'> & { key: string }) | null): void {
  const { key = '', ...text } = typed ?? {};
  const unread = typed && { [key]: { ...text, problem: words.typedButNotSaved } };
  keepAt(sessionStorageOf, halfTypedKey(decisionId), unread && JSON.stringify(unread));
}

/** Texts that fields could not read before a reload, and one that was being typed when it came. */
export function leftUnread(decisionId: string): Array<[key: string, unread: Unread]> {
  const halfTyped = unreadIn(halfTypedKey(decisionId));
  attempt(() => sessionStorage.removeItem(halfTypedKey(decisionId)));
  return [...unreadIn(unreadKey(decisionId)), ...halfTyped];
}

function unreadIn(key: string): Array<[key: string, unread: Unread]> {
  const kept = attempt((): unknown => JSON.parse(sessionStorage.getItem(key) ?? '{}'));
  if (typeof kept !== 'object' || kept === null) return [];
  return Object.entries(kept).filter((entry): entry is [string, Unread] => isUnread(entry[1]));
}

function isUnread(value: unknown): value is Unread {
  const fields = value as Partial<Record<keyof Unread, unknown>> | null;
  return typeof fields?.text === 'string' && typeof fields.problem === 'string' && typeof fields.label === 'string';
}

/** A text of several lines that counts only once it is taken over, such as a pricing page being typed. */
export function keptText(key: string): { read(): string; keep(text: string): void } {
  const at = `venalis.text.${key}`;
  return {
    read: () => attempt(() => sessionStorage.getItem(at)) ?? '',
    keep: (text) => keepAt(sessionStorageOf, at, text === '' ? null : text),
  };
}

const localStorageOf = () => localStorage;
const sessionStorageOf = () => sessionStorage;

/** Keeps a text under a key, or with null forgets it; notes where it is kept nowhere. */
function keepAt(storage: () => Storage, key: string, text: string | null): void {
  const isKept = attempt(() => {
    if (text === null) storage().removeItem(key);
    else storage().setItem(key, text);
    return true;
  });
  if (text !== null && isKept === null) unsafe.add(key);
  else unsafe.delete(key);
}

/** Storage can be full, switched off or hold rubbish; then there is nothing to fall back on, and nothing else suffers. */
function attempt<Value>(action: () => Value): Value | null {
  try {
    return action();
  } catch {
    return null;
  }
}

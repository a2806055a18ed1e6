import type { Draft, DraftKeeper, Unread } from './workbench-store';

/** Changes that were not saved yet survive a reload in the browser's own storage, one place a decision. */
export function draftStorage(decisionId: string): DraftKeeper {
  const key = `venalis.draft.${decisionId}`;
  return {
    keep: (draft) => attempt(() => localStorage.setItem(key, JSON.stringify(draft))),
    clear: () => attempt(() => localStorage.removeItem(key)),
    heardOf: (revision) => keepRevision(decisionId, revision),
  };
}

/** The draft left behind by a page that could not save, checked; null if there is none or it cannot be read. */
export async function leftDraft(decisionId: string): Promise<Draft | null> {
  const text = attempt(() => localStorage.getItem(`venalis.draft.${decisionId}`));
  if (!text) return null;
  const { draftSchema } = await import('./draft-schema');
  const read = draftSchema.safeParse(attempt((): unknown => JSON.parse(text)));
  return read.success ? read.data : null;
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
  attempt(() => sessionStorage.setItem(unreadKey(decisionId), JSON.stringify(unread)));
}

const halfTypedKey = (decisionId: string) => `venalis.half-typed.${decisionId}`;

/** Keeps the text that a field is being typed with right now, as long as it is in no state to be taken; null forgets it. */
export function keepHalfTyped(decisionId: string, typed: (Omit<Unread, 'problem'> & { key: string }) | null): void {
  const { key = '', ...text } = typed ?? {};
  const unread = typed && { [key]: { ...text, problem: 'Typed, and not taken over yet.' } };
  attempt(() => (unread ? sessionStorage.setItem(halfTypedKey(decisionId), JSON.stringify(unread)) : sessionStorage.removeItem(halfTypedKey(decisionId))));
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
    keep: (text) => attempt(() => (text === '' ? sessionStorage.removeItem(at) : sessionStorage.setItem(at, text))),
  };
}

/** Storage can be full, switched off or hold rubbish; then there is nothing to fall back on, and nothing else suffers. */
function attempt<Value>(action: () => Value): Value | null {
  try {
    return action();
  } catch {
    return null;
  }
}

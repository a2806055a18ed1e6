import type { Draft, DraftKeeper, Unread } from './workbench-store';

/** Changes that were not saved yet survive a reload in the browser's own storage, one place a decision. */
export function draftStorage(decisionId: string): DraftKeeper {
  const key = `venalis.draft.${decisionId}`;
  return {
    keep: (draft) => attempt(() => localStorage.setItem(key, JSON.stringify(draft))),
    clear: () => attempt(() => localStorage.removeItem(key)),
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

const unreadKey = (decisionId: string) => `venalis.unread.${decisionId}`;

/** Keeps texts that fields could not read, for as long as the window is open. */
export function keepUnread(decisionId: string, unread: Readonly<Record<string, Unread>>): void {
  attempt(() => sessionStorage.setItem(unreadKey(decisionId), JSON.stringify(unread)));
}

/** Texts that fields could not read before a reload. */
export function leftUnread(decisionId: string): Array<[key: string, unread: Unread]> {
  const kept = attempt((): unknown => JSON.parse(sessionStorage.getItem(unreadKey(decisionId)) ?? '{}'));
  if (typeof kept !== 'object' || kept === null) return [];
  return Object.entries(kept).filter((entry): entry is [string, Unread] => isUnread(entry[1]));
}

function isUnread(value: unknown): value is Unread {
  const fields = value as Partial<Record<keyof Unread, unknown>> | null;
  return typeof fields?.text === 'string' && typeof fields.problem === 'string' && typeof fields.label === 'string';
}

/** Storage can be full, switched off or hold rubbish; then there is nothing to fall back on, and nothing else suffers. */
function attempt<Value>(action: () => Value): Value | null {
  try {
    return action();
  } catch {
    return null;
  }
}

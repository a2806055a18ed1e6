import type { Workbench } from '#core/decision/workbench';
import type { WorkbenchState } from './workbench-store';

/** Refused texts without those of rows that a change took away: nobody could see or mend them any more. */
export function unreadStillThere(unread: WorkbenchState['unread'], before: Workbench, after: Workbench): WorkbenchState['unread'] {
  const keys = Object.keys(unread);
  if (keys.length === 0) return unread;
  const kept = idsIn(after);
  const gone = new Set([...idsIn(before)].filter((id) => !kept.has(id)));
  if (gone.size === 0) return unread;
  return Object.fromEntries(Object.entries(unread).filter(([key]) => !key.split(/[^\w-]+/).some((part) => gone.has(part))));
}

/** Every `id` that stands anywhere in a document. */
function idsIn(document: unknown, into = new Set<string>()): Set<string> {
  if (typeof document !== 'object' || document === null) return into;
  if ('id' in document && typeof document.id === 'string') into.add(document.id);
  for (const value of Object.values(document)) idsIn(value, into);
  return into;
}

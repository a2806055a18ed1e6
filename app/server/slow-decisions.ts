import type SQLite from 'better-sqlite3';
import * as z from 'zod';

const KEY = 'slowDecisions';
const MOST = 50;
const slowSchema = z.array(z.string()).catch([]);

/** Ids in a stored list of decisions that took too long to open; empty where there is none. */
export function readSlowDecisions(value: string | undefined): string[] {
  try {
    return slowSchema.parse(JSON.parse(value ?? '[]'));
  } catch {
    return [];
  }
}

/** Decisions that took too long to open: the first page does not lead into them, also after a restart. */
export function slowDecisions(sqlite: SQLite.Database | null): { note(path: string): void; clear(path: string): void } {
  const stored = sqlite?.prepare<[], { value: string }>(`select value from settings where key = '${KEY}'`).get();
  let ids = readSlowDecisions(stored?.value);
  const keep = (next: string[]) => {
    ids = next;
    try {
      sqlite
        ?.prepare('insert into settings (key, value) values (?, ?) on conflict (key) do update set value = excluded.value')
        .run(KEY, JSON.stringify(ids));
    } catch {
      // Where it cannot be kept it holds until the server ends.
    }
  };
  const decisionIn = (path: string) => /^\/decisions\/([A-Za-z0-9._-]+)\/[a-z]/.exec(path)?.[1];
  return {
    note(path) {
      const id = decisionIn(path);
      if (id && !ids.includes(id)) keep([...ids, id].slice(-MOST));
    },
    clear(path) {
      const id = ids.length > 0 && /\/(line-up|frame|sales)$/.test(path) ? decisionIn(path) : undefined;
      if (id && ids.includes(id)) keep(ids.filter((one) => one !== id));
    },
  };
}

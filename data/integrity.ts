import SQLite from 'better-sqlite3';
import { unknownMigrations } from './migrate';

const MOST_FINDINGS = 20;

/** What SQLite finds wrong with a database's structure; empty if it is sound. */
export function structureFindings(sqlite: SQLite.Database): string[] {
  try {
    const rows = sqlite.pragma(`quick_check(${MOST_FINDINGS})`) as Array<{ quick_check: string }>;
    // Findings come several to a row, under a heading.
    return rows
      .flatMap(({ quick_check }) => quick_check.split('\n'))
      .filter((finding) => finding !== 'ok' && finding !== '' && !finding.startsWith('***'));
  } catch (error) {
    return [error instanceof Error ? error.message : 'it cannot be read'];
  }
}

/** What a file is, looked at without changing it. */
export type FileFinding =
  | { readonly kind: 'sound'; readonly decisions: number }
  | { readonly kind: 'not-ours' | 'newer' | 'damaged' | 'missing'; readonly detail: string };

/**
 * Looks at a database file as a whole: whether it is one of ours, sound, and not newer than this program.
 *
 * @param file - not in use by anybody; it is not written to
 */
export function lookAtFile(file: string): FileFinding {
  let sqlite: SQLite.Database | undefined;
  try {
    sqlite = new SQLite(file, { readonly: true, fileMustExist: true });
    const tables = sqlite
      .prepare<[], { name: string }>("select name from sqlite_master where type = 'table'")
      .all()
      .map(({ name }) => name);
    if (!tables.includes('decisions') || !tables.includes('kysely_migration'))
      return { kind: 'not-ours', detail: 'it holds none of Venalis’s tables' };
    if (unknownMigrations(sqlite).length > 0) return { kind: 'newer', detail: 'a newer version of Venalis wrote it' };
    const [finding] = structureFindings(sqlite);
    if (finding !== undefined) return { kind: 'damaged', detail: finding };
    const { count } = sqlite.prepare<[], { count: number }>('select count(*) as count from decisions where deleted_at is null').get() ?? {
      count: 0,
    };
    return { kind: 'sound', decisions: count };
  } catch (error) {
    return findingOf(error);
  } finally {
    sqlite?.close();
  }
}

function findingOf(error: unknown): FileFinding {
  const code = error instanceof Error && 'code' in error ? String(error.code) : '';
  const detail = error instanceof Error ? error.message : 'it cannot be read';
  if (code.startsWith('SQLITE_CANTOPEN')) return { kind: 'missing', detail: 'it is not there or cannot be read' };
  if (code === 'SQLITE_NOTADB') return { kind: 'not-ours', detail: 'it is not a database' };
  // Version 1 has no column for deleted decisions.
  return /no such column/.test(detail) ? { kind: 'sound', decisions: 0 } : { kind: 'damaged', detail };
}

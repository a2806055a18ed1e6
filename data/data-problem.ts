/** Why the data cannot be used as it should; each is said to the person in `problemWords`. */
export type DataProblemKind =
  'no-folder' | 'not-a-database' | 'damaged' | 'newer' | 'locked' | 'read-only' | 'full' | 'not-upgraded' | 'in-use';

/** A problem with the stored data, in a sentence that says what to do. */
export class DataProblem extends Error {
  override name = 'DataProblem';

  constructor(
    readonly kind: DataProblemKind,
    message: string,
    options?: ErrorOptions,
  ) {
    super(message, options);
  }
}

const KIND_OF_CODE: ReadonlyArray<readonly [RegExp, DataProblemKind]> = [
  [/^SQLITE_(CORRUPT|NOTADB)/, 'damaged'],
  [/^(SQLITE_IOERR_CORRUPTFS)/, 'damaged'],
  [/^(SQLITE_FULL|ENOSPC|EDQUOT|SQLITE_IOERR_SHM(OPEN|SIZE|MAP)|SQLITE_IOERR_WRITE)/, 'full'],
  [/^(SQLITE_READONLY|EROFS|EACCES|EPERM|SQLITE_CANTOPEN|SQLITE_PERM)/, 'read-only'],
  [/^SQLITE_(BUSY|LOCKED)/, 'locked'],
];

/** What an error of SQLite or the file system means for the data; null for any other error. */
export function dataProblemKind(error: unknown): DataProblemKind | null {
  if (error instanceof DataProblem) return error.kind;
  const code = error instanceof Error && 'code' in error ? String(error.code) : '';
  const found = KIND_OF_CODE.find(([pattern]) => pattern.test(code))?.[1];
  if (found) return found;
  return error instanceof Error && error.cause !== undefined && error.cause !== error ? dataProblemKind(error.cause) : null;
}

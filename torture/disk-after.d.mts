/** A change to a file: write, truncate, sync, create, unlink or rename, by its first letter. */
export interface DiskChange {
  readonly what: string;
  readonly path: string;
  readonly other: string;
  readonly offset: number;
  readonly data: Buffer;
}

export function readJournal(file: string): DiskChange[];
export function diskAfter(changes: readonly DiskChange[], luck: { next(): number }): Map<string, Buffer>;
export function putDisk(files: Map<string, Buffer>, from: string, to: string): void;

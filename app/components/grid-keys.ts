import type { KeyboardEvent } from 'react';

/** A cell by its row and column, both counted from 0. */
export interface GridPoint {
  readonly row: number;
  readonly column: number;
}

const ARROWS: Readonly<Record<string, readonly [rows: number, columns: number]>> = {
  ArrowUp: [-1, 0],
  ArrowDown: [1, 0],
  ArrowLeft: [0, -1],
  ArrowRight: [0, 1],
};
const PAGE_ROWS = 10;

/** Where a key leads from a cell; null if it is no key for moving. */
export function movedTo(
  event: Pick<KeyboardEvent, 'key' | 'ctrlKey' | 'metaKey'>,
  from: GridPoint,
  rows: number,
  columns: number,
): GridPoint | null {
  const isFar = event.ctrlKey || event.metaKey;
  const arrow = ARROWS[event.key];
  if (arrow)
    return within({ row: from.row + arrow[0] * (isFar ? rows : 1), column: from.column + arrow[1] * (isFar ? columns : 1) }, rows, columns);
  if (event.key === 'Home') return within({ row: isFar ? 0 : from.row, column: 0 }, rows, columns);
  if (event.key === 'End') return within({ row: isFar ? rows : from.row, column: columns }, rows, columns);
  if (event.key === 'PageUp') return within({ row: from.row - PAGE_ROWS, column: from.column }, rows, columns);
  return event.key === 'PageDown' ? within({ row: from.row + PAGE_ROWS, column: from.column }, rows, columns) : null;
}

/** The nearest cell that there is. */
export function within({ row, column }: GridPoint, rows: number, columns: number): GridPoint {
  return { row: Math.max(0, Math.min(rows - 1, row)), column: Math.max(0, Math.min(columns - 1, column)) };
}

/** Whether a key types a character. */
export function isTyping(event: Pick<KeyboardEvent, 'key' | 'ctrlKey' | 'metaKey' | 'altKey'>): boolean {
  return event.key.length === 1 && event.key !== ' ' && !event.ctrlKey && !event.metaKey && !event.altKey;
}

/** The cells of a copied stretch of a table: rows by line, columns by tab. */
export function copiedCells(text: string): string[][] {
  return text
    .replace(/\r\n?/g, '\n')
    .replace(/\n$/, '')
    .split('\n')
    .map((line) => line.split('\t'));
}

import { useState } from 'react';
import { type CellReading, withCell } from '#core/price-sheet/read-cell';
import type { CellText } from '#core/price-sheet/rows/row-rule';
import { type GridPoint, within } from '../components/grid-keys';
import { keepHalfTyped } from '../workbench/draft-storage';
import { newId } from '../workbench/new-id';
import { useWorkbench } from '../workbench/workbench-context';
import type { Leave } from './cell-editor';
import { type GridSheet, keyOf, nameOf } from './grid-sheet';

const STEPS: Readonly<Record<Leave, GridPoint>> = {
  down: { row: 1, column: 0 },
  right: { row: 0, column: 1 },
  left: { row: 0, column: -1 },
  stay: { row: 0, column: 0 },
};

/** The cell that is being typed into. */
export type CellTypedInto = GridPoint & {
  readonly text: string;
  readonly replaces: CellText;
  readonly isAsItStands: boolean;
  onTyping(text: string | null): void;
};

/** Typing into the cells of a grid, one at a time. */
export interface EditedCell {
  readonly cell: CellTypedInto | null;
  /** Begins to edit a cell, or types over it. */
  begin(at: GridPoint, typed?: string): void;
  take(reading: Exclude<CellReading, { kind: 'open' }>, to: Leave): void;
  keepUnread(text: string, problem: string, to: Leave): void;
  leave(to: Leave): void;
  cancel(): void;
}

/**
 * Keeps what is typed into a cell of a grid until it is taken, kept unread or given up.
 *
 * @param goTo - puts the focus on a cell
 */
export function useEditedCell(grid: GridSheet, goTo: (to: GridPoint) => void): EditedCell {
  const { store, state, decisionId } = useWorkbench();
  const [cell, setCell] = useState<CellTypedInto | null>(null);
  const { id, sheet, rows, columns, columnsOf, known, write, onChange } = grid;
  const partsAt = (at: GridPoint | null) => {
    const [row, part] = at ? [rows[at.row], columns[at.column]] : [];
    return row && part ? { row, part, key: keyOf(id, row, part), label: nameOf(row, part) } : null;
  };
  const edited = partsAt(cell);

  const leave = (to: Leave) => {
    setCell(null);
    if (to === 'stay' || !cell) return;
    goTo(within({ row: cell.row + STEPS[to].row, column: cell.column + STEPS[to].column }, rows.length, columns.length));
  };
  return {
    cell,
    leave,
    begin(at, typed) {
      const found = partsAt(at);
      if (!found) return;
      const { row, part, key, label } = found;
      const unread = state.unread[key];
      const replaces = typed === undefined ? (unread?.replaces ?? 'all') : 'figure';
      setCell({
        ...at,
        replaces,
        isAsItStands: typed === undefined && !unread,
        text: typed ?? unread?.text ?? write.cell(sheet, part, row).edit,
        onTyping: (text) => keepHalfTyped(decisionId, text === null ? null : { key, text, label, replaces }),
      });
    },
    take(reading, to) {
      if (!cell || !edited) return;
      const { row, part, key, label } = edited;
      store.setUnread(key, null);
      onChange(key, label, (one) => {
        const current = columnsOf(one).find((other) => other.id === part.id);
        return current ? withCell(one, current, row, reading, cell.replaces, { known, newId }).sheet : one;
      });
      leave(to);
    },
    keepUnread(text, problem, to) {
      if (!cell || !edited) return;
      store.setUnread(edited.key, { text, problem, label: edited.label, replaces: cell.replaces });
      leave(to);
    },
    cancel() {
      setCell(null);
      if (cell) goTo({ row: cell.row, column: cell.column });
    },
  };
}

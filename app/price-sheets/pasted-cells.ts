import type { PriceSheet } from '#core/decision/price-sheet';
import { foreignIn } from '#core/price-phrase/currency-questions';
import { readCell, withCell } from '#core/price-sheet/read-cell';
import type { GridPoint } from '../components/grid-keys';
import { newId } from '../workbench/new-id';
import type { WorkbenchStore } from '../workbench/workbench-store';
import { type GridSheet, keyOf, nameOf } from './grid-sheet';
import { pastedCells as words } from './words/pasted-cells';

/** The sheet with copied cells put in from a cell to the right and downwards; what cannot be read is kept beside its cell. */
export function withPastedCells(
  sheet: PriceSheet,
  { id, rows, columns, columnsOf, known }: GridSheet,
  from: GridPoint,
  cells: readonly string[][],
  setUnread: WorkbenchStore['setUnread'],
): PriceSheet {
  let pasted = sheet;
  for (const [down, line] of cells.entries())
    for (const [right, text] of line.entries()) {
      const [row, part] = [rows[from.row + down], columns[from.column + right]];
      const current = part && columnsOf(pasted).find((column) => column.id === part.id);
      if (!row || !current || text.trim() === '') continue;
      const reading = readCell(row, text, known);
      const foreign = reading.kind === 'statements' ? foreignIn(reading.statements, current) : null;
      if (reading.kind !== 'open' && foreign === null) {
        pasted = withCell(pasted, current, row, reading, 'all', { known, newId }).sheet;
        continue;
      }
      const problem = foreign === null ? words.thisWasPastedAndIsNot : words.thisWasPastedInTheColumn(foreign, current.currency);
      setUnread(keyOf(id, row, current), { text, problem, label: nameOf(row, current) });
    }
  return pasted;
}

import { useMemo } from 'react';
import type { PriceSheet } from '#core/decision/price-sheet';
import { type GridCell, gridCell } from '#core/price-sheet/grid-cell';
import type { CellWriter } from '#core/price-sheet/rows/row-rule';
import type { GridRow } from '#core/price-sheet/grid-rows';
import { type Part, termIn } from '#core/price-sheet/parts';
import { monthlyEquivalent } from '#core/price-sheet/term-price';
import { useWriter } from '../locale/locale';
import { useCells as words } from './words/use-cells';

/** How cells write figures in the person's locale. */
export interface Cells extends CellWriter {
  /** The cell of a part in a row of its sheet. */
  cell(sheet: PriceSheet, part: Part, row: GridRow): GridCell;
  /** What paying for longer comes to by the month, and saves. */
  termNotes(part: Part, kind: { months: number; nth?: number } | null): string[];
}

export function useCells(): Cells {
  const write = useWriter();
  return useMemo(
    () =>
      withKeptCells({
        money: (amount, currency) => write.money(amount, currency),
        number: (decimal) => write.number(decimal),
        phrase: (decimal) => write.field(decimal),
        termNotes: (part, kind) => {
          const term = kind && termIn(part, kind);
          const compared = term && monthlyEquivalent(part, term);
          if (!compared) return [];
          return [words.aMonth(write.money(compared.perMonth, part.currency), compared.saved === null ? '' : savedWords(compared.saved))];
        },
      }),
    [write],
  );
}

type KeptCells = WeakMap<Part, { marks: PriceSheet['marks']; savings: PriceSheet['savings']; cells: Map<string, GridCell> }>;

/** Parts never change: what their cells say is kept until the part, or what is marked on the sheet, is another. */
function withKeptCells(write: Omit<Cells, 'cell'>): Cells {
  const kept: KeptCells = new WeakMap();
  const cellsOf = ({ marks, savings }: PriceSheet, part: Part) => {
    const found = kept.get(part);
    if (found?.marks === marks && found?.savings === savings && found) return found.cells;
    const cells = new Map<string, GridCell>();
    kept.set(part, { marks, savings, cells });
    return cells;
  };
  return {
    ...write,
    cell(sheet, part, row) {
      const cells = cellsOf(sheet, part);
      const cell = cells.get(row.key) ?? gridCell(sheet, part, row, write);
      cells.set(row.key, cell);
      return cell;
    },
  };
}

function savedWords(percent: string): string {
  const saved = Number(percent);
  if (saved === 0) return words.savesNothing;
  return saved > 0 ? words.savesPercent(percent) : words.percentDearer(-saved);
}

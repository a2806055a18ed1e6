import { type ClipboardEvent, type KeyboardEvent, type MouseEvent, type ReactNode, useLayoutEffect, useMemo, useRef } from 'react';
import type { PriceSheet } from '#core/decision/price-sheet';
import type { Finding } from '#core/price-checks/finding';
import { nextState, withCellState } from '#core/price-sheet/cell-state';
import type { GridRow } from '#core/price-sheet/grid-rows';
import type { Part } from '#core/price-sheet/parts';
import { type NoFigure, type Section, SECTIONS } from '#core/price-sheet/rows/row-rule';
import { copiedCells, type GridPoint, isTyping, movedTo, within } from '../components/grid-keys';
import { newId } from '../workbench/new-id';
import { useStore } from '../workbench/workbench-context';
import { GridSection } from './grid-section';
import { type GridSheet, keyOf, nameOf } from './grid-sheet';
import { useKnownQuantities } from './known-quantities';
import { withPastedCells } from './pasted-cells';
import { useCells } from './use-cells';
import { useEditedCell } from './use-edited-cell';
import { sheetGrid as words } from './words/sheet-grid';

interface SheetGridProps {
  id: string;
  sheet: PriceSheet;
  rows: readonly GridRow[];
  columnsOf(sheet: PriceSheet): readonly Part[];
  label: string;
  findings: readonly Finding[];
  focus: GridPoint;
  onFocus(point: GridPoint): void;
  onChange(key: string, label: string, change: (sheet: PriceSheet) => PriceSheet): void;
  /** The header row, and the row that adds to a section. */
  head: ReactNode;
  addTo(section: Section): ReactNode;
}

/**
 * Plans as columns, one row for each thing they state. Arrow keys move, typing begins a figure, Enter or F2 edits all
 * of a cell, the space bar goes through not known, nothing, no limit and not offered.
 */
export function SheetGrid({ id, sheet, rows, columnsOf, label, findings, focus, onFocus, onChange, head, addTo }: SheetGridProps) {
  const { store } = useStore();
  const known = useKnownQuantities();
  const write = useCells();
  const table = useRef<HTMLTableElement>(null);
  const columns = columnsOf(sheet);
  const point = within(focus, rows.length, columns.length);
  const askedAt = useMemo(() => countByPlace(findings), [findings]);
  const [row, part] = [rows[point.row], columns[point.column]];

  const grid: GridSheet = { id, sheet, rows, columns, columnsOf, known, write, onChange };
  const refocus = useFocusOn(table, point);
  const goTo = (to: GridPoint) => {
    refocus();
    onFocus(to);
  };
  const edited = useEditedCell(grid, goTo);

  const inState = (at: GridRow, of: Part, next: NoFigure) => {
    store.setUnread(keyOf(id, at, of), null);
    onChange(keyOf(id, at, of), nameOf(at, of), (one) => withCellState(one, of.id, at, next, newId));
  };
  const press = (event: KeyboardEvent) => {
    if (!(event.target instanceof HTMLElement) || !event.target.dataset['at'] || !row || !part) return;
    const to = movedTo(event, point, rows.length, columns.length);
    if (to) goTo(to);
    else if (event.key === 'Enter' || event.key === 'F2') edited.begin(point);
    else if (event.key === ' ') inState(row, part, nextState(row, write.cell(sheet, part, row).state));
    else if (event.key === 'Delete' || event.key === 'Backspace') inState(row, part, 'empty');
    else if (isTyping(event)) edited.begin(point, event.key);
    else return;
    event.preventDefault();
    event.stopPropagation();
  };
  const copy = (event: ClipboardEvent) => {
    if (edited.cell || !row || !part) return;
    event.clipboardData.setData('text/plain', write.cell(sheet, part, row).edit);
    event.preventDefault();
  };
  const paste = (event: ClipboardEvent) => {
    if (edited.cell) return;
    event.preventDefault();
    const cells = copiedCells(event.clipboardData.getData('text/plain'));
    onChange(`${id}.pasted.${newId()}`, words.cellsPasted, (one) => withPastedCells(one, grid, point, cells, store.setUnread));
  };
  const click = (event: MouseEvent) => {
    const at = pointAt(event);
    if (!at) return;
    if (at.row === point.row && at.column === point.column && document.activeElement === event.target) edited.begin(at);
    else goTo(at);
  };
  const doubleClick = (event: MouseEvent) => {
    const at = pointAt(event);
    if (at) edited.begin(at);
  };

  return (
    <div className="sheet-scroll" onCopy={copy} onPaste={paste}>
      <table
        className="sheet-table"
        role="grid"
        aria-label={label}
        ref={table}
        onKeyDown={press}
        onClick={click}
        onDoubleClick={doubleClick}
      >
        {head}
        {SECTIONS.map((section) => (
          <GridSection
            key={section}
            section={section}
            grid={grid}
            point={point}
            askedAt={askedAt}
            edited={edited}
            adding={addTo(section)}
          />
        ))}
      </table>
    </div>
  );
}

/** Puts the focus on a cell once it is drawn, when asked to. */
function useFocusOn(table: { readonly current: HTMLTableElement | null }, { row, column }: GridPoint): () => void {
  const isWanted = useRef(false);
  useLayoutEffect(() => {
    if (!isWanted.current) return;
    const cell = table.current?.querySelector<HTMLElement>(`[data-at="${row} ${column}"]`);
    if (!cell) return;
    isWanted.current = false;
    cell.focus();
  });
  return () => {
    isWanted.current = true;
  };
}

/** The cell that a mouse points at. */
function pointAt(event: MouseEvent): GridPoint | null {
  const cell = event.target instanceof Element ? event.target.closest<HTMLElement>('[data-at]') : null;
  const [row, column] = (cell?.dataset['at'] ?? '').split(' ').map(Number);
  return row === undefined || column === undefined || Number.isNaN(row) || Number.isNaN(column) ? null : { row, column };
}

function countByPlace(findings: readonly Finding[]): ReadonlyMap<string, number> {
  const counts = new Map<string, number>();
  for (const { place } of findings) counts.set(place, (counts.get(place) ?? 0) + 1);
  return counts;
}

import {
  type ClipboardEvent,
  type KeyboardEvent,
  type MouseEvent,
  type ReactNode,
  useLayoutEffect,
  useMemo,
  useRef,
  useState,
} from 'react';
import type { PriceSheet } from '#core/decision/price-sheet';
import { foreignIn } from '#core/price-phrase/currency-questions';
import type { Finding } from '#core/price-checks/finding';
import { nextState, withCellState } from '#core/price-sheet/cell-state';
import type { GridRow, Section } from '#core/price-sheet/grid-rows';
import type { Part } from '#core/price-sheet/parts';
import { type CellText, readCell, withCell } from '#core/price-sheet/read-cell';
import { keepHalfTyped } from '../workbench/draft-storage';
import { newId } from '../workbench/new-id';
import { useWorkbench } from '../workbench/workbench-context';
import { CellEditor, type Leave } from './cell-editor';
import { GridCellView } from './grid-cell-view';
import { copiedCells, type GridPoint, isTyping, movedTo, within } from '../components/grid-keys';
import { useKnownQuantities } from './known-quantities';
import { useCells } from './use-cells';

const SECTION_WORDS: Readonly<Record<Section, string>> = {
  price: 'What the plan costs',
  sale: 'What each sale costs',
  usage: 'What else is counted',
  extent: 'How far it goes',
  features: 'What is in it',
};

const STEPS: Readonly<Record<Leave, GridPoint>> = {
  down: { row: 1, column: 0 },
  right: { row: 0, column: 1 },
  left: { row: 0, column: -1 },
  stay: { row: 0, column: 0 },
};

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

type Editing = GridPoint & {
  readonly text: string;
  readonly replaces: CellText;
  readonly isAsItStands: boolean;
  onTyping(text: string | null): void;
};

/**
 * Plans as columns, one row for each thing they state. Arrow keys move, typing begins a figure, Enter or F2 edits all
 * of a cell, the space bar goes through not known, nothing, no limit and not offered.
 */
export function SheetGrid({ id, sheet, rows, columnsOf, label, findings, focus, onFocus, onChange, head, addTo }: SheetGridProps) {
  const { store, state, decisionId } = useWorkbench();
  const known = useKnownQuantities();
  const [editing, setEditing] = useState<Editing | null>(null);
  const table = useRef<HTMLTableElement>(null);
  const wantsFocus = useRef(false);
  const columns = columnsOf(sheet);
  const point = within(focus, rows.length, columns.length);
  const write = useCells();
  const askedAt = useMemo(() => countByPlace(findings), [findings]);
  const candidates = useCandidateMarks();

  useLayoutEffect(() => {
    if (!wantsFocus.current || editing) return;
    wantsFocus.current = false;
    table.current?.querySelector<HTMLElement>(`[data-at="${point.row} ${point.column}"]`)?.focus();
  }, [point.row, point.column, editing]);

  const nameOf = (row: GridRow, part: Part) => `${part.label || 'this plan'}, ${row.title.toLowerCase()}`;
  const keyOf = (row: GridRow, part: Part) => `${id}.${part.id}.${row.key}`;
  const goTo = (to: GridPoint) => {
    wantsFocus.current = true;
    onFocus(to);
  };
  const edit = (at: GridPoint, typed?: string) => {
    const [row, part] = [rows[at.row], columns[at.column]];
    if (!row || !part) return;
    const unread = state.unread[keyOf(row, part)];
    const [key, label] = [keyOf(row, part), nameOf(row, part)];
    const replaces = typed === undefined ? (unread?.replaces ?? 'all') : 'figure';
    setEditing({
      ...at,
      replaces,
      isAsItStands: typed === undefined && !unread,
      text: typed ?? unread?.text ?? write.cell(sheet, part, row).edit,
      onTyping: (text) => keepHalfTyped(decisionId, text === null ? null : { key, text, label, replaces }),
    });
  };
  const leave = (from: GridPoint, to: Leave) => {
    setEditing(null);
    const step = STEPS[to];
    if (to !== 'stay') goTo(within({ row: from.row + step.row, column: from.column + step.column }, rows.length, columns.length));
  };
  const inState = (row: GridRow, part: Part, next: ReturnType<typeof nextState>) => {
    store.setUnread(keyOf(row, part), null);
    onChange(keyOf(row, part), nameOf(row, part), (one) => withCellState(one, part.id, row, next, newId));
  };

  const press = (event: KeyboardEvent) => {
    const [row, part] = [rows[point.row], columns[point.column]];
    if (!(event.target instanceof HTMLElement) || !event.target.dataset['at'] || !row || !part) return;
    const to = movedTo(event, point, rows.length, columns.length);
    if (to) goTo(to);
    else if (event.key === 'Enter' || event.key === 'F2') edit(point);
    else if (event.key === ' ') inState(row, part, nextState(row, write.cell(sheet, part, row).state));
    else if (event.key === 'Delete' || event.key === 'Backspace') inState(row, part, 'empty');
    else if (isTyping(event)) edit(point, event.key);
    else return;
    event.preventDefault();
    event.stopPropagation();
  };

  const copy = (event: ClipboardEvent) => {
    const [row, part] = [rows[point.row], columns[point.column]];
    if (editing || !row || !part) return;
    event.clipboardData.setData('text/plain', write.cell(sheet, part, row).edit);
    event.preventDefault();
  };

  const paste = (event: ClipboardEvent) => {
    if (editing) return;
    event.preventDefault();
    const cells = copiedCells(event.clipboardData.getData('text/plain')).flatMap((line, down) =>
      line.map((text, right) => ({ text, row: rows[point.row + down], part: columns[point.column + right] })),
    );
    onChange(`${id}.pasted.${newId()}`, 'cells pasted', (one) =>
      cells.reduce((changed, { text, row, part }) => {
        const current = part && columnsOf(changed).find((column) => column.id === part.id);
        if (!row || !current || text.trim() === '') return changed;
        const reading = readCell(row, text, known);
        const foreign = reading.kind === 'statements' ? foreignIn(reading.statements, current) : null;
        if (reading.kind !== 'open' && foreign === null) return withCell(changed, current, row, reading, 'all', { known, newId }).sheet;
        const problem =
          foreign === null
            ? 'This was pasted and is not understood here.'
            : `This was pasted in ${foreign}; the column is in ${current.currency}.`;
        store.setUnread(keyOf(row, current), { text, problem, label: nameOf(row, current) });
        return changed;
      }, one),
    );
  };

  const pointAt = (event: MouseEvent): GridPoint | null => {
    const cell = event.target instanceof Element ? event.target.closest<HTMLElement>('[data-at]') : null;
    const [row, column] = (cell?.dataset['at'] ?? '').split(' ').map(Number);
    return row === undefined || column === undefined || Number.isNaN(row) || Number.isNaN(column) ? null : { row, column };
  };
  const click = (event: MouseEvent) => {
    const at = pointAt(event);
    if (!at) return;
    if (at.row === point.row && at.column === point.column && document.activeElement === event.target) edit(at);
    else goTo(at);
  };

  const sections = (['price', 'sale', 'usage', 'extent', 'features'] as const).map((section) => ({
    section,
    rows: rows.map((row, index) => ({ row, index })).filter(({ row }) => row.section === section),
  }));
  return (
    <div className="sheet-scroll" onCopy={copy} onPaste={paste}>
      <table
        className="sheet-table"
        role="grid"
        aria-label={label}
        ref={table}
        onKeyDown={press}
        onClick={click}
        onDoubleClick={(event) => {
          const at = pointAt(event);
          if (at) edit(at);
        }}
      >
        {head}
        {sections.map(({ section, rows: inSection }) => {
          const adding = addTo(section);
          if (inSection.length === 0 && !adding) return null;
          return (
            <tbody key={section}>
              <tr className="section">
                <th colSpan={columns.length + 2}>{SECTION_WORDS[section]}</th>
              </tr>
              {inSection.map(({ row, index }) => (
                <tr key={row.key}>
                  <th scope="row">
                    {row.title}
                    {row.note && <small>{row.note}</small>}
                  </th>
                  {columns.map((part, column) => {
                    if (editing?.row === index && editing.column === column)
                      return (
                        <CellEditor
                          key={part.id}
                          name={nameOf(row, part)}
                          row={row}
                          part={part}
                          known={known}
                          start={editing.text}
                          isAsItStands={editing.isAsItStands}
                          isAtRight={column > 1 && column >= columns.length - 2}
                          onLeave={(to) => leave(editing, to)}
                          onTyping={editing.onTyping}
                          onTake={(reading, to) => {
                            store.setUnread(keyOf(row, part), null);
                            onChange(keyOf(row, part), nameOf(row, part), (one) => {
                              const current = columnsOf(one).find((other) => other.id === part.id);
                              return current ? withCell(one, current, row, reading, editing.replaces, { known, newId }).sheet : one;
                            });
                            leave(editing, to);
                          }}
                          onUnread={(text, problem, to) => {
                            store.setUnread(keyOf(row, part), { text, problem, label: nameOf(row, part), replaces: editing.replaces });
                            leave(editing, to);
                          }}
                          onCancel={() => {
                            wantsFocus.current = true;
                            setEditing(null);
                          }}
                        />
                      );
                    const cell = write.cell(sheet, part, row);
                    const unread = state.unread[keyOf(row, part)];
                    const term = row.kind.kind === 'term' ? row.kind : null;
                    return (
                      <GridCellView
                        key={part.id}
                        row={index}
                        column={column}
                        name={nameOf(row, part)}
                        state={cell.state}
                        text={cell.text}
                        notes={[...cell.notes, ...write.termNotes(part, term)].join('\n')}
                        candidates={term ? candidates(part, term) : ''}
                        questions={cell.place === null ? 0 : (askedAt.get(cell.place) ?? 0)}
                        isFocused={index === point.row && column === point.column}
                        unread={unread?.text}
                        problem={unread?.problem}
                      />
                    );
                  })}
                  <td />
                </tr>
              ))}
              {adding}
            </tbody>
          );
        })}
      </table>
    </div>
  );
}

function countByPlace(findings: readonly Finding[]): ReadonlyMap<string, number> {
  const counts = new Map<string, number>();
  for (const { place } of findings) counts.set(place, (counts.get(place) ?? 0) + 1);
  return counts;
}

/** The marks of the candidates that take a term of a plan, with spaces between. */
function useCandidateMarks(): (part: Part, kind: { months: number; nth?: number }) => string {
  const { candidates } = useWorkbench().state.workbench.decision;
  return useMemo(() => {
    const marks = new Map<string, string[]>();
    for (const { id, plans } of candidates)
      for (const { plan, term } of plans) marks.set(`${plan} ${term}`, [...(marks.get(`${plan} ${term}`) ?? []), id]);
    return (part, { months, nth = 0 }) => {
      const term = part.terms?.filter((one) => one.months === months)[nth];
      return term ? (marks.get(`${part.id} ${term.id}`) ?? []).join(' ') : '';
    };
  }, [candidates]);
}

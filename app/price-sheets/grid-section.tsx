import { type ReactNode, useMemo } from 'react';
import type { GridRow } from '#core/price-sheet/grid-rows';
import { type Part, termIn } from '#core/price-sheet/parts';
import type { Section } from '#core/price-sheet/rows/row-rule';
import type { GridPoint } from '../components/grid-keys';
import { useUnreadTexts, useWorkbench } from '../workbench/workbench-context';
import { CellEditor } from './cell-editor';
import { GridCellView } from './grid-cell-view';
import { type GridSheet, keyOf, nameOf } from './grid-sheet';
import type { EditedCell } from './use-edited-cell';
import { gridSection as words } from './words/grid-section';

const SECTION_WORDS: Readonly<Record<Section, string>> = {
  price: words.whatThePlanCosts,
  sale: words.whatEachSaleCosts,
  usage: words.usageFees,
  extent: 'Limits',
  features: words.whatIsInIt,
};

interface GridSectionProps {
  readonly section: Section;
  readonly grid: GridSheet;
  /** The cell that has the focus. */
  readonly point: GridPoint;
  /** Open questions by the place of their figure. */
  readonly askedAt: ReadonlyMap<string, number>;
  readonly edited: EditedCell;
  /** The row that adds one. */
  readonly adding: ReactNode;
}

/** The rows of one section, under its name. */
export function GridSection({ section, grid, point, askedAt, edited, adding }: GridSectionProps) {
  const marksOf = useCandidateMarks();
  const unread = useUnreadTexts();
  const rows = grid.rows.map((row, index) => ({ row, index })).filter(({ row }) => row.section === section);
  if (rows.length === 0 && !adding) return null;
  return (
    <tbody>
      <tr className="section">
        <th colSpan={grid.columns.length + 2}>{SECTION_WORDS[section]}</th>
      </tr>
      {rows.map(({ row, index }) => (
        <tr key={row.key}>
          <th scope="row">
            {row.title}
            {row.note && <small>{row.note}</small>}
          </th>
          {grid.columns.map((part, column) =>
            edited.cell?.row === index && edited.cell.column === column ? (
              <EditedGridCell key={part.id} grid={grid} row={row} part={part} column={column} cell={edited.cell} edited={edited} />
            ) : (
              <RestingCell
                key={part.id}
                grid={grid}
                row={row}
                part={part}
                at={{ row: index, column }}
                isFocused={index === point.row && column === point.column}
                questionsAt={askedAt}
                unread={unread[keyOf(grid.id, row, part)]}
                candidates={row.kind.kind === 'term' ? marksOf(part, row.kind) : ''}
              />
            ),
          )}
          <td />
        </tr>
      ))}
      {adding}
    </tbody>
  );
}

interface InRow {
  readonly grid: GridSheet;
  readonly row: GridRow;
  readonly part: Part;
}

function EditedGridCell({
  grid,
  row,
  part,
  column,
  cell,
  edited,
}: InRow & { column: number; cell: NonNullable<EditedCell['cell']>; edited: EditedCell }) {
  return (
    <CellEditor
      name={nameOf(row, part)}
      row={row}
      part={part}
      known={grid.known}
      start={cell.text}
      isAsItStands={cell.isAsItStands}
      isAtRight={column > 1 && column >= grid.columns.length - 2}
      onLeave={edited.leave}
      onTyping={cell.onTyping}
      onTake={edited.take}
      onUnread={edited.keepUnread}
      onCancel={edited.cancel}
    />
  );
}

interface RestingCellProps {
  readonly at: GridPoint;
  readonly isFocused: boolean;
  readonly questionsAt: ReadonlyMap<string, number>;
  readonly unread: { readonly text: string; readonly problem: string } | undefined;
  readonly candidates: string;
}

function RestingCell({ grid: { sheet, write }, row, part, at, isFocused, questionsAt, unread, candidates }: InRow & RestingCellProps) {
  const cell = write.cell(sheet, part, row);
  const term = row.kind.kind === 'term' ? row.kind : null;
  return (
    <GridCellView
      row={at.row}
      column={at.column}
      name={nameOf(row, part)}
      state={cell.state}
      text={cell.text}
      notes={[...cell.notes, ...write.termNotes(part, term)].join('\n')}
      candidates={candidates}
      questions={questionsAt.get(cell.place) ?? 0}
      isFocused={isFocused}
      unread={unread?.text}
      problem={unread?.problem}
    />
  );
}

/** The marks of the candidates that take a term of a plan, with spaces between. */
function useCandidateMarks(): (part: Part, kind: { months: number; nth?: number }) => string {
  const { candidates } = useWorkbench().state.workbench.decision;
  return useMemo(() => {
    const marks = new Map<string, string[]>();
    for (const { id, plans } of candidates)
      for (const { plan, term } of plans) marks.set(`${plan} ${term}`, [...(marks.get(`${plan} ${term}`) ?? []), id]);
    return (part, kind) => {
      const term = termIn(part, kind);
      return term ? (marks.get(`${part.id} ${term.id}`) ?? []).join(' ') : '';
    };
  }, [candidates]);
}

import type { CSSProperties, ReactNode } from 'react';
import type { LineUpColumn } from '#core/comparison/line-up';
import type { VisibleColumns } from './use-visible-columns';

/** The columns that are drawn: pinned ones, then those in view, with room left for those that are not. */
export interface DrawnColumns {
  readonly columns: readonly LineUpColumn[];
  readonly pinned: number;
  readonly visible: VisibleColumns | null;
  readonly leader: LineUpColumn | null;
}

interface RowProps {
  drawn: DrawnColumns;
  head: ReactNode;
  className?: string;
  /** What stands in a column; nothing is drawn for columns out of view. */
  cell(column: LineUpColumn): ReactNode;
  cellClass?: string;
}

/** One row of the line-up. */
export function LineUpRow({ drawn, head, className, cell, cellClass = '' }: RowProps) {
  const { columns, leader } = drawn;
  return (
    <tr className={className}>
      {head}
      <Drawn drawn={drawn} skipped={(key, width) => <td key={key} className="skipped" aria-hidden="true" style={{ width }} />}>
        {(column, index, style) => (
          <td
            key={column.id}
            aria-colindex={index + 2}
            style={style}
            className={`${cellClass} ${column.id === leader?.id ? 'is-leader' : ''} ${column.result.usable ? '' : 'not-usable'} ${style ? 'is-pinned' : ''}`}
          >
            {cell(columns[index] ?? column)}
          </td>
        )}
      </Drawn>
    </tr>
  );
}

interface DrawnProps {
  drawn: DrawnColumns;
  children(column: LineUpColumn, index: number, pinnedStyle: CSSProperties | undefined): ReactNode;
  skipped(key: string, width: number): ReactNode;
}

/** Draws something for every column in view. */
export function Drawn({ drawn: { columns, pinned, visible }, children, skipped }: DrawnProps) {
  // One list with keys, measured or not: otherwise every cell would be made anew as soon as widths are known.
  if (!visible) return <>{columns.map((column, index) => children(column, index, undefined))}</>;
  const { from, to, columnWidth, headWidth, keepsPinned } = visible;
  const styleOf = (index: number): CSSProperties | undefined =>
    keepsPinned && index < pinned ? { position: 'sticky', left: headWidth + index * columnWidth, zIndex: 1 } : undefined;
  const cells = [
    ...columns.slice(0, pinned).map((column, index) => children(column, index, styleOf(index))),
    ...(from > pinned ? [skipped('before', (from - pinned) * columnWidth)] : []),
    ...columns.slice(from, to).map((column, index) => children(column, from + index, undefined)),
    ...(to < columns.length ? [skipped('after', (columns.length - to) * columnWidth)] : []),
  ];
  return <>{cells}</>;
}

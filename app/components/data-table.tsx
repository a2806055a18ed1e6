import { Fragment, type Key, type ReactNode } from 'react';

/** A column of a table: what stands above it, and in each of its cells. */
export interface Column<Row> {
  /** What tells it from the others, where its heading is no text of its own. */
  readonly key?: Key;
  readonly head: ReactNode;
  /** Whether it names its row, or holds figures, which stand at its right. */
  readonly kind?: 'names-row' | 'figures';
  /** What is said of the heading when somebody points at it. */
  readonly title?: string;
  readonly cellClass?: string | ((row: Row) => string);
  cell(row: Row, index: number): ReactNode;
}

interface DataTableProps<Row> {
  readonly columns: ReadonlyArray<Column<NoInfer<Row>>>;
  readonly rows: readonly Row[];
  keyOf(row: Row): Key;
  /** Classes beside those that every table has, or instead of them where it has a look of its own. */
  readonly className?: string;
  readonly hasOwnLook?: boolean;
  readonly caption?: ReactNode;
  /** Its name, where no caption says it. */
  readonly label?: string;
  /** Without headings where each row says what it is. */
  readonly hideHead?: boolean;
  rowClass?(row: Row): string;
  /** What stands in a row in place of all columns from one on; null where each has its own. */
  insteadOf?(row: Row): { readonly from: number; readonly content: ReactNode } | null;
  /** What stands below a row over its whole width. */
  below?(row: Row): ReactNode;
  readonly belowClass?: string;
  /** Rows under all others. */
  readonly foot?: ReactNode;
  /** Class of the frame in which a wide table moves sideways; null for none. */
  readonly frame?: string | null;
}

const FIGURES = 'figure-cell';

/** Rows and columns: every table of the application but the grids that are typed into. */
export function DataTable<Row>(props: DataTableProps<Row>) {
  const { columns, rows, keyOf, className = '', hasOwnLook = false, caption, label, hideHead = false, foot, frame = 'wide-scroll' } = props;
  const table = (
    <table className={[hasOwnLook ? '' : 'plain-table', className].filter(Boolean).join(' ') || undefined} aria-label={label}>
      {caption}
      {!hideHead && (
        <thead>
          <tr>
            {columns.map((column, index) => (
              <Heading key={column.key ?? index} column={column} />
            ))}
          </tr>
        </thead>
      )}
      <tbody>
        {rows.map((row, index) => (
          <Fragment key={keyOf(row)}>
            <TableRow {...props} row={row} index={index} />
          </Fragment>
        ))}
      </tbody>
      {foot}
    </table>
  );
  return frame === null ? table : <div className={frame}>{table}</div>;
}

function Heading<Row>({ column: { head, kind, title } }: { column: Column<Row> }) {
  if (head === null) return <td />;
  return (
    <th scope="col" className={kind === 'figures' ? FIGURES : undefined} title={title}>
      {head}
    </th>
  );
}

function TableRow<Row>({ row, index, columns, rowClass, insteadOf, below, belowClass }: DataTableProps<Row> & { row: Row; index: number }) {
  const instead = insteadOf?.(row) ?? null;
  const under = below?.(row) ?? null;
  const own = instead ? columns.slice(0, instead.from) : columns;
  return (
    <>
      <tr className={rowClass?.(row) || undefined}>
        {own.map((column, at) => (
          <Cell key={column.key ?? at} column={column} row={row} index={index} />
        ))}
        {instead && (
          <td colSpan={columns.length - instead.from} className="quiet">
            {instead.content}
          </td>
        )}
      </tr>
      {under !== null && (
        <tr className={belowClass}>
          <td colSpan={columns.length}>{under}</td>
        </tr>
      )}
    </>
  );
}

function Cell<Row>({ column: { kind, cell, cellClass }, row, index }: { column: Column<Row>; row: Row; index: number }) {
  if (kind === 'names-row') return <th scope="row">{cell(row, index)}</th>;
  const classes = [kind === 'figures' ? FIGURES : '', (typeof cellClass === 'function' ? cellClass(row) : cellClass) ?? '']
    .filter(Boolean)
    .join(' ');
  return <td className={classes || undefined}>{cell(row, index)}</td>;
}

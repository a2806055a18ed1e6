import { DataTable } from './data-table';

interface FiguresTableProps {
  /** What stands in the first column. */
  head: string;
  columns: ReadonlyArray<{ readonly key: string; readonly name: string }>;
  /** One text a column, in their order. */
  rows: ReadonlyArray<{ readonly name: string; readonly figures: readonly string[] }>;
}

/** The figures behind a chart, for those who would rather read. */
export function FiguresTable({ head, columns, rows }: FiguresTableProps) {
  return (
    <DataTable
      rows={rows}
      keyOf={({ name }) => name}
      columns={[
        { head, kind: 'names-row', cell: ({ name }) => name },
        ...columns.map(({ key, name }, index) => ({
          key,
          head: name,
          kind: 'figures' as const,
          cell: ({ figures }: { readonly figures: readonly string[] }) => figures[index],
        })),
      ]}
    />
  );
}

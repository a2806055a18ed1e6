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
    <div className="wide-scroll">
      <table className="plain-table">
        <thead>
          <tr>
            <th scope="col">{head}</th>
            {columns.map(({ key, name }) => (
              <th scope="col" className="figure-cell" key={key}>
                {name}
              </th>
            ))}
          </tr>
        </thead>
        <tbody>
          {rows.map(({ name, figures }) => (
            <tr key={name}>
              <th scope="row">{name}</th>
              {columns.map(({ key }, index) => (
                <td key={key} className="figure-cell">
                  {figures[index]}
                </td>
              ))}
            </tr>
          ))}
        </tbody>
      </table>
    </div>
  );
}

import { forecastTable } from '#core/comparison/forecast-table';
import { useWriter } from '../locale/locale';
import { useWorkbench } from '../workbench/workbench-context';

/** The months as they come out. */
export function MonthsTable() {
  const { atForecast: priced } = useWorkbench();
  const write = useWriter();
  const { pricing } = priced.priced;
  const { streams } = pricing.file.forecast;
  const rows = forecastTable(pricing);
  return (
    <div className="months-scroll" role="region" aria-label="The months as they come out" tabIndex={0}>
    <table className="months">
      <caption>The months as they come out</caption>
      <thead>
        <tr>
          <th scope="col">Month</th>
          {streams.map((stream) => (
            <th key={stream.id} scope="col">
              {stream.label || 'Orders'}
            </th>
          ))}
          {streams.length > 1 && <th scope="col">All orders</th>}
          <th scope="col">Sales, {pricing.file.currency}</th>
          <th scope="col" className="month-bar">
            <span className="visually-hidden">Share of the best month</span>
          </th>
        </tr>
      </thead>
      <tbody>
        {rows.map(({ month, orders, allOrders, sales, ofBest }) => (
          <tr key={month}>
            <th scope="row">{write.month(month)}</th>
            {streams.map((stream, index) => (
              <td key={stream.id}>{write.number(orders[index] ?? '0', 1)}</td>
            ))}
            {streams.length > 1 && <td>{write.number(allOrders, 1)}</td>}
            <td>{write.money(sales, pricing.file.currency)}</td>
            <td className="month-bar">
              <span style={{ width: `${ofBest * 100}%` }}>
                <span className="visually-hidden">{Math.round(ofBest * 100)} %</span>
              </span>
            </td>
          </tr>
        ))}
      </tbody>
    </table>
    </div>
  );
}

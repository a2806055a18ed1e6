import { useDeferredValue, useMemo } from 'react';
import { forecastTable } from '#core/comparison/forecast-table';
import {
  countedByMonth,
  monthsSet,
  withForecast,
  withMonthSet,
  withQuantity,
  withStream,
  withStreamMonthSet,
} from '#core/decision/edit-forecast';
import type { VersionName } from '#core/forecast/versions';
import { featureWords } from '#core/wording/need-words';
import { steady } from '../components/steady';
import { useWriter } from '../locale/locale';
import { useAfterPaint } from '../workbench/use-after-paint';
import { useEdits } from '../workbench/use-edits';
import { useWorkbench } from '../workbench/workbench-context';
import { MonthCell } from './month-cell';
import { MonthsChart } from './months-chart';
import { monthsTable as words } from './words';

/** The months as they come out, and how a single one is set by hand. */
function useMonths() {
  const { atForecast } = useWorkbench();
  const edits = useEdits();
  const write = useWriter();
  const { pricing } = useDeferredValue(atForecast.priced);
  const { currency, forecast } = pricing.file;
  const rows = useMemo(() => forecastTable(pricing), [pricing]);
  const set = (stream: string, month: string, orders: string | null) =>
    edits.decision(`stream.${stream}.month.${month}`, words.ordersIn(write.month(month)), (one) =>
      withForecast(one, (before) => withStream(before, stream, (found) => withStreamMonthSet(found, month, orders))),
    );
  const setQuantity = (id: string, month: string, value: string | null) =>
    edits.decision(`quantity.${id}.month.${month}`, words.in(id.replaceAll('-', ' '), write.month(month)), (one) =>
      withForecast(one, (before) => {
        const series = countedByMonth(before.drivers?.[id]);
        return series ? withQuantity(before, id, withMonthSet(series, month, value)) : before;
      }),
    );
  return { rows, set, setQuantity, currency, streams: forecast.streams, drivers: Object.entries(forecast.drivers ?? {}) };
}

/** The months as a chart, beside the figures they come from. */
export function MonthsBeside() {
  const { version } = useWorkbench();
  const { rows, set, currency, streams } = useMonths();
  const drawn = useAfterPaint(rows);
  return <MonthsChart rows={drawn} streams={streams} currency={currency} onSet={version === 'expected' ? set : null} />;
}

/** The months as the table behind the chart; single months can be set by hand in both. */
export function MonthsTable() {
  const { version } = useWorkbench();
  const months = useMonths();
  return <Months {...months} version={version} />;
}

/** Drawn again only when the months are others: they follow what is typed a moment later. */
const Months = steady(function Months({
  rows,
  set,
  setQuantity,
  currency,
  streams,
  drivers,
  version,
}: ReturnType<typeof useMonths> & { version: VersionName }) {
  const write = useWriter();
  // A part of an order is never told as none.
  const written = (orders: string) => (Number(orders) < 1 ? write.orders(orders) : write.number(orders, 1));
  return (
    <section aria-label={words.theMonthsAsThey} className="months-section">
      <h2>{words.theMonthsAsThey}</h2>
      {version !== 'expected' && <p className="notice">{words.theseAreTheMonths(version)}</p>}
      <div className="months-scroll" role="region" aria-label={words.theMonthsAsATable} tabIndex={0}>
        <table className="months">
          <caption className="visually-hidden">{words.ordersByStreamSales}</caption>
          <thead>
            <tr>
              <th scope="col">{words.month}</th>
              {streams.map((stream) => (
                <th key={stream.id} scope="col">
                  {stream.label || words.orders}
                </th>
              ))}
              {streams.length > 1 && <th scope="col">{words.allOrders}</th>}
              <th scope="col">{words.sales(currency)}</th>
              {drivers.map(([id]) => (
                <th key={id} scope="col">
                  {featureWords(id)}
                </th>
              ))}
            </tr>
          </thead>
          <tbody>
            {rows.map(({ month, orders, allOrders, sales, quantities }) => (
              <tr key={month}>
                <th scope="row">{write.month(month)}</th>
                {streams.map((stream, index) =>
                  stream.orders === undefined || version !== 'expected' ? (
                    <td key={stream.id}>{written(orders[index] ?? '0')}</td>
                  ) : (
                    <MonthCell
                      key={stream.id}
                      name={`${stream.label || words.orders}, ${write.month(month)}`}
                      count={monthsSet(stream)[month] ?? orders[index] ?? '0'}
                      isSet={monthsSet(stream)[month] !== undefined}
                      onSet={(next) => set(stream.id, month, next)}
                    />
                  ),
                )}
                {streams.length > 1 && <td>{written(allOrders)}</td>}
                <td>{write.money(sales, currency)}</td>
                {drivers.map(([id, driver], index) => {
                  const series = countedByMonth(driver);
                  const value = quantities[index] ?? '0';
                  return series === null || version !== 'expected' ? (
                    <td key={id}>{written(value)}</td>
                  ) : (
                    <MonthCell
                      key={id}
                      name={`${featureWords(id)}, ${write.month(month)}`}
                      count={series.set?.[month] ?? value}
                      isSet={series.set?.[month] !== undefined}
                      onSet={(next) => setQuantity(id, month, next)}
                    />
                  );
                })}
              </tr>
            ))}
          </tbody>
        </table>
      </div>
    </section>
  );
});

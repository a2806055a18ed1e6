import { decimal } from '#core/amount/decimal';
import { keptParts } from '#core/comparison/kept';
import { HowLink } from '../how/how-link';
import { useWriter } from '../locale/locale';
import { useLevel } from '../workbench/workbench-context';

/** How a rate came about: per order, of sales, or what is left. */
export function RatePanel({ candidate: id, rate }: { candidate: string; rate: 'per-order' | 'of-sales' | 'keep' }) {
  const { priced, scale } = useLevel();
  const write = useWriter();
  const { pricing } = priced.priced;
  const { currency } = pricing.file;
  const candidate = pricing.file.candidates.find((one) => one.id === id);
  const column = priced.lineUp.columns.find((one) => one.id === id);
  if (!candidate || !column) return <p>This candidate is no longer being compared.</p>;
  const { total, perOrder, shareOfSales, keep } = column.result;
  const parts = keptParts(pricing, candidate, decimal(scale));
  if (rate === 'per-order' && perOrder !== null)
    return (
      <>
        <h2>Per order, {column.label}</h2>
        <p className="panel-amount">{write.money(perOrder, currency)}</p>
        <p>
          The total of {write.money(total, currency)} ÷ {write.number(parts.orders, 1)} orders over the whole horizon ={' '}
          {write.number(perOrder)}.
        </p>
      </>
    );
  if (rate === 'of-sales' && shareOfSales !== null)
    return (
      <>
        <h2>Of sales, {column.label}</h2>
        <p className="panel-amount">{write.share(shareOfSales)}</p>
        <p>
          The total of {write.money(total, currency)} ÷ sales of {write.money(parts.sales, currency)} = {write.percent(shareOfSales)}.
        </p>
      </>
    );
  return (
    <>
      <h2>What is left to you, {column.label}</h2>
      <p className="panel-amount">{write.money(keep, currency)}</p>
      <ul className="parts">
        {parts.streams.map((stream) => (
          <li key={stream.label}>
            <span>
              <b>{stream.label || 'Sales'}</b>
              <small>
                {write.money(stream.netSales, currency)} without sales tax × {write.percent(stream.margin)} margin
                {Number(stream.refunds) > 0 && ` × ${write.percent(decimal(100).minus(stream.refunds).toFixed())} not refunded`}
              </small>
            </span>
            <b className="part-amount">{write.money(stream.kept, currency)}</b>
          </li>
        ))}
        <li>
          <span>
            <b>Minus the total</b>
          </span>
          <b className="part-amount">{write.money(decimal(total).neg().toFixed(), currency)}</b>
        </li>
      </ul>
      <p className="quiet">
        {write.money(parts.kept, currency)} − {write.money(total, currency)} = {write.money(keep, currency)}
      </p>
      <HowLink rule="kept" />
    </>
  );
}

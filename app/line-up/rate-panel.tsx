import { decimal } from '#core/amount/decimal';
import { keptParts } from '#core/comparison/kept';
import { HowLink } from '../how/how-link';
import { useWriter } from '../locale/locale';
import { useLevel } from '../workbench/workbench-context';
import { ratePanel as words } from './words/rate-panel';

/** How a rate came about: per order, of sales, or what is left. */
export function RatePanel({ candidate: id, rate }: { candidate: string; rate: 'per-order' | 'of-sales' | 'keep' }) {
  const { priced, scale } = useLevel();
  const write = useWriter();
  const { pricing } = priced.priced;
  const { currency } = pricing.file;
  const candidate = pricing.file.candidates.find((one) => one.id === id);
  const column = priced.lineUp.columns.find((one) => one.id === id);
  if (!candidate || !column) return <p>{words.thisCandidateIsNoLonger}</p>;
  const { total, perOrder, shareOfSales, keep } = column.result;
  const parts = keptParts(pricing, candidate, decimal(scale));
  if (rate === 'per-order' && perOrder !== null)
    return (
      <>
        <h2>{words.perOrder(column.label)}</h2>
        <p className="panel-amount">{write.money(perOrder, currency)}</p>
        <p>{words.theTotalOfOrders(write.money(total, currency), write.number(parts.orders, 1), write.number(perOrder))}</p>
      </>
    );
  if (rate === 'of-sales' && shareOfSales !== null)
    return (
      <>
        <h2>{words.ofSales(column.label)}</h2>
        <p className="panel-amount">{write.share(shareOfSales)}</p>
        <p>{words.theTotalOfSales(write.money(total, currency), write.money(parts.sales, currency), write.percent(shareOfSales))}</p>
      </>
    );
  return (
    <>
      <h2>{words.whatIsLeftToYou(column.label)}</h2>
      <p className="panel-amount">{write.money(keep, currency)}</p>
      <ul className="parts">
        {parts.streams.map((stream) => (
          <li key={stream.label}>
            <span>
              <b>{stream.label || words.sales}</b>
              <small>
                {words.withoutSalesTaxMargin(
                  write.money(stream.netSales, currency),
                  write.percent(stream.margin),
                  Number(stream.refunds) > 0 && words.notRefunded(write.percent(decimal(100).minus(stream.refunds).toFixed())),
                )}
              </small>
            </span>
            <b className="part-amount">{write.money(stream.kept, currency)}</b>
          </li>
        ))}
        <li>
          <span>
            <b>{words.minusTheTotal}</b>
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

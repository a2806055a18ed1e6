import { Link } from 'react-router';
import { decimal } from '#core/amount/decimal';
import type { LineUpColumn } from '#core/comparison/line-up';
import { useWriter } from '../locale/locale';
import { moveWords, wayWords } from '../proposals/way-ahead';
import { useLevel, useWorkbench, useWorked } from '../workbench/workbench-context';

/** Under the total of a vendor's best column, what the vendor comes to with moves between its plans where they pay. */
export function WayLine({ column }: { column: LineUpColumn }) {
  const { state, decisionId } = useWorkbench();
  const { priced, scale } = useLevel();
  const { ways } = useWorked();
  const write = useWriter();
  const { pricing } = priced.priced;
  const offerOf = (id: string) => {
    const plans = pricing.file.candidates.find((one) => one.id === id)?.plans ?? [];
    return plans.length === 1 && plans[0] ? pricing.plan(plans[0].plan).offer.id : null;
  };
  const offer = offerOf(column.id);
  const way = offer === null ? undefined : ways?.ofVendors[offer];
  const isBest = priced.lineUp.columns.find(({ id, result }) => result.usable && offerOf(id) === offer)?.id === column.id;
  const plan = pricing.file.candidates.find(({ id }) => id === column.id)?.plans[0]?.plan;
  if (scale !== 1 || priced.lineUp.by === 'keep' || !isBest || !way?.saves) return null;
  return (
    <small className="way-line" title={wayWords(state.workbench, way, write)}>
      <Link to={`/decisions/${decisionId}/what-if/route`}>
        {write.amount(decimal(column.result.total).minus(way.saves).toFixed())} {moveWords(state.workbench, way, write, plan)}
      </Link>
    </small>
  );
}

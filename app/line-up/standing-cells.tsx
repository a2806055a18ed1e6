import type { LineUpColumn } from '#core/comparison/line-up';
import { CARD_FEES } from '#core/assembly/card-fees';
import { useWriter } from '../locale/locale';
import { standingWords } from '../proposals/reason-words';
import { useWorkbench } from '../workbench/workbench-context';
import { standingCells as texts } from './words/standing-cells';

/** How long a plan's limits hold. */
export function RoomToGrow({ column, months }: { column: LineUpColumn; months: number }) {
  const write = useWriter();
  const words = standingWords(column.result, write.month);
  if (words) return <span className="problem">{words}</span>;
  return <>{texts.months(months)}</>;
}

/** What is not known of a candidate, or most likely forgotten on its price sheet. */
export function ToFindOut({ column }: { column: LineUpColumn }) {
  const { state } = useWorkbench();
  const { unknown: open, noPaymentFee } = column.result;
  const unknown = open.filter((id) => id !== CARD_FEES);
  const lacksCardFees = unknown.length < open.length;
  const { streams } = state.workbench.decision.forecast;
  const forgotten = noPaymentFee.length > 0;
  if (open.length === 0 && !forgotten) return <span className="nothing">–</span>;
  const names = noPaymentFee.map((id) => streams.find((stream) => stream.id === id)?.label || 'sales');
  return (
    <span className="gap-words">
      {unknown.length > 0 && texts.notKnown(unknown.length, unknown.length === 1 ? texts.price : texts.prices)}
      {unknown.length > 0 && (forgotten || lacksCardFees) && '; '}
      {lacksCardFees && texts.cardFeesNotEntered}
      {forgotten && (names.length === streams.length ? texts.noCardFeeEntered : texts.noCardFeeFor(names.join(', ')))}
    </span>
  );
}

import type { Workbench } from '#core/decision/workbench';
import type { Writer } from '../locale/writer';
import type { Priced } from './workbench-context';

/** A place on the workbench, with what it holds or lacks in a few words. */
export interface Place {
  readonly path: string;
  readonly name: string;
  readonly holds: string;
  /** Whether something is missing there. */
  readonly lacks: boolean;
}

const count = (number: number, one: string, many: string) => `${number} ${number === 1 ? one : many}`;

/** The places of the workbench in the order in which people mostly go through them. */
export function placesOf({ decision, sheets }: Workbench, { average, lineUp, heldBack }: Priced, write: Writer): Place[] {
  const { currency, months, forecast, choice } = decision;
  const streams = count(forecast.streams.length, 'stream', 'streams');
  const noSales = Number(average.sales) === 0;
  const rateMissing = heldBack.some(({ obstacle }) => obstacle.kind === 'rate');
  const gaps = sheets.flatMap(({ sheet }) => (sheet.kind === 'offer' ? sheet.offer.plans : [])).flatMap(({ terms }) => terms).filter(({ price }) => price === null).length;
  return [
    { path: 'frame', name: 'Frame', holds: rateMissing ? 'a rate is wanted' : `${months} months, ${currency}`, lacks: rateMissing },
    { path: 'sales', name: 'Expected sales', holds: noSales ? 'nothing yet' : `${streams} · ${write.whole(average.sales)} a month`, lacks: noSales },
    {
      path: 'sheets',
      name: 'Price sheets',
      holds: sheets.length === 0 ? 'none yet' : `${count(sheets.length, 'sheet', 'sheets')}${gaps > 0 ? ` · ${count(gaps, 'gap', 'gaps')}` : ''}`,
      lacks: sheets.length === 0 || gaps > 0,
    },
    { path: 'line-up', name: 'Line-up', holds: count(decision.candidates.length, 'candidate', 'candidates'), lacks: lineUp.columns.length === 0 },
    { path: 'verdict', name: 'Verdict', holds: choice ? choice.label : 'open', lacks: false },
  ];
}

import { withKind, withOrdersBetween, withSeries, withStream } from '../decision/edit-forecast';
import type { Workbench } from '../decision/workbench';
import type { Stream } from '../decision-file/forecast-schema';
import { readQuestion, type ReadQuestion } from './read-question';

/**
 * A decision that has nothing yet, with what a question says of sales filled in; the question becomes its name.
 *
 * @param empty - a decision whose first stream is to be filled
 */
export function askedWorkbench(empty: Workbench, question: string): Workbench {
  const read = readQuestion(question);
  const { decision } = empty;
  const [first] = decision.forecast.streams;
  if (!first) return empty;
  const named = { ...decision, name: question || decision.name, currency: read.currency ?? decision.currency };
  const forecast = withStream(named.forecast, first.id, (stream) => filled(stream, read));
  const asked = { ...named, forecast };
  const between = read.kind === 'subscription' ? undefined : read.pace?.between;
  return { ...empty, decision: between ? withOrdersBetween(asked, first.id, between) : asked };
}

function filled(stream: Stream, { label, kind, pace, price, every }: ReadQuestion): Stream {
  const typed = withKind({ ...stream, label: label ?? stream.label }, kind ?? stream.kind);
  const valued = price === null ? typed : { ...typed, orderValue: withSeries(typed.orderValue, { start: price }) };
  if (pace === null) return valued;
  const { subscribers } = valued;
  if (!subscribers) return { ...valued, orders: withSeries(valued.orders, { start: pace.value }) };
  return { ...valued, subscribers: { ...subscribers, start: pace.value, ...(every !== null && every > 1 ? { every } : {}) } };
}

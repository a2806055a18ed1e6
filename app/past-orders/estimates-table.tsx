import { SteadyButton as Button } from '../components/steady-button';
import { type Estimate, withEstimate } from '#core/past-orders/estimates';
import { withForecast, withStream } from '#core/decision/edit-forecast';
import { DataTable } from '../components/data-table';
import { useWriter } from '../locale/locale';
import { useEdits } from '../workbench/use-edits';
import { useWorkbench } from '../workbench/workbench-context';
import { ESTIMATED_WORDS, estimatedWords, sureWords } from './past-orders-words';

/** What past orders say about the expected ones, beside what is typed now; taken over one by one. */
export function EstimatesTable({ estimates }: { estimates: readonly Estimate[] }) {
  const { currency, forecast } = useWorkbench().state.workbench.decision;
  const edits = useEdits();
  const write = useWriter();
  if (estimates.length === 0) return null;
  const streamOf = (id: string) => forecast.streams.find((stream) => stream.id === id);
  const shown = (estimate: Estimate, values: readonly string[]) =>
    estimatedWords(estimate, values, Object.keys(streamOf(estimate.stream)?.cards ?? {}), currency, write);
  const take = (estimate: Estimate) =>
    edits.decision(
      `stream.${estimate.stream}.estimated.${estimate.of}`,
      `${ESTIMATED_WORDS[estimate.of].toLowerCase()} from past orders`,
      (one) => withForecast(one, (before) => withStream(before, estimate.stream, (stream) => withEstimate(stream, estimate))),
    );
  return (
    <section aria-label="What they say about the orders to come">
      <h2>What they say about the orders to come</h2>
      <p className="quiet">Beside what you typed; take over what you believe.</p>
      <DataTable
        label="Estimates from past orders"
        rows={estimates}
        keyOf={({ stream, of }) => `${stream} ${of}`}
        columns={[
          { head: 'Stream', kind: 'names-row', cell: ({ stream }) => streamOf(stream)?.label ?? stream },
          { head: 'Figure', cell: ({ of }) => ESTIMATED_WORDS[of] },
          { head: 'Typed', kind: 'figures', cell: (estimate) => shown(estimate, estimate.typed) },
          { head: 'Past orders', kind: 'figures', cell: (estimate) => <b>{shown(estimate, estimate.past)}</b> },
          { head: 'How sure', cellClass: 'quiet', cell: (estimate) => sureWords(estimate, currency, write) },
          {
            key: 'take',
            head: <span className="visually-hidden">Take over</span>,
            cell: (estimate) =>
              shown(estimate, estimate.typed) !== shown(estimate, estimate.past) && (
                <Button
                  size="small"
                  aria-label={`Use ${shown(estimate, estimate.past)} for ${ESTIMATED_WORDS[estimate.of]}, ${streamOf(estimate.stream)?.label ?? ''}`}
                  onClick={() => take(estimate)}
                >
                  Use
                </Button>
              ),
          },
        ]}
      />
    </section>
  );
}

import { SteadyButton as Button } from '../components/steady-button';
import { type Estimate, withEstimate } from '#core/past-orders/estimates';
import { withForecast, withStream } from '#core/decision/edit-forecast';
import { DataTable } from '../components/data-table';
import { useWriter } from '../locale/locale';
import { useEdits } from '../workbench/use-edits';
import { useWorkbench } from '../workbench/workbench-context';
import { ESTIMATED_WORDS, estimatedWords, restsOnWords, sureWords } from './past-orders-words';

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
  const ids = [...new Set(estimates.map(({ stream }) => stream))];
  return (
    <section aria-label="What they say about the orders to come" className="estimates">
      <h2>What they say about the orders to come</h2>
      <p className="quiet">Beside what you typed; use what you believe.</p>
      {ids.map((id) => {
        const own = estimates.filter(({ stream }) => stream === id);
        const name = streamOf(id)?.label ?? id;
        return (
          <section key={id} aria-label={name}>
            <h3>
              {name} <span className="quiet">{own[0] && restsOnWords(own[0], write)}</span>
            </h3>
            <DataTable
              label={`Estimates for ${name}`}
              rows={own}
              keyOf={({ of }) => of}
              columns={[
                { head: 'Figure', kind: 'names-row', cell: ({ of }) => ESTIMATED_WORDS[of] },
                { head: 'Typed', kind: 'figures', cell: (estimate) => shown(estimate, estimate.typed) },
                { head: 'Past orders', kind: 'figures', cell: (estimate) => <b>{shown(estimate, estimate.past)}</b> },
                { head: 'How sure', cellClass: 'quiet', cell: (estimate) => sureWords(estimate, currency, write) },
                {
                  key: 'take',
                  head: <span className="visually-hidden">Use it</span>,
                  cell: (estimate) =>
                    shown(estimate, estimate.typed) !== shown(estimate, estimate.past) && (
                      <Button
                        size="small"
                        aria-label={`Use ${shown(estimate, estimate.past)} for ${ESTIMATED_WORDS[estimate.of]}, ${name}`}
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
      })}
    </section>
  );
}

import { SteadyButton as Button } from '../components/steady-button';
import { type Estimate, withEstimate } from '#core/past-orders/estimates';
import { withForecast, withStream } from '#core/decision/edit-forecast';
import { DataTable } from '../components/data-table';
import { useWriter } from '../locale/locale';
import { useEdits } from '../workbench/use-edits';
import { useWorkbench } from '../workbench/workbench-context';
import { ESTIMATED_WORDS, estimatedWords, restsOnWords, sureWords } from './past-orders-words';
import { estimatesTable as words } from './words';

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
      words.fromPastOrders(ESTIMATED_WORDS[estimate.of].toLowerCase()),
      (one) => withForecast(one, (before) => withStream(before, estimate.stream, (stream) => withEstimate(stream, estimate))),
    );
  const ids = [...new Set(estimates.map(({ stream }) => stream))];
  return (
    <section aria-label={words.whatTheySayAbout} className="estimates">
      <h2>{words.whatTheySayAbout}</h2>
      <p className="quiet">{words.besideWhatYouTyped}</p>
      {ids.map((id) => {
        const own = estimates.filter(({ stream }) => stream === id);
        const name = streamOf(id)?.label ?? id;
        return (
          <section key={id} aria-label={name}>
            <h3>
              {name} <span className="quiet">{own[0] && restsOnWords(own[0], write)}</span>
            </h3>
            <DataTable
              label={words.estimatesFor(name)}
              rows={own}
              keyOf={({ of }) => of}
              columns={[
                { head: words.figure, kind: 'names-row', cell: ({ of }) => ESTIMATED_WORDS[of] },
                { head: words.typed, kind: 'figures', cell: (estimate) => shown(estimate, estimate.typed) },
                { head: words.pastOrders, kind: 'figures', cell: (estimate) => <b>{shown(estimate, estimate.past)}</b> },
                { head: words.howSure, cellClass: 'quiet', cell: (estimate) => sureWords(estimate, currency, write) },
                {
                  key: 'take',
                  head: <span className="visually-hidden">{words.useIt}</span>,
                  cell: (estimate) =>
                    shown(estimate, estimate.typed) !== shown(estimate, estimate.past) && (
                      <Button
                        size="small"
                        aria-label={words.useFor(shown(estimate, estimate.past), ESTIMATED_WORDS[estimate.of], name)}
                        onClick={() => take(estimate)}
                      >
                        {words.use}
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

import { canBeChosen } from '#core/comparison/candidate-result';
import type { ReplayAnswer } from '#core/replay/replay-answer';
import { DataTable } from '../components/data-table';
import { Fold } from '../components/fold';
import { isProposal } from '#core/proposals/every-vendors-best';
import { useWriter } from '../locale/locale';
import { averageWords, besideForecastWords, emptyMonthsWords, withoutOrdersWords, wouldHaveCostWords } from './past-orders-words';
import { useWorkbench } from '../workbench/workbench-context';

/** What past orders would have cost with every candidate, order by order. */
export function WouldHaveCost({ replay, currency }: { replay: ReplayAnswer; currency: string }) {
  const write = useWriter();
  const { average, lineUp } = useWorkbench().atForecast;
  const forecast = { orders: average.orders, sales: average.sales, leader: lineUp.leader?.label ?? null };
  const { candidates, months, differing } = replay;
  const [first, second] = candidates.filter(({ result }) => canBeChosen(result));
  return (
    <section aria-label="What they would have cost">
      <h2>{wouldHaveCostWords(replay, write)}</h2>
      <p className="quiet">
        Every single order was charged as each plan charges it, from {write.month(months[0] ?? '')} to {write.month(months.at(-1) ?? '')}:{' '}
        {write.amount(replay.sales)} paid by customers. {besideForecastWords(replay, forecast, write)} {withoutOrdersWords(replay.without)}{' '}
        {emptyMonthsWords(replay.empty, write)}
      </p>
      <DataTable
        label="What past orders would have cost"
        rows={candidates}
        keyOf={({ id }) => id}
        columns={[
          {
            head: 'Candidate',
            kind: 'names-row',
            cell: ({ id, label }) =>
              isProposal(id) ? (
                <>
                  {label} <small className="quiet">no candidate yet</small>
                </>
              ) : (
                label
              ),
          },
          { head: `Would have cost, ${currency}`, kind: 'figures', cell: ({ result }) => write.money(result.total, currency) },
          {
            head: 'More than the cheapest',
            kind: 'figures',
            cell: ({ result, more }) => (result.usable && Number(more) !== 0 ? write.difference(more) : ''),
          },
          ...(candidates.some(({ moreThanAverage }) => averageWords(moreThanAverage, write) !== '')
            ? [
                {
                  head: 'Fees on single orders',
                  cell: ({ moreThanAverage }: ReplayAnswer['candidates'][number]) => averageWords(moreThanAverage, write),
                },
              ]
            : []),
          { head: 'Open', cellClass: 'quiet', cell: ({ result }) => openWords(result, write) },
        ]}
      />
      {first && second && differing.length > 0 && (
        <Fold summary={`Orders on which ${first.label} and ${second.label} differ most`}>
          <DataTable
            label="Orders on which the first two differ most"
            rows={differing.map((one, at) => ({ ...one, at }))}
            keyOf={({ at }) => at}
            columns={[
              { head: 'Month', kind: 'names-row', cell: ({ month }) => write.month(month) },
              { head: 'Sold as', cell: ({ stream }) => stream },
              { head: `Order, ${currency}`, kind: 'figures', cell: ({ value }) => write.money(value, currency) },
              { head: `${first.label} takes more or less`, kind: 'figures', cell: ({ more }) => write.money(more, currency) },
            ]}
          />
        </Fold>
      )}
      <Fold summary="Month by month">
        <DataTable
          label="What each month would have cost"
          rows={months.map((month, at) => ({ month, at }))}
          keyOf={({ month }) => month}
          columns={[
            { head: 'Month', kind: 'names-row', cell: ({ month }) => write.month(month) },
            ...candidates.map(({ id, label, result }) => ({
              key: id,
              head: label,
              kind: 'figures' as const,
              cell: ({ at }: { at: number }) => write.money(result.monthly[at] ?? '0', currency),
            })),
          ]}
        />
      </Fold>
    </section>
  );
}

function openWords(
  { usable, outgrown, missing, unknown }: ReplayAnswer['candidates'][number]['result'],
  write: ReturnType<typeof useWriter>,
): string {
  if (outgrown) return `outgrown in ${write.month(outgrown.month)}: ${outgrown.limit.replaceAll('-', ' ')}`;
  if (missing.length > 0) return `does not offer ${missing.map((need) => need.replaceAll('-', ' ')).join(', ')}`;
  if (!usable) return 'cannot be chosen';
  return unknown.length > 0 ? 'prices not entered: at least' : '';
}

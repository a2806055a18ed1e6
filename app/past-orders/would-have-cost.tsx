import { canBeChosen } from '#core/comparison/candidate-result';
import type { ReplayAnswer } from '#core/replay/replay-answer';
import { DataTable } from '../components/data-table';
import { Fold } from '../components/fold';
import { isProposal } from '#core/proposals/every-vendors-best';
import { useWriter } from '../locale/locale';
import { averageWords, besideForecastWords, emptyMonthsWords, withoutOrdersWords, wouldHaveCostWords } from './past-orders-words';
import { useWorkbench } from '../workbench/workbench-context';
import { wouldHaveCost as words } from './words';

/** What past orders would have cost with every candidate, order by order. */
export function WouldHaveCost({ replay, currency }: { replay: ReplayAnswer; currency: string }) {
  const write = useWriter();
  const { average, lineUp } = useWorkbench().atForecast;
  const forecast = { orders: average.orders, sales: average.sales, leader: lineUp.leader?.label ?? null };
  const { candidates, months, differing } = replay;
  const [first, second] = candidates.filter(({ result }) => canBeChosen(result));
  return (
    <section aria-label={words.whatTheyWouldHave}>
      <h2>{wouldHaveCostWords(replay, write)}</h2>
      <p className="quiet">
        {words.everySingleOrderWas({
          month: write.month(months[0] ?? ''),
          lastMonth: write.month(months.at(-1) ?? ''),
          sales: write.amount(replay.sales),
          replay: besideForecastWords(replay, forecast, write),
          without: withoutOrdersWords(replay.without),
          empty: emptyMonthsWords(replay.empty, write),
        })}
      </p>
      <DataTable
        label={words.whatPastOrdersWould}
        rows={candidates}
        keyOf={({ id }) => id}
        columns={[
          {
            head: words.candidate,
            kind: 'names-row',
            cell: ({ id, label }) =>
              isProposal(id) ? (
                <>
                  {label} <small className="quiet">{words.noCandidateYet}</small>
                </>
              ) : (
                label
              ),
          },
          { head: words.wouldHaveCost(currency), kind: 'figures', cell: ({ result }) => write.money(result.total, currency) },
          {
            head: words.moreThanTheCheapest,
            kind: 'figures',
            cell: ({ result, more }) => (result.usable && Number(more) !== 0 ? write.difference(more) : ''),
          },
          ...(candidates.some(({ moreThanAverage }) => averageWords(moreThanAverage, write) !== '')
            ? [
                {
                  head: words.feesOnSingleOrders,
                  cell: ({ moreThanAverage }: ReplayAnswer['candidates'][number]) => averageWords(moreThanAverage, write),
                },
              ]
            : []),
          { head: words.open, cellClass: 'quiet', cell: ({ result }) => openWords(result, write) },
        ]}
      />
      {first && second && differing.length > 0 && (
        <Fold summary={words.ordersOnWhichAndDiffer(first.label, second.label)}>
          <DataTable
            label={words.ordersOnWhichTheFirst}
            rows={differing.map((one, at) => ({ ...one, at }))}
            keyOf={({ at }) => at}
            columns={[
              { head: words.month, kind: 'names-row', cell: ({ month }) => write.month(month) },
              { head: words.soldAs, cell: ({ stream }) => stream },
              { head: words.order(currency), kind: 'figures', cell: ({ value }) => write.money(value, currency) },
              { head: words.takesMoreOrLess(first.label), kind: 'figures', cell: ({ more }) => write.money(more, currency) },
            ]}
          />
        </Fold>
      )}
      <Fold summary={words.monthByMonth}>
        <DataTable
          label={words.whatEachMonthWould}
          rows={months.map((month, at) => ({ month, at }))}
          keyOf={({ month }) => month}
          columns={[
            { head: words.month, kind: 'names-row', cell: ({ month }) => write.month(month) },
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
  if (outgrown) return words.outgrownIn(write.month(outgrown.month), outgrown.limit.replaceAll('-', ' '));
  if (missing.length > 0) return words.doesNotOffer(missing.map((need) => need.replaceAll('-', ' ')).join(', '));
  if (!usable) return words.cannotBeChosen;
  return unknown.length > 0 ? words.pricesNotEnteredAtLeast : '';
}

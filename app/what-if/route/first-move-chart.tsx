import { useMemo } from 'react';
import type { RoutePlan } from '#core/what-if/route-plan';
import { DataTable } from '../../components/data-table';
import { Chart } from '../../components/chart';
import { amountAxis, baseOption, hoverOption, monthAxis } from '../../components/chart-option';
import { useChartColours } from '../../components/chart-colours';
import { Fold } from '../../components/fold';
import { useWriter } from '../../locale/locale';
import { useAskedDecision } from '../asked-decision';
import { firstMoveChart as words } from './words/first-move-chart';

/** What the way costs if its first move falls in another month. */
export function FirstMoveChart({ way }: { way: Pick<RoutePlan, 'firstMove' | 'segments' | 'total'> }) {
  const { nameOf, file } = useAskedDecision();
  const { currency } = file;
  const colours = useChartColours();
  const write = useWriter();
  const { firstMove, segments, total } = way;
  const best = segments[1]?.from ?? '';
  const latest = firstMove.at(-1);
  const option = useMemo(
    () => ({
      ...baseOption(colours),
      grid: { left: 8, right: 24, top: 18, bottom: 8, containLabel: true },
      tooltip: {
        ...hoverOption(colours, 'axis'),
        formatter: (shown: unknown) => {
          const one = firstMove[(shown as ReadonlyArray<{ dataIndex?: number }>)[0]?.dataIndex ?? -1];
          return one ? words.moveIn(write.month(one.month), one.total === null ? words.notPossible : write.whole(one.total)) : '';
        },
      },
      xAxis: monthAxis(
        colours,
        firstMove.map(({ month }) => month),
        write.month,
      ),
      yAxis: { ...amountAxis(colours, (amount) => write.onAxis(amount, currency)), scale: true },
      series: [
        {
          type: 'line' as const,
          symbol: 'none',
          color: colours.ink,
          lineStyle: { width: 2 },
          data: firstMove.map((one) => (one.total === null ? '-' : Number(one.total))),
        },
        {
          type: 'scatter' as const,
          silent: true,
          symbolSize: 9,
          itemStyle: { color: colours.ink },
          label: { show: true, position: 'right' as const, formatter: words.bestMonth, color: colours.ink },
          data: [[best, Number(total)]],
        },
      ],
    }),
    [firstMove, colours, write, best, total, currency],
  );
  return (
    <>
      <h3>{words.theBestMonthToMove}</h3>
      <p className="says-small">
        {words.isTheBestMonth(
          write.month(best),
          nameOf(segments[1]?.candidate ?? null),
          latest?.more != null && Number(latest.more) > 0 && words.movingOnlyInWould(write.month(latest.month), write.whole(latest.more)),
        )}
      </p>
      <Chart label={words.whatTheWayCosts} height={190} option={option} />
      <Fold summary={words.monthByMonth}>
        <DataTable
          hideHead
          frame={null}
          rows={firstMove}
          keyOf={({ month }) => month}
          rowClass={({ month }) => (month === best ? 'is-chosen' : '')}
          columns={[
            { head: words.month, kind: 'names-row', cell: ({ month }) => write.month(month) },
            {
              head: words.cost,
              kind: 'figures',
              cell: ({ total: cost }) => (cost === null ? words.notPossibleOutgrown : write.whole(cost)),
            },
          ]}
        />
      </Fold>
    </>
  );
}

import { useMemo } from 'react';
import { compileCandidates } from '#core/scales/compile';
import { totalAt } from '#core/scales/compiled-candidate';
import { nearestPoint, type PairBreakEven } from '#core/what-if/break-evens';
import { Chart } from '../../components/chart';
import { amountAxis, baseOption, hoveredLines } from '../../components/chart-option';
import { candidateColourName } from '../../components/candidate-tag';
import { useChartColours } from '../../components/chart-colours';
import { FiguresTable } from '../../components/figures-table';
import { Fold } from '../../components/fold';
import { useWriter } from '../../locale/locale';
import { useAskedDecision } from '../asked-decision';
import { pairChart as words } from './words';

const POINTS = 60;
const FROM = 0.02;
/** So far to the right as the break-even nearest to the forecast is well in view. */
const [LEAST_TO, MOST_TO] = [2, 12];

/** What two candidates cost, or leave, at every level of monthly sales around the forecast. */
export function PairChart({ pair }: { pair: PairBreakEven }) {
  const { file, priced, nameOf } = useAskedDecision();
  const colours = useChartColours();
  const write = useWriter();
  const { by } = priced.lineUp;
  const { currency } = file;
  const compiled = useMemo(() => compileCandidates(priced.priced.pricing, by), [priced, by]);
  const average = Number(priced.average.sales);
  const to = Math.min(MOST_TO, Math.max(LEAST_TO, (nearestPoint(pair.points)?.scale ?? 1) * 1.6));
  const rows = useMemo(() => {
    const both = [pair.a, pair.b].flatMap((id) => compiled.find((one) => one.id === id) ?? []);
    return Array.from({ length: POINTS + 1 }, (_, index) => {
      const scale = FROM + ((to - FROM) * index) / POINTS;
      return { sales: scale * average, totals: both.map((one) => (by === 'keep' ? -totalAt(one, scale) : totalAt(one, scale))) };
    });
  }, [compiled, pair.a, pair.b, average, to, by]);
  const option = useMemo(
    () => ({
      ...baseOption(colours),
      grid: { left: 8, right: 24, top: 26, bottom: 30, containLabel: true },
      legend: { top: 0, left: 0, itemWidth: 18, textStyle: { color: colours.ink } },
      tooltip: hoveredLines(
        colours,
        (sales) => words.aMonth(write.whole(String(sales))),
        ({ figure }) => write.whole(String(figure)),
      ),
      xAxis: {
        type: 'value' as const,
        name: words.salesAMonthCurrency(currency),
        nameLocation: 'middle' as const,
        nameGap: 26,
        nameTextStyle: { color: colours.quiet },
        max: Math.ceil(rows.at(-1)?.sales ?? 10),
        splitLine: { show: false },
        axisLine: { lineStyle: { color: colours.line } },
        axisLabel: { color: colours.quiet, showMaxLabel: false, formatter: (value: number) => write.whole(String(value)) },
      },
      yAxis: amountAxis(colours, (amount) => write.onAxis(amount, currency)),
      series: [pair.a, pair.b].map((id, at) => ({
        name: `${id} ${nameOf(id)}`,
        type: 'line' as const,
        symbol: 'none',
        lineStyle: { width: 2, type: at === 0 ? ('solid' as const) : ('dashed' as const) },
        color: colours.candidate(candidateColourName(id)),
        data: rows.map(({ sales, totals }) => [sales, totals[at] ?? 0]),
        ...(at === 0
          ? {
              markLine: {
                silent: true,
                symbol: 'none',
                label: { formatter: words.yourForecast, color: colours.ink },
                lineStyle: { color: colours.ink, type: 'dotted' as const },
                data: [{ xAxis: average }],
              },
            }
          : {}),
      })),
    }),
    [rows, colours, write, pair.a, pair.b, currency, average, nameOf],
  );
  return (
    <>
      <Chart
        label={words.whatAndByMonthly(nameOf(pair.a), nameOf(pair.b), by === 'keep' ? words.leaveYou : words.cost)}
        height={250}
        option={option}
      />
      <Fold summary={words.theSameInFigures}>
        <FiguresTable
          head={words.salesAMonth}
          columns={[pair.a, pair.b].map((id) => ({ key: id, name: nameOf(id) }))}
          rows={rows
            .filter((_, index) => index % 5 === 0)
            .map(({ sales, totals }) => ({ name: write.whole(String(sales)), figures: totals.map((total) => write.whole(String(total))) }))}
        />
      </Fold>
    </>
  );
}

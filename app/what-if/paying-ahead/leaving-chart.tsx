import { useMemo } from 'react';
import { termWords } from '#core/wording/term-words';
import type { PayingAhead } from '#core/what-if/paying-ahead';
import { Chart } from '../../components/chart';
import { amountAxis, baseOption, hoveredLines } from '../../components/chart-option';
import { useChartColours } from '../../components/chart-colours';
import { useWriter } from '../../locale/locale';
import { useAskedDecision } from '../asked-decision';
import { leavingChart as words } from './words';

const DASHES = ['solid', 'dashed', 'dotted'] as const;

/** What paying ahead has cost more, or less, than the shortest term if one leaves after so many months. */
export function LeavingChart({ paying: { options } }: { paying: PayingAhead }) {
  const { currency } = useAskedDecision().file;
  const colours = useChartColours();
  const write = useWriter();
  const option = useMemo(
    () => ({
      ...baseOption(colours),
      grid: { left: 8, right: 24, top: 30, bottom: 26, containLabel: true },
      legend: { top: 0, left: 0, itemWidth: 18, textStyle: { color: colours.ink } },
      tooltip: hoveredLines(
        colours,
        (index) => words.leftAfterMonths(index + 1),
        ({ figure }) => (figure > 0 ? words.lost : words.saved)(write.whole(String(Math.abs(figure)))),
      ),
      xAxis: {
        type: 'category' as const,
        data: (options[0]?.ifLeft ?? []).map((_, index) => String(index + 1)),
        name: words.leftAfterSoMany,
        nameLocation: 'middle' as const,
        nameGap: 24,
        nameTextStyle: { color: colours.quiet },
        axisLine: { onZero: true, lineStyle: { color: colours.ink } },
        axisTick: { show: false },
        axisLabel: { color: colours.quiet },
      },
      yAxis: amountAxis(colours, (amount) => write.onAxis(amount, currency, true)),
      series: options.slice(1).map(({ months, ifLeft }, index) => ({
        name: words.paid(termWords(months)),
        type: 'line' as const,
        step: 'middle' as const,
        symbol: 'none',
        color: colours.series[index % colours.series.length] ?? colours.ink,
        lineStyle: { width: 2, type: DASHES[index % DASHES.length] ?? 'solid' },
        data: ifLeft.map(Number),
      })),
    }),
    [options, colours, write, currency],
  );
  return (
    <>
      <h3>{words.ifYouLeaveEarly}</h3>
      <p className="quiet">{words.aboveTheLineSo}</p>
      <Chart label={words.whatPayingAheadHas} height={220} option={option} />
    </>
  );
}

import { useMemo } from 'react';
import type { MonthAgainst } from '#core/afterwards/against-forecast';
import { Chart } from '../components/chart';
import { useChartColours } from '../components/chart-colours';
import { amountAxis, baseOption, hoverOption, monthAxis } from '../components/chart-option';
import { useWriter } from '../locale/locale';
import { useWorkbench } from '../workbench/workbench-context';
import { actualsChart as words } from './words';

/** What months cost, expected and real, side by side; the figures stand in the table. */
export function ActualsChart({ months }: { months: readonly MonthAgainst[] }) {
  const { currency } = useWorkbench().state.workbench.decision;
  const colours = useChartColours();
  const write = useWriter();
  const option = useMemo(() => {
    const billed = months.filter(({ difference }) => difference !== null);
    const bar = (name: string, color: string, decal: boolean, of: (month: MonthAgainst) => number) => ({
      name,
      type: 'bar' as const,
      barMaxWidth: 22,
      itemStyle: decal ? { color: colours.sheet, borderColor: color, borderWidth: 1.5 } : { color },
      data: billed.map(of),
    });
    return {
      ...baseOption(colours),
      grid: { left: 8, right: 16, top: 32, bottom: 8, containLabel: true },
      legend: { top: 0, left: 0, textStyle: { color: colours.ink } },
      tooltip: { ...hoverOption(colours, 'axis'), valueFormatter: (value: unknown) => write.whole(String(value)) },
      xAxis: monthAxis(
        colours,
        billed.map(({ month }) => month),
        write.month,
      ),
      yAxis: amountAxis(colours, (amount) => write.onAxis(amount, currency)),
      series: [
        bar('expected', colours.ink, true, ({ expected }) => Number(expected.cost)),
        bar('real', colours.ink, false, ({ expected, difference }) => Number(expected.cost) + Number(difference)),
      ],
    };
  }, [months, colours, write, currency]);
  if (months.every(({ difference }) => difference === null)) return null;
  return <Chart label={words.whatMonthsCostExpected} height={220} option={option} />;
}

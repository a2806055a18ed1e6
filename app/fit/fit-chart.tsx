import { useMemo } from 'react';
import { Chart } from '../components/chart';
import { baseOption, hoverOption, plainText } from '../components/chart-option';
import { candidateColourName } from '../components/candidate-tag';
import { useChartColours } from '../components/chart-colours';
import { useWriter } from '../locale/locale';
import type { Weighed } from './use-fit';
import { fitChart as words } from './words';

/** Cost across, fit up: the ones that nobody beats on both are joined by a line. */
export function FitChart({ weighed, currency }: { weighed: readonly Weighed[]; currency: string }) {
  const write = useWriter();
  const colours = useChartColours();
  const option = useMemo(() => {
    const at = ({ total, fit }: Weighed): [number, number] => [Number(total), fit];
    const costs = weighed.map(({ total }) => Number(total));
    const span = Math.max(1, Math.max(...costs) - Math.min(...costs));
    const best = weighed.filter(({ isUnbeaten }) => isUnbeaten).sort((a, b) => Number(a.total) - Number(b.total));
    return {
      ...baseOption(colours),
      grid: { left: 8, right: 30, top: 26, bottom: 26, containLabel: true },
      tooltip: {
        ...hoverOption(colours, 'item'),
        formatter: (shown: unknown) => {
          const one = weighed[(shown as { data?: { at?: number } }).data?.at ?? -1];
          return one
            ? words.fit({
                letter: one.candidate,
                candidate: plainText(one.label),
                fit: Math.round(one.fit),
                total: write.amount(one.total),
              })
            : '';
        },
      },
      xAxis: {
        type: 'value' as const,
        name: words.totalInDearerToTheRight(currency),
        nameLocation: 'middle' as const,
        nameGap: 28,
        nameTextStyle: { color: colours.quiet },
        min: Math.max(0, Math.floor((Math.min(...costs) - span * 0.06) / 100) * 100),
        max: Math.ceil((Math.max(...costs) + span * 0.06) / 100) * 100,
        splitLine: { show: false },
        axisLine: { show: true, lineStyle: { color: colours.line } },
        axisLabel: {
          color: colours.quiet,
          showMinLabel: false,
          showMaxLabel: false,
          formatter: (value: number) => write.whole(String(value)),
        },
      },
      yAxis: {
        type: 'value' as const,
        name: words.fitOf100,
        nameTextStyle: { color: colours.quiet, align: 'left' as const },
        min: 0,
        max: 100,
        splitLine: { lineStyle: { color: colours.line } },
        axisLabel: { color: colours.quiet },
      },
      series: [
        {
          type: 'line' as const,
          data: best.map(at),
          symbol: 'none',
          silent: true,
          lineStyle: { color: colours.ink, width: 1, type: 'dashed' as const },
        },
        {
          type: 'scatter' as const,
          z: 5,
          symbol: 'roundRect',
          symbolSize: 20,
          data: weighed.map((one, index) => ({
            value: at(one),
            at: index,
            itemStyle: {
              color: one.isUsable ? colours.candidate(candidateColourName(one.candidate)) : colours.line,
              opacity: one.isUnbeaten || !one.isUsable ? 1 : 0.75,
              borderColor: one.isUnbeaten ? colours.ink : 'transparent',
              borderWidth: one.isUnbeaten ? 2 : 0,
            },
            label: {
              show: true,
              formatter: one.candidate,
              color: one.isUsable ? '#fff' : colours.ink,
              fontWeight: 700 as const,
              fontSize: 11,
            },
          })),
        },
      ],
    };
  }, [weighed, currency, colours, write]);
  return <Chart label={words.costAndFitOfEvery} height={300} option={option} />;
}

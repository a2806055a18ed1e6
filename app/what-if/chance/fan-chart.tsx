import { useMemo } from 'react';
import type { ChanceAnswer } from '#core/chance/chance-answer';
import { Chart } from '../../components/chart';
import { amountAxis, baseOption, monthAxis } from '../../components/chart-option';
import { candidateColourName } from '../../components/candidate-tag';
import { useChartColours } from '../../components/chart-colours';
import { FiguresTable } from '../../components/figures-table';
import { Fold } from '../../components/fold';
import { useWriter } from '../../locale/locale';
import { fanChart as words } from './words';

interface FanChartProps {
  fans: ChanceAnswer['fans'];
  months: readonly string[];
  currency: string;
  nameOf(id: string): string;
}

/** What has been paid by the end of each month: in the middle future as a line, in eight of ten within the band. */
export function FanChart({ fans, months, currency, nameOf }: FanChartProps) {
  const colours = useChartColours();
  const write = useWriter();
  const option = useMemo(
    () => ({
      ...baseOption(colours),
      grid: { left: 8, right: 24, top: 30, bottom: 8, containLabel: true },
      legend: { top: 0, left: 0, itemWidth: 18, textStyle: { color: colours.ink }, data: fans.map(({ id }) => `${id} ${nameOf(id)}`) },
      xAxis: monthAxis(colours, months, write.month),
      yAxis: amountAxis(colours, (amount) => write.onAxis(amount, currency)),
      series: fans.flatMap(({ id, months: fan }, at) => {
        const color = colours.candidate(candidateColourName(id));
        const band = { type: 'line' as const, symbol: 'none', silent: true, stack: id, lineStyle: { opacity: 0 } };
        return [
          { ...band, name: `${id} low`, data: fan.map(({ low }) => Number(low)) },
          {
            ...band,
            name: `${id} band`,
            areaStyle: { color, opacity: 0.18 },
            data: fan.map(({ low, high }) => Number(high) - Number(low)),
          },
          {
            name: `${id} ${nameOf(id)}`,
            type: 'line' as const,
            symbol: 'none',
            color,
            lineStyle: { width: 2, type: at === 0 ? ('solid' as const) : ('dashed' as const) },
            data: fan.map(({ middle }) => Number(middle)),
          },
        ];
      }),
    }),
    [fans, months, colours, write, currency, nameOf],
  );
  return (
    <>
      <Chart label={words.costSoFarInEight} height={240} option={option} />
      <Fold summary={words.theSameInFigures}>
        <FiguresTable
          head={words.byTheEndOf}
          columns={fans.flatMap(({ id }) =>
            ['low', 'middle', 'high'].map((part) => ({ key: `${id} ${part}`, name: `${nameOf(id)}, ${part}` })),
          )}
          rows={months.map((month, at) => ({
            name: write.month(month),
            figures: fans.flatMap(({ months: fan }) =>
              [fan[at]?.low, fan[at]?.middle, fan[at]?.high].map((amount) => write.whole(amount ?? '0')),
            ),
          }))}
        />
      </Fold>
    </>
  );
}

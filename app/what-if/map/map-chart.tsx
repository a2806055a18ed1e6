import { useMemo } from 'react';
import { type Assumption, valueAt } from '#core/what-if/assumption';
import { along, type CheapestMap, fieldsOf, type MapAxis } from '#core/what-if/map';
import { Chart } from '../../components/chart';
import { baseOption, hoverOption, plainText } from '../../components/chart-option';
import { candidateColourName } from '../../components/candidate-tag';
import { type ChartColours, useChartColours } from '../../components/chart-colours';
import { useWriter } from '../../locale/locale';
import { useAskedDecision } from '../asked-decision';
import { mapPicture } from './map-picture';
import { mapChart as texts } from './words';

interface MapChartProps {
  map: CheapestMap;
  x: { axis: MapAxis; assumption: Assumption };
  y: { axis: MapAxis; assumption: Assumption };
  onPick(x: number, y: number): void;
}

/** Who is cheapest over two assumptions: a field of colour for each, named, with its boundary drawn and the forecast marked. */
export function MapChart({ map, x, y, onPick }: MapChartProps) {
  const { nameOf, compared } = useAskedDecision();
  const colours = useChartColours();
  const write = useWriter();
  const option = useMemo(() => {
    const picture = typeof document === 'undefined' ? null : mapPicture(map, (id) => colours.candidate(candidateColourName(id)), colours);
    const winnerAt = ([atX, atY]: readonly [number, number]) => {
      const column = Math.round(((atX - x.axis.low) / (x.axis.high - x.axis.low)) * (map.columns - 1));
      const row = Math.round(((atY - y.axis.low) / (y.axis.high - y.axis.low)) * (map.rows - 1));
      return map.ids[map.winners[row * map.columns + column] ?? -1] ?? null;
    };
    const valueWords = (assumption: Assumption, change: number) => {
      const value = valueAt(assumption, change);
      return value === null ? `${write.number(change.toFixed(1), 0)}${assumption.unit === 'percent' ? '%' : ''}` : write.number(value, 2);
    };
    return {
      ...baseOption(colours),
      grid: { left: 8, right: 20, top: 24, bottom: 34, containLabel: true },
      tooltip: {
        ...hoverOption(colours, 'item'),
        formatter: (shown: unknown) => {
          const { value } = shown as { value?: [number, number, string?] };
          return value ? `${plainText(nameOf(winnerAt([value[0], value[1]])))}` : '';
        },
      },
      xAxis: { ...axisOption(x.assumption, x.axis, colours, (value) => valueWords(x.assumption, value)), nameGap: 28 },
      yAxis: {
        ...axisOption(y.assumption, y.axis, colours, (value) => valueWords(y.assumption, value)),
        nameLocation: 'end' as const,
        nameGap: 10,
        nameTextStyle: { color: colours.quiet, align: 'left' as const },
      },
      series: [
        {
          type: 'custom' as const,
          silent: true,
          data: [[x.axis.low, y.axis.low]],
          renderItem: (_: unknown, api: { coord(value: number[]): number[] }) => {
            const [left = 0, bottom = 0] = api.coord([x.axis.low, y.axis.low]);
            const [right = 0, top = 0] = api.coord([x.axis.high, y.axis.high]);
            return { type: 'image' as const, style: { image: picture ?? '', x: left, y: top, width: right - left, height: bottom - top } };
          },
        },
        {
          type: 'scatter' as const,
          silent: true,
          symbolSize: 0.1,
          data: fieldsOf(map)
            .filter(({ share }) => share > 0.01)
            .map((field) => ({
              value: [x.axis.low + field.x * (x.axis.high - x.axis.low), y.axis.low + field.y * (y.axis.high - y.axis.low)],
              label: {
                show: true,
                position: 'inside' as const,
                formatter: field.candidate ? `${field.candidate}  ${nameOf(field.candidate)}` : 'nobody',
                color: colours.ink,
                fontWeight: 600 as const,
                fontSize: 12,
                backgroundColor: colours.sheet,
                padding: [3, 7],
              },
            })),
        },
        ...(isWithin(x) && isWithin(y)
          ? [
              {
                type: 'scatter' as const,
                silent: true,
                z: 6,
                symbol: 'diamond',
                symbolSize: 15,
                itemStyle: { color: colours.ink },
                data: [
                  {
                    value: [x.assumption.asIs, y.assumption.asIs],
                    label: {
                      show: true,
                      position: 'right' as const,
                      formatter: texts.yourForecast,
                      color: colours.ink,
                      backgroundColor: colours.sheet,
                      padding: [2, 6],
                      fontWeight: 600 as const,
                    },
                  },
                ],
              },
            ]
          : []),
      ],
    };
  }, [map, x, y, colours, write, nameOf]);
  return (
    <Chart
      label={texts.whoOverAndTheSame(compared.isBest, x.assumption.label, y.assumption.label)}
      height={400}
      option={option}
      onOpen={(chart) => {
        const pick = ({ offsetX, offsetY }: { offsetX: number; offsetY: number }) => {
          const [atX, atY] = chart.convertFromPixel({ gridIndex: 0 }, [offsetX, offsetY]);
          if (atX !== undefined && atY !== undefined && chart.containPixel({ gridIndex: 0 }, [offsetX, offsetY])) onPick(atX, atY);
        };
        chart.getZr().on('click', pick);
        return () => chart.getZr()?.off('click', pick);
      }}
    />
  );
}

function isWithin({ axis, assumption }: MapChartProps['x']): boolean {
  return assumption.asIs >= axis.low && assumption.asIs <= axis.high;
}

function axisOption(assumption: Assumption, { low, high }: MapAxis, colours: ChartColours, words: (value: number) => string) {
  return {
    type: 'value' as const,
    name: `${assumption.label}${assumption.now === null && assumption.unit === 'percent' ? texts.moreOrLess : ''}`,
    nameLocation: 'middle' as const,
    nameTextStyle: { color: colours.quiet },
    min: low,
    max: high,
    splitLine: { show: false },
    axisLine: { show: true, lineStyle: { color: colours.line } },
    axisLabel: { color: colours.quiet, formatter: (value: number) => words(value) },
  };
}

/** A few evenly spaced changes of an axis, for the table. */
export function stepsOf({ low, high }: MapAxis, count: number): number[] {
  return Array.from({ length: count }, (_, step) => along({ low, high }, step, count));
}

import { noGapWords } from './words';
import { useMemo } from 'react';
import type { TurnsIt, Varied } from '#core/what-if/turns-it';
import { Chart } from '../../components/chart';
import { baseOption, hoverOption, plainText } from '../../components/chart-option';
import { candidateColourName } from '../../components/candidate-tag';
import { useChartColours } from '../../components/chart-colours';
import { useWriter } from '../../locale/locale';
import { changeWords } from '../assumption-words';
import { useAskedDecision } from '../asked-decision';
import { turnsChart as words } from './words';

const MOST_BARS = 14;
const BAR_HEIGHT = 24;

/** What each assumption does to the gap between first and second over its range, the strongest first. */
export function TurnsChart({ found, varied }: { found: TurnsIt; varied: readonly Varied[] }) {
  const { nameOf } = useAskedDecision();
  const colours = useChartColours();
  const write = useWriter();
  const rows = useMemo(
    () =>
      found.turns
        .flatMap((turn) => {
          const of = varied.find(({ assumption }) => assumption.key === turn.key);
          return of && turn.low.gap !== null && turn.high.gap !== null && turn.swing > 0
            ? [{ turn, of, low: Number(turn.low.gap), high: Number(turn.high.gap) }]
            : [];
        })
        .slice(0, MOST_BARS)
        .reverse(),
    [found, varied],
  );
  const option = useMemo(() => {
    const now = Number(found.gap ?? '0');
    const first = colours.candidate(candidateColourName(found.first ?? 'A'));
    return {
      ...baseOption(colours),
      grid: { left: 8, right: 40, top: 26, bottom: 8, containLabel: true },
      tooltip: {
        ...hoverOption(colours, 'item'),
        formatter: (shown: unknown) => {
          const row = rows[(shown as { dataIndex?: number }).dataIndex ?? -1];
          if (!row) return '';
          const { assumption, low, high } = row.of;
          const end = (change: number, gap: number) =>
            `${changeWords(assumption, change, write)}: ${gap < 0 ? words.behindBy : words.aheadBy} ${write.whole(String(Math.abs(gap)))}`;
          return [plainText(assumption.label), end(low, row.low), end(high, row.high)].join('<br>');
        },
      },
      xAxis: {
        type: 'value' as const,
        position: 'top' as const,
        scale: true,
        splitLine: { lineStyle: { color: colours.line } },
        axisLabel: { color: colours.quiet, formatter: (value: number) => write.difference(String(value)) },
      },
      yAxis: {
        type: 'category' as const,
        data: rows.map(({ of }) => of.assumption.label),
        axisLine: { show: false },
        axisTick: { show: false },
        axisLabel: { color: colours.ink, width: 240, overflow: 'truncate' as const },
      },
      series: [
        {
          type: 'bar' as const,
          stack: 'gap',
          silent: true,
          itemStyle: { color: 'transparent' },
          data: rows.map(
            ({ low, high }) =>
              // From nothing to the nearer end the bar is not drawn.
              Math.max(0, Math.min(low, high)) + Math.min(0, Math.max(low, high)),
          ),
        },
        {
          type: 'bar' as const,
          stack: 'gap',
          barWidth: 11,
          itemStyle: { color: first },
          data: rows.map(({ low, high }) => Math.max(0, Math.max(low, high)) - Math.max(0, Math.min(low, high))),
          markLine: {
            silent: true,
            symbol: 'none',
            label: { show: false },
            lineStyle: { color: colours.ink, type: 'dotted' as const },
            data: [{ xAxis: now }],
          },
        },
        {
          type: 'bar' as const,
          stack: 'gap',
          barWidth: 11,
          itemStyle: {
            color: first,
            decal: { symbol: 'rect', dashArrayX: [1, 0], dashArrayY: [2, 4], rotation: -Math.PI / 4, color: colours.sheet },
          },
          data: rows.map(({ low, high }) => Math.min(0, Math.min(low, high)) - Math.min(0, Math.max(low, high))),
          markLine: {
            silent: true,
            symbol: 'none',
            label: { show: false },
            lineStyle: { color: colours.ink, type: 'solid' as const },
            data: [{ xAxis: 0 }],
          },
        },
      ],
    };
  }, [rows, found, colours, write]);
  if (rows.length === 0) return <p>{noGapWords(found)}</p>;
  return (
    <>
      <p className="quiet">{words.howFarIsAhead(nameOf(found.first))}</p>
      <Chart label={words.whatEachAssumptionDoes} height={60 + rows.length * BAR_HEIGHT} option={option} />
    </>
  );
}

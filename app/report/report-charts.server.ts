import { BarChart, LineChart } from 'echarts/charts';
import { GridComponent, LegendComponent } from 'echarts/components';
import * as echarts from 'echarts/core';
import { SVGRenderer } from 'echarts/renderers';
import { coursesOf } from '#core/comparison/course';
import type { LineUp } from '#core/comparison/line-up';
import type { PricedDecision } from '#core/comparison/decision-result';
import { candidateColourName } from '../components/candidate-tag';
import { amountAxis, baseOption, monthAxis } from '../components/chart-option';
import type { ChartColours } from '../components/chart-colours';
import { BUCKET_NAMES } from '../line-up/bucket-names';
import type { Writer } from '../locale/writer';
import tokens from '../theme/tokens.css?raw';

echarts.use([BarChart, LineChart, GridComponent, LegendComponent, SVGRenderer]);

/** The theme's light colours; paper is light. */
const LIGHT = new Map(
  [...tokens.slice(0, tokens.indexOf('@media')).matchAll(/(--[\w-]+):\s*([^;]+);/g)].map(([, name = '', value = '']) => [
    name,
    value.trim(),
  ]),
);
const light = (name: string) => LIGHT.get(name) ?? '#555555';
const COLOURS: ChartColours = {
  ink: light('--ink'),
  quiet: light('--quiet'),
  line: light('--line'),
  sheet: '#ffffff',
  series: [],
  candidate: light,
};

const WIDTH = 680;
const MOST_BARS = 12;
const MOST_LINES = 6;
const DASHES = ['solid', 'dashed', 'dotted'] as const;

function drawn(option: echarts.EChartsCoreOption, height: number): string {
  const chart = echarts.init(null, undefined, { renderer: 'svg', ssr: true, width: WIDTH, height });
  chart.setOption(option);
  const svg = chart.renderToSVGString();
  chart.dispose();
  return svg;
}

/** Totals of the candidates by bucket, one bar each, as SVG. */
export function bucketsChart({ columns, buckets }: LineUp, write: Writer): string {
  const shown = columns.slice(0, MOST_BARS);
  const rows = [...shown].reverse();
  return drawn(
    {
      ...baseOption(COLOURS),
      aria: { enabled: false },
      grid: { left: 8, right: 60, top: 28, bottom: 4 },
      legend: {
        top: 0,
        left: 0,
        itemWidth: 12,
        itemHeight: 10,
        textStyle: { color: COLOURS.ink, fontSize: 11 },
        data: buckets.map((bucket) => BUCKET_NAMES[bucket].name),
      },
      xAxis: { ...amountAxis(COLOURS, write.whole) },
      yAxis: {
        type: 'category',
        data: rows.map(({ id, label }) => `${id}  ${shortened(label)}`),
        axisTick: { show: false },
        axisLine: { lineStyle: { color: COLOURS.line } },
        axisLabel: { color: COLOURS.ink },
      },
      series: buckets.map((bucket) => ({
        name: BUCKET_NAMES[bucket].name,
        type: 'bar',
        stack: 'total',
        barMaxWidth: 12,
        itemStyle: { color: light(`--bucket-${bucket}`) },
        data: rows.map(({ result }) => Number(result.buckets[bucket] ?? 0)),
      })),
    },
    54 + rows.length * 20,
  );
}

/** What the candidates furthest to the left have cost so far, month by month, as SVG. */
export function courseSoFarChart(priced: PricedDecision, { columns }: LineUp, write: Writer): string {
  const shown = columns.slice(0, MOST_LINES);
  const { months, courses } = coursesOf(
    priced,
    shown.map(({ id }) => id),
  );
  const nameOf = (id: string) => `${id}  ${shortened(shown.find((column) => column.id === id)?.label ?? id)}`;
  return drawn(
    {
      ...baseOption(COLOURS),
      aria: { enabled: false },
      grid: { left: 8, right: 16, top: 44, bottom: 4 },
      legend: {
        top: 0,
        left: 0,
        itemWidth: 26,
        textStyle: { color: COLOURS.ink, fontSize: 11 },
        data: courses.map(({ candidate }) => nameOf(candidate)),
      },
      xAxis: { ...monthAxis(COLOURS, months, write.month), boundaryGap: false },
      yAxis: amountAxis(COLOURS, write.whole),
      series: courses.map(({ candidate, cumulative }, at) => ({
        name: nameOf(candidate),
        type: 'line',
        symbol: 'none',
        color: light(candidateColourName(candidate)),
        lineStyle: { width: 1.6, type: DASHES[at % DASHES.length] },
        data: cumulative.map(Number),
      })),
    },
    260,
  );
}

const LONGEST = 34;

function shortened(label: string): string {
  return label.length > LONGEST ? `${label.slice(0, LONGEST - 1)}…` : label;
}

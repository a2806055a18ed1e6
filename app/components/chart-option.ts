import type { ChartColours } from './chart-colours';

/** What all charts have in common: the application's face, no animation, a description for screen readers. */
export function baseOption(colours: ChartColours) {
  return {
    animation: false,
    textStyle: { fontFamily: "'Libre Franklin Variable', sans-serif", color: colours.ink },
    aria: { enabled: true },
  };
}

/** The box that says what is under the pointer. */
export function hoverOption<Trigger extends 'axis' | 'item'>(colours: ChartColours, trigger: Trigger) {
  return { trigger, backgroundColor: colours.sheet, borderColor: colours.line, textStyle: { color: colours.ink } };
}

/** Names are shown in a box that is markup. */
export function plainText(text: string): string {
  return text.replaceAll('&', '&amp;').replaceAll('<', '&lt;');
}

/** A line of a chart where the pointer is: `across` is the value on the axis below, or the index of its category. */
export interface HoveredPoint {
  readonly name: string;
  readonly across: number;
  readonly figure: number;
}

/**
 * The box over a chart of lines: where the pointer is, then a line for each, its name safe as markup.
 *
 * What only marks a place (a crossing, a renewal) is left out.
 */
export function hoveredLines(colours: ChartColours, where: (across: number) => string, figure: (point: HoveredPoint) => string) {
  return {
    ...hoverOption(colours, 'axis'),
    formatter: (shown: unknown) => {
      const points = pointsOfLines(shown);
      return [where(points[0]?.across ?? 0), ...points.map((point) => `${plainText(point.name)}: ${figure(point)}`)].join('<br>');
    },
  };
}

function pointsOfLines(shown: unknown): HoveredPoint[] {
  const points = shown as ReadonlyArray<{
    seriesName?: string;
    seriesType?: string;
    dataIndex?: number;
    value?: number | readonly [number, number];
  }>;
  return points
    .filter(({ seriesType }) => seriesType === 'line')
    .map(({ seriesName = '', dataIndex = 0, value = 0 }) =>
      typeof value === 'number'
        ? { name: seriesName, across: dataIndex, figure: value }
        : { name: seriesName, across: value[0], figure: value[1] },
    );
}

/** An upright axis of amounts of money, written as a person's locale writes them. */
export function amountAxis(colours: ChartColours, write: (decimal: string) => string) {
  return {
    type: 'value' as const,
    splitLine: { lineStyle: { color: colours.line } },
    axisLabel: { color: colours.quiet, formatter: (value: number) => write(String(value)) },
  };
}

/** The months of a horizon from left to right. */
export function monthAxis(colours: ChartColours, months: readonly string[], write: (month: string) => string) {
  return {
    type: 'category' as const,
    data: [...months],
    axisLine: { lineStyle: { color: colours.line } },
    axisTick: { show: false },
    axisLabel: { color: colours.quiet, formatter: write },
  };
}

import { BarChart, type BarSeriesOption, LineChart, type LineSeriesOption, ScatterChart, type ScatterSeriesOption } from 'echarts/charts';
import { AriaComponent, type AriaComponentOption, GridComponent, type GridComponentOption, LegendComponent, type LegendComponentOption, TooltipComponent, type TooltipComponentOption } from 'echarts/components';
import type { ComposeOption, EChartsType } from 'echarts/core';
import * as echarts from 'echarts/core';
import { CanvasRenderer } from 'echarts/renderers';

echarts.use([AriaComponent, BarChart, LineChart, ScatterChart, GridComponent, LegendComponent, TooltipComponent, CanvasRenderer]);

export type ChartOption = ComposeOption<AriaComponentOption | BarSeriesOption | LineSeriesOption | ScatterSeriesOption | GridComponentOption | LegendComponentOption | TooltipComponentOption>;
export type OpenChart = EChartsType;

/** Draws into an element; only the parts of the library named above are loaded. */
export function openChart(element: HTMLElement): OpenChart {
  return echarts.init(element, undefined, { renderer: 'canvas' });
}

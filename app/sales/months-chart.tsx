import { useCallback, useEffect, useMemo, useRef, useState } from 'react';
import type { ForecastMonth } from '#core/comparison/forecast-table';
import type { Stream } from '#core/decision-file/forecast-schema';
import { Chart } from '../components/chart';
import { useChartColours } from '../components/chart-colours';
import type { OpenChart } from '../components/chart-engine';
import { ChoiceField } from '../components/choice-field';
import { useWriter } from '../locale/locale';
import { monthsChart as words } from './words';

const CHART_FONT = "'Libre Franklin Variable', sans-serif";
const SHORT = ['J', 'F', 'M', 'A', 'M', 'J', 'J', 'A', 'S', 'O', 'N', 'D'];

interface MonthsChartProps {
  rows: readonly ForecastMonth[];
  streams: readonly Stream[];
  currency: string;
  /** Sets a month's orders of a stream by hand; null where nothing can be set. */
  onSet: ((stream: string, month: string, orders: string) => void) | null;
}

type What = 'orders' | 'sales' | `set ${string}`;

/** The months as they come out, by stream; with one stream chosen its months can be dragged. */
export function MonthsChart({ rows, streams, currency, onSet }: MonthsChartProps) {
  const write = useWriter();
  const colours = useChartColours();
  const [what, setWhat] = useState<What>('orders');
  const settable = streams.filter((stream) => stream.orders !== undefined);
  const chosen = what.startsWith('set ') ? streams.findIndex(({ id }) => what === `set ${id}`) : -1;
  const drag = useRef<{ set: ((month: string, orders: string) => void) | null; months: readonly string[] }>({ set: null, months: [] });
  const stream = streams[chosen];
  const isSettable = stream !== undefined && onSet !== null;
  useEffect(() => {
    drag.current = { set: isSettable ? (month, orders) => onSet(stream.id, month, orders) : null, months: rows.map(({ month }) => month) };
  });

  const option = useMemo(() => {
    const shown = chosen < 0 ? streams.map((_, index) => index) : [chosen];
    const valueOf = (row: ForecastMonth, index: number) => Number(what === 'sales' ? row.streamSales[index] : row.orders[index]);
    return {
      animation: false,
      textStyle: { fontFamily: CHART_FONT },
      aria: { enabled: true, decal: { show: shown.length > 1 } },
      grid: { left: 4, right: 4, top: shown.length > 1 ? 30 : 10, bottom: 4, containLabel: true },
      ...(shown.length > 1 ? { legend: { left: 0, top: 0, itemWidth: 14, itemHeight: 10, textStyle: { color: colours.ink } } } : {}),
      tooltip: {
        trigger: 'axis' as const,
        axisPointer: { type: 'shadow' as const },
        backgroundColor: colours.sheet,
        borderColor: colours.line,
        textStyle: { color: colours.ink },
        valueFormatter: (value: unknown) => write.number(String(Number(value)), 1),
      },
      xAxis: {
        type: 'category' as const,
        data: rows.map(({ month }) => write.month(month)),
        axisTick: { show: false },
        axisLine: { lineStyle: { color: colours.line } },
        axisLabel: {
          color: colours.quiet,
          interval: 0,
          lineHeight: 14,
          formatter: (_: string, index: number) => axisLabel(rows[index]?.month ?? '', index),
        },
      },
      yAxis: { type: 'value' as const, splitLine: { lineStyle: { color: colours.line } }, axisLabel: { color: colours.quiet } },
      series: shown.map((index) => ({
        type: 'bar' as const,
        name: streams[index]?.label || words.orders,
        stack: 'all',
        barCategoryGap: '22%',
        itemStyle: { color: colours.series[index % colours.series.length] ?? colours.ink },
        data: rows.map((row) => valueOf(row, index)),
      })),
    };
  }, [rows, streams, what, chosen, colours, write]);

  const open = useCallback((chart: OpenChart) => {
    let isDown = false;
    const at = (event: { offsetX: number; offsetY: number }) => {
      const { set, months } = drag.current;
      const [month, orders] = chart.convertFromPixel({ gridIndex: 0 }, [event.offsetX, event.offsetY]) as [number, number];
      const name = months[Math.round(month)];
      if (set && name !== undefined) set(name, String(Math.max(0, Math.round(orders))));
    };
    const zr = chart.getZr();
    zr.on('mousedown', (event) => {
      isDown = drag.current.set !== null && chart.containPixel({ gridIndex: 0 }, [event.offsetX, event.offsetY]);
      if (isDown) at(event);
    });
    zr.on('mousemove', (event) => isDown && at(event));
    const up = () => {
      isDown = false;
    };
    window.addEventListener('mouseup', up);
    return () => window.removeEventListener('mouseup', up);
  }, []);

  const options: Array<{ value: What; label: string }> = [
    { value: 'orders', label: words.ordersByStream },
    { value: 'sales', label: words.salesInByStream(currency) },
    ...(onSet
      ? settable.map(({ id, label }) => ({ value: `set ${id}` as const, label: words.setMonthsOfByHand(label || words.theOrders) }))
      : []),
  ];
  return (
    <div className="months-chart">
      <p className="months-sentence">{sentence(rows, (month) => write.month(month), write.orders)}</p>
      <ChoiceField<What> label={words.theChartShows} value={what} options={options} onChange={setWhat} />
      {isSettable && <span className="quiet"> {words.dragAMonthToWhere}</span>}
      <div className={isSettable ? 'is-settable' : ''}>
        <Chart label={words.ordersAndSalesMonth} height={210} option={option} onOpen={open} />
      </div>
    </div>
  );
}

function axisLabel(month: string, index: number): string {
  const [year, ordinal] = month.split('-');
  const letter = SHORT[Number(ordinal) - 1] ?? '';
  return index === 0 || ordinal === '01' ? `${letter}\n${year}` : letter;
}

/** What the chart says, in a sentence. */
function sentence(rows: readonly ForecastMonth[], month: (month: string) => string, whole: (orders: string) => string): string {
  const sorted = [...rows].sort((a, b) => Number(b.allOrders) - Number(a.allOrders));
  const [best, least] = [sorted[0], sorted.at(-1)];
  if (!best || !least || Number(best.allOrders) === 0) return words.noOrdersAreExpected;
  if (Number(best.allOrders) === Number(least.allOrders)) return words.ordersInEveryMonth(whole(best.allOrders));
  return words.mostOrdersInFewest({
    month: month(best.month),
    allOrders: whole(best.allOrders),
    leastMonth: month(least.month),
    fewestOrders: whole(least.allOrders),
  });
}

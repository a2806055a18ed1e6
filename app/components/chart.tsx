import { useEffect, useRef } from 'react';
import type { ChartOption, OpenChart } from './chart-engine';

interface ChartProps {
  /** What it shows, for those who do not see it; the figures stand in a table behind it. */
  label: string;
  height: number;
  /** Must be the same object as long as it says the same. */
  option: ChartOption;
  /** Gets the chart once it is there; what it returns is called when the chart goes. */
  onOpen?: (chart: OpenChart) => (() => void) | void;
}

/** It is there by the time one has scrolled to it. */
const NEARLY_IN_VIEW = '120px';

/** A chart; the library that draws it is loaded when the first one comes into view. */
export function Chart({ label, height, option, onOpen }: ChartProps) {
  const box = useRef<HTMLDivElement>(null);
  const open = useRef<OpenChart | null>(null);
  const latest = useRef({ option, onOpen });
  const isDue = useRef(false);
  useEffect(() => {
    latest.current = { option, onOpen };
    if (isDue.current || open.current === null) return;
    // Drawing takes as long as all else a typed figure changes: it follows in the frame after that.
    isDue.current = true;
    requestAnimationFrame(() =>
      requestAnimationFrame(() => {
        isDue.current = false;
        open.current?.setOption(latest.current.option, { notMerge: true });
      }),
    );
  }, [option, onOpen]);
  useEffect(() => {
    let close: (() => void) | void;
    let isGone = false;
    const element = box.current;
    const draw = () =>
      void import('./chart-engine').then(({ openChart }) => {
        if (isGone || !element) return;
        const chart = openChart(element);
        open.current = chart;
        chart.setOption(latest.current.option);
        close = latest.current.onOpen?.(chart);
      });
    const sight = new IntersectionObserver(
      (seen) => {
        if (!seen.some(({ isIntersecting }) => isIntersecting)) return;
        sight.disconnect();
        draw();
      },
      { rootMargin: NEARLY_IN_VIEW },
    );
    if (element) sight.observe(element);
    const resize = new ResizeObserver(() => open.current?.resize());
    if (element) resize.observe(element);
    return () => {
      isGone = true;
      sight.disconnect();
      resize.disconnect();
      close?.();
      open.current?.dispose();
      open.current = null;
    };
  }, []);
  return <div ref={box} className="chart" role="img" aria-label={label} style={{ height }} />;
}

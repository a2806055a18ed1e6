import { type RefObject, useEffect, useLayoutEffect, useState } from 'react';

/** Which columns are drawn, and how wide everything is; null before that was measured, then all are. */
export interface VisibleColumns {
  readonly headWidth: number;
  readonly columnWidth: number;
  /** Indexes of the columns that are drawn besides the pinned ones; `to` is not part of it. */
  readonly from: number;
  readonly to: number;
  /** Whether pinned columns stay in view; where there is no room for more than them, they scroll like all others. */
  readonly keepsPinned: boolean;
}

const NARROW = 560;
const WIDTHS = { narrow: { head: 128, column: 118 }, wide: { head: 156, column: 132 } };
/** So many columns more are drawn at either side than can be seen. */
const BESIDE = 1;
/** With fewer columns than this all are drawn. */
const FEW = 10;

const useMeasure = typeof window === 'undefined' ? useEffect : useLayoutEffect;

/** Draws only the columns of a wide table that can be seen, and those right beside them. */
export function useVisibleColumns(scroll: RefObject<HTMLElement | null>, count: number, pinned: number): VisibleColumns | null {
  const [visible, setVisible] = useState<VisibleColumns | null>(null);
  useMeasure(() => {
    const element = scroll.current;
    if (!element) return undefined;
    const measure = () => setVisible((before) => same(before, visibleIn(element, count, pinned)));
    measure();
    const resize = new ResizeObserver(measure);
    resize.observe(element);
    element.addEventListener('scroll', measure, { passive: true });
    return () => {
      resize.disconnect();
      element.removeEventListener('scroll', measure);
    };
  }, [scroll, count, pinned]);
  return visible;
}

/** Which columns of a scrolled element are in view, pinned ones aside. */
export function visibleIn(
  { clientWidth, scrollLeft }: Pick<HTMLElement, 'clientWidth' | 'scrollLeft'>,
  count: number,
  pinned: number,
): VisibleColumns {
  const { head, column } = clientWidth < NARROW ? WIDTHS.narrow : WIDTHS.wide;
  const columnWidth = Math.max(column, Math.floor((clientWidth - head) / Math.max(count, 1)));
  const keepsPinned = clientWidth >= head + (pinned + 1) * columnWidth;
  if (count <= FEW) return { headWidth: head, columnWidth, from: pinned, to: count, keepsPinned };
  const kept = keepsPinned ? pinned : 0;
  const first = kept + Math.floor(scrollLeft / columnWidth) - BESIDE;
  const room = Math.ceil((clientWidth - head - kept * columnWidth) / columnWidth);
  return { headWidth: head, columnWidth, from: Math.max(pinned, first), to: Math.min(count, first + room + 1 + 2 * BESIDE), keepsPinned };
}

function same(before: VisibleColumns | null, now: VisibleColumns): VisibleColumns {
  const fields = ['headWidth', 'columnWidth', 'from', 'to', 'keepsPinned'] as const;
  return before && fields.every((field) => before[field] === now[field]) ? before : now;
}

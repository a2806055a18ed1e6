import { defaultRangeExtractor, type Range, useVirtualizer } from '@tanstack/react-virtual';
import { type RefObject, useEffect } from 'react';

/** How wide the columns of the line-up are, in pixels, and whether pinned ones stay in view. */
export interface ColumnWidths {
  readonly headWidth: number;
  readonly columnWidth: number;
  /** Where there is no room for more than pinned columns, they scroll like all others. */
  readonly keepsPinned: boolean;
}

/** Which columns are drawn, and how wide everything is; null before that was measured, then all are. */
export interface VisibleColumns extends ColumnWidths {
  /** Indexes of the columns that are drawn besides the pinned ones; `to` is not part of it. */
  readonly from: number;
  readonly to: number;
}

const NARROW = 560;
const WIDTHS = { narrow: { head: 128, column: 118 }, wide: { head: 156, column: 132 } };
/** So many columns more are drawn at either side than can be seen. */
const BESIDE = 1;
/** With fewer columns than this all are drawn. */
const FEW = 10;

/** Draws only the columns of a wide table that can be seen, and those right beside them. */
export function useVisibleColumns(scroll: RefObject<HTMLElement | null>, count: number, pinned: number): VisibleColumns | null {
  // eslint-disable-next-line react-hooks/incompatible-library -- It warns users of the React Compiler; here nothing is memoized by it.
  const virtual = useVirtualizer({
    horizontal: true,
    count,
    getScrollElement: () => scroll.current,
    estimateSize: () => columnWidth,
    overscan: BESIDE,
    rangeExtractor: (range) => drawnIndexes(range, widths.keepsPinned ? pinned : 0),
    paddingStart: WIDTHS.wide.head,
  });
  const clientWidth = virtual.scrollRect?.width ?? 0;
  const widths = widthsIn(clientWidth, count, pinned);
  const { columnWidth } = widths;
  useEffect(() => virtual.measure(), [virtual, columnWidth]);
  if (clientWidth === 0) return null;
  if (count <= FEW) return { ...widths, from: pinned, to: count };
  const items = virtual.getVirtualItems();
  const [first, last] = [items[0]?.index ?? 0, items.at(-1)?.index ?? count - 1];
  return { ...widths, from: Math.max(pinned, first), to: last + 1 };
}

/** How wide columns are in so much room: as wide as there is room where there are few. */
export function widthsIn(clientWidth: number, count: number, pinned: number): ColumnWidths {
  const { head, column } = clientWidth < NARROW ? WIDTHS.narrow : WIDTHS.wide;
  const columnWidth = Math.max(column, Math.floor((clientWidth - head) / Math.max(count, 1)));
  return { headWidth: head, columnWidth, keepsPinned: clientWidth >= head + (pinned + 1) * columnWidth };
}

/** Columns in view and those beside them; what lies beneath pinned ones is not drawn. */
export function drawnIndexes(range: Range, covered: number): number[] {
  return defaultRangeExtractor({ ...range, startIndex: Math.min(range.startIndex + covered, range.endIndex) });
}

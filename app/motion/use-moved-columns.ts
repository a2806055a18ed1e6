import { type RefObject, useLayoutEffect, useRef } from 'react';
import { wantsLessMotion } from './wish-for-less';

const MOVING: KeyframeAnimationOptions = { duration: 280, easing: 'cubic-bezier(0.2, 0, 0, 1)' };

/**
 * Columns of a table that change places glide to where they come to stand, so that the eye can follow them. Cells have to
 * keep their elements, that is to say: keys by column.
 *
 * @param order - the columns as they stand, in a text; only when it changes is anything measured
 */
export function useMovedColumns(table: RefObject<HTMLTableElement | null>, order: string): void {
  const before = useRef<ReadonlyMap<Element, number>>(new Map());
  useLayoutEffect(() => {
    const heads = [...(table.current?.tHead?.rows[0]?.cells ?? [])];
    const now = new Map(heads.map((head) => [head, head.offsetLeft] as const));
    const was = before.current;
    before.current = now;
    if (wantsLessMotion()) return;
    for (const [head, left] of now) {
      const moved = (was.get(head) ?? left) - left;
      if (moved !== 0) glide(table.current, head.cellIndex, moved);
    }
  }, [table, order]);
}

function glide(table: HTMLTableElement | null, column: number, from: number): void {
  for (const row of table?.rows ?? []) row.cells[column]?.animate([{ transform: `translateX(${from}px)` }, { transform: 'none' }], MOVING);
}

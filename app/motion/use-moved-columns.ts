import { type RefObject, useLayoutEffect, useRef } from 'react';
import { wantsLessMotion } from './wish-for-less';

const MOVING: KeyframeAnimationOptions = { duration: 280, easing: 'cubic-bezier(0.2, 0, 0, 1)' };

/**
 * Columns of a table that change places glide to where they come to stand, so that the eye can follow them. Cells have to
 * keep their elements, that is to say: keys by column.
 *
 * @param order - the columns as they stand, in a text; only when it changes is anything measured
 * @param level - the multiple of the forecast that is being looked at: along the scale nothing glides, it would not keep up
 */
export function useMovedColumns(table: RefObject<HTMLTableElement | null>, order: string, level: number): void {
  const before = useRef<ReadonlyMap<Element, number>>(new Map());
  const stood = useRef(level);
  const latest = useRef(level);
  useLayoutEffect(() => {
    latest.current = level;
  }, [level]);
  useLayoutEffect(() => {
    const heads = [...(table.current?.tHead?.rows[0]?.cells ?? [])];
    const now = new Map(heads.map((head) => [head, head.offsetLeft] as const));
    const was = before.current;
    before.current = now;
    const isSameLevel = stood.current === latest.current;
    stood.current = latest.current;
    if (!isSameLevel || wantsLessMotion()) return;
    for (const [head, left] of now) {
      const moved = (was.get(head) ?? left) - left;
      if (moved !== 0) glide(table.current, head.cellIndex, moved);
    }
  }, [table, order]);
}

/** Beyond so many columns only the first rows glide, the names and totals. */
const FEW_COLUMNS = 12;
const FIRST_ROWS = 2;

function glide(table: HTMLTableElement | null, column: number, from: number): void {
  const rows = [...(table?.rows ?? [])];
  const isWide = (rows[0]?.cells.length ?? 0) > FEW_COLUMNS;
  for (const row of isWide ? rows.slice(0, FIRST_ROWS) : rows)
    row.cells[column]?.animate([{ transform: `translateX(${from}px)` }, { transform: 'none' }], MOVING);
}

import type { DecisionFile } from '../decision-file/schema';
import { cheapestOf } from '../scales/evaluate';
import type { Change } from './changes';
import { pointFinder } from './point';
import { plain } from './turns-it';

/** An axis of the map: an assumption, from one change of it to another. */
export interface MapAxis {
  readonly key: string;
  readonly low: number;
  readonly high: number;
}

/** The map of who is cheapest over two assumptions; points are evenly spaced, both ends included. */
export interface CheapestMap {
  readonly columns: number;
  readonly rows: number;
  /** Row by row from the lower end: the place of the cheapest candidate among `ids`; -1 for nobody. */
  readonly winners: Int16Array;
  readonly ids: readonly string[];
}

/** Works out a map row by row (or column by column), so that it can be left in between. */
export interface MapWork {
  readonly map: CheapestMap;
  /** Works out the next line; false when there is none left. */
  next(): boolean;
}

/** How many points a map has, and how many its first, coarse picture. */
export const FINE = { columns: 200, rows: 120 } as const;
export const COARSE = { columns: 50, rows: 30 } as const;

/** Assumptions that a level follows at once; see `changedLevel`. */
const QUICK = /^(orders|order-value|refunds|foreign-cards|rate|hour-value)/;

/**
 * Begins the map of the cheapest usable candidate over two assumptions. Lines run along the axis that is followed
 * most quickly.
 */
export function mapWork(file: DecisionFile, x: MapAxis, y: MapAxis, { columns, rows }: { columns: number; rows: number }): MapWork {
  const finder = pointFinder(file);
  const winners = new Int16Array(columns * rows).fill(-1);
  const isAlongY = y.key === 'orders' || (x.key !== 'orders' && QUICK.test(y.key) && !QUICK.test(x.key));
  const [inner, outer] = isAlongY ? [y, x] : [x, y];
  const [steps, lines] = isAlongY ? [rows, columns] : [columns, rows];
  let line = 0;
  return {
    map: { columns, rows, winners, ids: finder.ids },
    next() {
      if (line >= lines) return false;
      const fixed: Change = { key: outer.key, value: plain(along(outer, line, lines)) };
      for (let step = 0; step < steps; step++) {
        const point = finder.at([fixed, { key: inner.key, value: plain(along(inner, step, steps)) }]);
        winners[isAlongY ? step * columns + line : line * columns + step] = cheapestOf(point);
      }
      line++;
      return line < lines;
    },
  };
}

/** The change at a step of an axis. */
export function along({ low, high }: Pick<MapAxis, 'low' | 'high'>, step: number, steps: number): number {
  return steps <= 1 ? low : low + ((high - low) * step) / (steps - 1);
}

/** A whole map at once. */
export function cheapestMap(file: DecisionFile, x: MapAxis, y: MapAxis, size: { columns: number; rows: number } = FINE): CheapestMap {
  const work = mapWork(file, x, y, size);
  while (work.next());
  return work.map;
}

/** A candidate's field on a map: how much of it, and where its middle is, in parts of width and height from the lower left. */
export interface MapField {
  readonly candidate: string | null;
  readonly share: number;
  readonly x: number;
  readonly y: number;
}

/** The fields of a map, the largest first; a candidate with several has one for all, its middle in the widest run of it. */
export function fieldsOf({ columns, rows, winners, ids }: CheapestMap): MapField[] {
  const counts = new Map<number, number>();
  const widest = new Map<number, { length: number; x: number; y: number }>();
  for (let row = 0; row < rows; row++) {
    let start = 0;
    for (let column = 0; column < columns; column++) {
      const winner = winners[row * columns + column] ?? -1;
      counts.set(winner, (counts.get(winner) ?? 0) + 1);
      if (column + 1 < columns && winners[row * columns + column + 1] === winner) continue;
      const length = column - start + 1;
      // Runs of the same length further in the middle of the field make better places for its name.
      if (length > (widest.get(winner)?.length ?? 0)) widest.set(winner, { length, x: (start + column) / 2 / Math.max(columns - 1, 1), y: row / Math.max(rows - 1, 1) });
      start = column + 1;
    }
  }
  return [...counts]
    .map(([winner, count]) => ({ candidate: ids[winner] ?? null, share: count / (columns * rows), x: widest.get(winner)?.x ?? 0, y: widest.get(winner)?.y ?? 0 }))
    .sort((a, b) => b.share - a.share);
}

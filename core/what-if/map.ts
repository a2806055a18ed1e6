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

/** The fields of a map, the largest first; a candidate with several has one for all, its middle where it is widest. */
export function fieldsOf({ columns, rows, winners, ids }: CheapestMap): MapField[] {
  const room = roomAround(winners, columns, rows);
  const fields = new Map<number, { count: number; room: number; at: number }>();
  winners.forEach((winner, at) => {
    const field = fields.get(winner) ?? { count: 0, room: -1, at: 0 };
    field.count++;
    const here = room[at] ?? 0;
    if (here > field.room) [field.room, field.at] = [here, at];
    fields.set(winner, field);
  });
  return [...fields]
    .map(([winner, { count, at }]) => ({
      candidate: ids[winner] ?? null,
      share: count / (columns * rows),
      x: (at % columns) / Math.max(columns - 1, 1),
      y: Math.floor(at / columns) / Math.max(rows - 1, 1),
    }))
    .sort((a, b) => b.share - a.share);
}

/** How many points away the next other field or the map's edge is, for every point. */
function roomAround(winners: Int16Array, columns: number, rows: number): Uint16Array {
  const room = new Uint16Array(winners.length);
  const near = (at: number, column: number, row: number, across: -1 | 1, along: -1 | 1) => {
    if (column === 0 || row === 0 || column === columns - 1 || row === rows - 1) return 0;
    const neighbours = [at + across, at + along * columns, at + along * columns + across, at + along * columns - across];
    return Math.min(...neighbours.map((other) => (winners[other] === winners[at] ? (room[other] ?? 0) + 1 : 0)));
  };
  // Once from the lower left, once back from the upper right: the nearer of both edges counts.
  for (let row = 0; row < rows; row++)
    for (let column = 0; column < columns; column++) room[row * columns + column] = near(row * columns + column, column, row, -1, -1);
  for (let row = rows - 1; row >= 0; row--)
    for (let column = columns - 1; column >= 0; column--) {
      const at = row * columns + column;
      room[at] = Math.min(room[at] ?? 0, near(at, column, row, 1, 1));
    }
  return room;
}

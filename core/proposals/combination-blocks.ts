import type { MinorUnits } from '../amount/minor-units';
import type { Block, OfferBlocks, Segment } from '../route/offer-blocks';
import { leastBlocks, type LeastBlocks } from './least-blocks';
import type { Window } from './window-costs';

/** A combination in a window, with what is compared there. */
export interface Priced {
  readonly id: string;
  readonly cost: MinorUnits;
}

/** What combinations cost in windows. */
export interface WindowPrices {
  /** The best three combinations that can be used throughout a window, the best first. */
  bestIn(window: Window): readonly Priced[];
  /** What none of them can cost less than, found far more quickly; Infinity where nothing can be used. */
  atLeast(window: Window): number;
}

/** The best way to a month that ends on a combination. */
interface Ending {
  readonly id: string;
  readonly cost: MinorUnits;
  readonly from: number;
  readonly before: Ending | null;
}

/**
 * The best blocks of an offer of whose combinations only the best few are known for each window.
 *
 * Most windows are never priced: first the way that is the best by what windows cost at least is priced, and the next
 * such way, until one is as cheap as that; then whatever could be part of an equally cheap one.
 *
 * @param within - what a move inside the offer costs
 * @param throughout - what runs through from joining the offer to leaving it
 */
export function combinationBlocks(
  { bestIn, atLeast }: WindowPrices,
  months: number,
  within: MinorUnits,
  throughout: (from: number, to: number) => MinorUnits,
): OfferBlocks {
  const least = leastBlocks(months, within, atLeast);
  const found = new Map<string, Ending | null>();
  const bestAt = (start: number, to: number): Ending | null => {
    const key = `${start} ${to}`;
    const known = found.get(key);
    if (known !== undefined) return known;
    const best = bestEnding({ bestIn, least, within }, start, to);
    found.set(key, best);
    return best;
  };
  return {
    cost: (from, to) => (bestAt(from, to)?.cost ?? Infinity) + throughout(from, to),
    atLeast: (from, to) => least.cost(from, to) + throughout(from, to),
    block(start, to): Block {
      const segments: Segment[] = [];
      let end = to;
      for (let at = bestAt(start, to); at; at = at.before) {
        segments.unshift({ candidate: at.id, from: at.from, to: end });
        end = at.from;
      }
      return { segments };
    },
  };
}

/** What blocks are put together from. */
interface Priceable {
  readonly bestIn: WindowPrices['bestIn'];
  readonly least: LeastBlocks;
  readonly within: MinorUnits;
}

function bestEnding({ bestIn, least, within }: Priceable, start: number, to: number): Ending | null {
  const price = (windows: readonly Window[]) => {
    for (const window of windows) least.know(window, bestIn(window)[0]?.cost ?? Infinity);
    return windows.length > 0;
  };
  price([{ from: start, to, moved: false }]);
  while (price(least.openOnLeastWay(start, to)));
  const atMost = endings({ bestIn, least, within }, start, to)[to]?.[0]?.cost ?? Infinity;
  price(least.openUpTo(start, to, atMost));
  return endings({ bestIn, least, within }, start, to)[to]?.[0] ?? null;
}

/** For each month of leaving the two best blocks from a start that end on different combinations, over what has been priced. */
function endings({ bestIn, least, within }: Priceable, start: number, last: number): Ending[][] {
  const table: Ending[][] = Array.from({ length: last + 1 }, () => []);
  for (let from = start; from < last; from++) {
    const moved = from > start;
    const here = table[from] ?? [];
    if (moved && here.length === 0) continue;
    for (let to = from + 1; to <= last; to++) {
      const window = { from, to, moved };
      if (!least.isKnown(window)) continue;
      for (const { id, cost } of bestIn(window)) {
        const before = moved ? here.find((one) => one.id !== id) : null;
        if (before === undefined) continue;
        put(table[to] ?? [], { id, cost: cost + (before ? before.cost + within : 0), from, before });
      }
    }
  }
  return table;
}

function put(row: Ending[], ending: Ending): void {
  const same = row.findIndex(({ id }) => id === ending.id);
  if (same >= 0 && (row[same]?.cost ?? Infinity) <= ending.cost) return;
  if (same >= 0) row.splice(same, 1);
  row.push(ending);
  row.sort((a, b) => a.cost - b.cost);
  row.length = Math.min(row.length, 2);
}

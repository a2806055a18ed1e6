import type { MinorUnits } from '../amount/minor-units';
import type { Block, OfferBlocks, Segment } from '../route/offer-blocks';
import type { Window } from './window-parts';

/** A combination in a window, with what is compared there. */
export interface Priced {
  readonly id: string;
  readonly cost: MinorUnits;
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
 * @param bestIn - the best three combinations that can be used throughout a window, the best first
 * @param within - what a move inside the offer costs
 * @param throughout - what runs through from joining the offer to leaving it
 */
export function combinationBlocks(
  bestIn: (window: Window) => readonly Priced[],
  months: number,
  within: MinorUnits,
  throughout: (from: number, to: number) => MinorUnits,
): OfferBlocks {
  const tables = new Map<number, Ending[][]>();
  const tableFrom = (start: number) => {
    const table = tables.get(start) ?? endings(bestIn, start, months, within);
    tables.set(start, table);
    return table;
  };
  const bestAt = (start: number, to: number): Ending | undefined => tableFrom(start)[to]?.[0];
  return {
    cost: (from, to) => (bestAt(from, to)?.cost ?? Infinity) + throughout(from, to),
    block(start, to): Block {
      const segments: Segment[] = [];
      let end = to;
      for (let at: Ending | null = bestAt(start, to) ?? null; at; at = at.before) {
        segments.unshift({ candidate: at.id, from: at.from, to: end });
        end = at.from;
      }
      return { segments };
    },
  };
}

/** For each month of leaving the two best blocks from a start that end on different combinations. */
function endings(bestIn: (window: Window) => readonly Priced[], start: number, months: number, within: MinorUnits): Ending[][] {
  const table: Ending[][] = Array.from({ length: months + 1 }, () => []);
  for (let from = start; from < months; from++) {
    const moved = from > start;
    const here = table[from] ?? [];
    if (moved && here.length === 0) continue;
    for (let to = from + 1; to <= months; to++)
      for (const { id, cost } of bestIn({ from, to, moved })) {
        const before = moved ? here.find((one) => one.id !== id) : null;
        if (before === undefined) continue;
        put(table[to] ?? [], { id, cost: cost + (before ? before.cost + within : 0), from, before });
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

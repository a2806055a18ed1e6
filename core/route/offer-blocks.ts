import type { MinorUnits } from '../amount/minor-units';

/** A candidate of an offer, ready for routes. */
export interface RouteCandidate {
  readonly id: string;
  /** By month. */
  readonly usable: readonly boolean[];
  readonly costs: {
    /** @param to - the month in which it is left; the horizon's length for staying to the end */
    cost(from: number, to: number, moved: boolean): MinorUnits;
  };
}

export interface Segment {
  readonly candidate: string;
  readonly from: number;
  /** The month in which it is left, not part of it. */
  readonly to: number;
}

/** A time with one offer, joined from outside, perhaps with moves between its candidates. */
export interface Block {
  readonly segments: readonly Segment[];
}

/** The cheapest blocks of one offer. */
export interface OfferBlocks {
  /** What the cheapest block between two months costs; Infinity if there is none. */
  cost(from: number, to: number): MinorUnits;
  /** What it costs at least, where that is found more quickly than what it costs. */
  atLeast?(from: number, to: number): number;
  block(from: number, to: number): Block;
}

interface Best {
  readonly cost: MinorUnits;
  readonly candidate: number;
  readonly from: number;
}

const NONE: Best = { cost: Infinity, candidate: -1, from: -1 };

/**
 * The cheapest way to be with an offer from one month to another: the first segment is joined from outside, every
 * later one is a move to another candidate of the offer (decision file §9).
 *
 * @param within - what a move inside the offer costs, minor units
 * @param throughout - what runs through from joining the offer to leaving it
 */
export function offerBlocks(
  candidates: readonly RouteCandidate[],
  months: number,
  within: MinorUnits,
  throughout?: (from: number, to: number) => MinorUnits,
): OfferBlocks {
  const tables = new Map<number, Best[][]>();
  const tableFrom = (start: number) => {
    const table = tables.get(start) ?? blockTable(candidates, start, months, within);
    tables.set(start, table);
    return table;
  };
  const bestAt = (start: number, to: number): Best =>
    (tableFrom(start)[to] ?? []).reduce((best, one) => (one.cost < best.cost ? one : best), NONE);
  return {
    cost: (from, to) => bestAt(from, to).cost + (throughout?.(from, to) ?? 0),
    block(start, to) {
      const segments: Segment[] = [];
      let at: Best | undefined = bestAt(start, to);
      let end = to;
      while (at && at.candidate >= 0) {
        const { candidate, from }: Best = at;
        segments.unshift({ candidate: candidates[candidate]?.id ?? '', from, to: end });
        if (from === start) break;
        at = cheapestOther(tableFrom(start)[from] ?? [], candidate);
        end = from;
      }
      return { segments };
    },
  };
}

/** For each month of leaving and each candidate: the cheapest block from a start that ends on it there. */
function blockTable(candidates: readonly RouteCandidate[], start: number, months: number, within: MinorUnits): Best[][] {
  const table: Best[][] = Array.from({ length: months + 1 }, () => candidates.map(() => NONE));
  const improve = (to: number, candidate: number, cost: MinorUnits, from: number) => {
    const row = table[to];
    if (row && cost < (row[candidate]?.cost ?? Infinity)) row[candidate] = { cost, candidate, from };
  };
  for (let from = start; from < months; from++) {
    candidates.forEach(({ usable, costs }, index) => {
      const moved = from > start;
      const before = moved ? cheapestOther(table[from] ?? [], index).cost + within : 0;
      if (before === Infinity) return;
      for (let to = from + 1; to <= months && usable[to - 1]; to++) improve(to, index, before + costs.cost(from, to, moved), from);
    });
  }
  return table;
}

/** The cheapest block that ends on another candidate. */
function cheapestOther(row: readonly Best[], candidate: number): Best {
  return row.reduce((best, one, index) => (index !== candidate && one.cost < best.cost ? one : best), NONE);
}

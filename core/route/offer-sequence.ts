import type { Block, OfferBlocks } from './offer-blocks';
import type { MinorUnits } from '../amount/minor-units';

/** Blocks of different offers, one after the other. */
export interface OfferSequence {
  readonly cost: MinorUnits;
  readonly blocks: readonly Block[];
}

interface State {
  readonly cost: MinorUnits;
  readonly offer: number;
  readonly from: number;
  readonly to: number;
  readonly before: State | null;
}

/**
 * The cheapest sequence of blocks through the horizon, each offer joined at most once (decision file §9).
 *
 * At first nothing is remembered of the offers that were left; if the cheapest sequence then joins one again, that
 * offer is remembered, and the search is done anew. Sequences that break the rule only get fewer, so the first one
 * that keeps it is the cheapest of all.
 *
 * @param between - what a move to another offer in a month costs, minor units
 * @param moves - most moves between offers
 * @param blocks - those that a cheapest sequence could consist of; all there are where nothing is said
 * @returns null where no way exists
 */
export function cheapestSequence(
  offers: readonly OfferBlocks[],
  months: number,
  between: (month: number) => MinorUnits,
  moves: number,
  blocks: readonly OfferBlock[] = allBlocks(offers, months),
): OfferSequence | null {
  const remembered: number[] = [];
  const asked = { offers, months, between, moves: Math.min(moves, offers.length - 1), ends: endsOf(blocks, months) };
  for (;;) {
    const last = search(asked, remembered);
    if (!last) return null;
    const path: State[] = [];
    for (let state: State | null = last; state; state = state.before) path.unshift(state);
    const again = path.find(({ offer }, index) => path.findIndex((other) => other.offer === offer) < index);
    if (!again) return { cost: last.cost, blocks: path.flatMap(({ offer, from, to }) => offers[offer]?.block(from, to) ?? []) };
    remembered.push(again.offer);
  }
}

/** A time with an offer, by its place among them. */
export interface OfferBlock {
  readonly offer: number;
  readonly from: number;
  readonly to: number;
}

function allBlocks(offers: readonly OfferBlocks[], months: number): OfferBlock[] {
  const blocks: OfferBlock[] = [];
  for (let from = 0; from < months; from++)
    for (let to = from + 1; to <= months; to++) for (const offer of offers.keys()) blocks.push({ offer, from, to });
  return blocks;
}

/**
 * The blocks that a sequence could have and cost no more than so much, by what blocks cost at least: no others need be
 * worked out.
 *
 * @param atMost - what some sequence is known to cost, minor units; Infinity where none is known
 */
export function blocksUpTo(
  offers: readonly OfferBlocks[],
  months: number,
  between: (month: number) => MinorUnits,
  atMost: number,
): OfferBlock[] {
  const leastOf = offers.map((blocks) => (from: number, to: number) => blocks.atLeast?.(from, to) ?? blocks.cost(from, to));
  /** With the move to it, where it is not the first. */
  const least = ({ offer, from, to }: OfferBlock) => (leastOf[offer]?.(from, to) ?? Infinity) + (from > 0 ? between(from) : 0);
  const all = allBlocks(offers, months).flatMap((block) => (least(block) < Infinity ? [{ ...block, least: least(block) }] : []));
  const [before, after] = [new Float64Array(months + 1).fill(Infinity), new Float64Array(months + 1).fill(Infinity)];
  [before[0], after[months]] = [0, 0];
  for (const { from, to, least } of all) before[to] = Math.min(before[to] ?? Infinity, (before[from] ?? Infinity) + least);
  for (const { from, to, least } of all.toReversed()) after[from] = Math.min(after[from] ?? Infinity, least + (after[to] ?? Infinity));
  return all.filter(({ from, to, least }) => {
    const through = (before[from] ?? Infinity) + least + (after[to] ?? Infinity);
    return through < Infinity && through <= atMost + ROUNDING;
  });
}

/** Larger than what sums of fractions are off, and smaller than any amount. */
const ROUNDING = 1e-3;

/** By the month of joining and offer the months of leaving. */
type Ends = ReadonlyArray<ReadonlyMap<number, readonly number[]>>;

function endsOf(blocks: readonly OfferBlock[], months: number): Ends {
  const ends = Array.from({ length: months }, () => new Map<number, number[]>());
  for (const { offer, from, to } of blocks) {
    const known = ends[from]?.get(offer) ?? [];
    known.push(to);
    ends[from]?.set(offer, known);
  }
  return ends;
}

interface Asked {
  readonly offers: readonly OfferBlocks[];
  readonly months: number;
  between(month: number): MinorUnits;
  readonly moves: number;
  readonly ends: Ends;
}

/** States by the remembered offers that were joined (bits), then by month and last offer. */
type Level = Map<number, Array<Array<State | undefined>>>;

function search({ offers, months, between, moves, ends }: Asked, remembered: readonly number[]): State | null {
  const bitOf = (offer: number) => (remembered.includes(offer) ? 1 << remembered.indexOf(offer) : 0);
  let best: State | null = null;
  let level: Level = new Map();
  const put = (target: Level, mask: number, state: State) => {
    const rows = target.get(mask) ?? Array.from({ length: months + 1 }, () => []);
    target.set(mask, rows);
    const row = rows[state.to];
    if (row && state.cost < (row[state.offer]?.cost ?? Infinity)) row[state.offer] = state;
    if (state.to === months && state.cost < (best?.cost ?? Infinity)) best = state;
  };
  offers.forEach((blocks, offer) => {
    for (const to of ends[0]?.get(offer) ?? []) {
      const cost = blocks.cost(0, to);
      if (cost < Infinity) put(level, bitOf(offer), { cost, offer, from: 0, to, before: null });
    }
  });
  for (let move = 0; move < moves; move++) {
    const next: Level = new Map();
    for (const [mask, rows] of level)
      for (let from = 1; from < months; from++) {
        const row = rows[from] ?? [];
        offers.forEach((blocks, offer) => {
          if ((mask & bitOf(offer)) !== 0) return;
          const before = ends[from]?.has(offer) ? cheapestOther(row, offer) : undefined;
          if (!before) return;
          for (const to of ends[from]?.get(offer) ?? []) {
            const cost = before.cost + between(from) + blocks.cost(from, to);
            if (cost < Infinity) put(next, mask | bitOf(offer), { cost, offer, from, to, before });
          }
        });
      }
    level = next;
  }
  return best;
}

function cheapestOther(row: ReadonlyArray<State | undefined>, offer: number): State | undefined {
  let best: State | undefined;
  for (const state of row) if (state && state.offer !== offer && state.cost < (best?.cost ?? Infinity)) best = state;
  return best;
}

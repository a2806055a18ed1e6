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
 * @returns null where no way exists
 */
export function cheapestSequence(
  offers: readonly OfferBlocks[],
  months: number,
  between: (month: number) => MinorUnits,
  moves: number,
): OfferSequence | null {
  const remembered: number[] = [];
  for (;;) {
    const last = search(offers, months, between, Math.min(moves, offers.length - 1), remembered);
    if (!last) return null;
    const path: State[] = [];
    for (let state: State | null = last; state; state = state.before) path.unshift(state);
    const again = path.find(({ offer }, index) => path.findIndex((other) => other.offer === offer) < index);
    if (!again) return { cost: last.cost, blocks: path.flatMap(({ offer, from, to }) => offers[offer]?.block(from, to) ?? []) };
    remembered.push(again.offer);
  }
}

/** States by the remembered offers that were joined (bits), then by month and last offer. */
type Level = Map<number, Array<Array<State | undefined>>>;

function search(
  offers: readonly OfferBlocks[],
  months: number,
  between: (month: number) => MinorUnits,
  moves: number,
  remembered: readonly number[],
): State | null {
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
    for (let to = 1; to <= months; to++) {
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
          const before = cheapestOther(row, offer);
          if (!before) return;
          for (let to = from + 1; to <= months; to++) {
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

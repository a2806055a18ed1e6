/** Chance that is the same for the same seed. */
export function chance(seed: number): {
  next(): number;
  upTo(most: number): number;
  one<Item>(list: readonly Item[]): Item;
};

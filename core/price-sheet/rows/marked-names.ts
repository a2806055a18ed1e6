import type { PriceSheet } from '../../decision/price-sheet';
import type { Part } from '../parts';

/** Limits or features of some columns that only a mark says something about, by their names. */
export function markedNames({ marks = {} }: PriceSheet, columns: readonly Part[], kind: 'limit' | 'feature'): string[] {
  return Object.keys(marks).flatMap((place) => {
    const [, part, what, name] = /^(\S+) (limit|feature) (.+)$/.exec(place) ?? [];
    return name !== undefined && what === kind && columns.some(({ id }) => id === part) ? [name] : [];
  });
}

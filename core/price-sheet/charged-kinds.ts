import type { PriceSheet } from '../decision/price-sheet';
import { partsOf } from './parts';

/**
 * The kinds of cards, wallets and other ways of paying that fees of these sheets are narrowed to, each once: what is paid so
 * counts only where expected sales name it.
 */
export function chargedKinds(sheets: readonly PriceSheet[]): string[] {
  const all = sheets.flatMap((sheet) => partsOf(sheet).flatMap(({ charges = [] }) => charges.flatMap(({ only }) => only?.cards ?? [])));
  return [...new Set(all)].sort();
}

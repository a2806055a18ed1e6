import type { PriceSheet } from './price-sheet';

/** The name a price sheet goes by. */
export function sheetLabel(sheet: PriceSheet): string {
  if (sheet.kind === 'offer') return sheet.offer.label || sheet.offer.vendor;
  return sheet.kind === 'processor' ? sheet.processor.label : sheet.addon.label;
}

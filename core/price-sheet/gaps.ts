import type { PriceSheet } from '../decision/price-sheet';
import type { Charge, Term } from '../decision-file/price-sheet-schema';
import { partsOf } from './parts';

/** How many figures of a sheet are charged or limited, but not known. */
export function gapsOf(sheet: PriceSheet): number {
  const inParts = partsOf(sheet).flatMap(({ terms = [], charges = [] }) => [...terms.map(isTermGap), ...charges.map(isChargeGap)]);
  const marked = Object.values(sheet.marks ?? {}).map((mark) => mark === 'not-known');
  return [...inParts, ...marked].filter(Boolean).length;
}

function isTermGap({ price, intro }: Term): boolean {
  return price === null || (intro !== undefined && 'price' in intro && intro.price === null);
}

/** An open last band has `upTo` null and is no gap. */
function isChargeGap(charge: Charge): boolean {
  if (Object.values(charge).includes(null)) return true;
  if ('bands' in charge) return charge.bands.some(({ each, percent, flat }) => each === null || percent === null || flat === null);
  return typeof charge.free === 'object' && charge.free?.ratio === null;
}

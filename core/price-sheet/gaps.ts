import type { PriceSheet } from '../decision/price-sheet';
import { isChargeNotKnown } from '../rules/charges/charge-rule';
import { isTermNotKnown } from '../rules/terms/term';
import { partsOf } from './parts';

/** How many figures of a sheet are charged or limited, but not known. */
export function gapsOf(sheet: PriceSheet): number {
  const inParts = partsOf(sheet).flatMap(({ terms = [], charges = [] }) => [
    ...terms.map(isTermNotKnown),
    ...charges.map(isChargeNotKnown),
  ]);
  const marked = Object.values(sheet.marks ?? {}).map((mark) => mark === 'not-known');
  return [...inParts, ...marked].filter(Boolean).length;
}

import type { PriceSheet } from '../decision/price-sheet';
import { isChargeNotKnown } from '../rules/charges/charge-rule';
import { isTermNotKnown } from '../rules/terms/term';
import { type Part, partsOf } from './parts';

/** How many figures of a sheet are charged or limited, but not known. */
export function gapsOf(sheet: PriceSheet): number {
  const inPart = ({ terms = [], charges = [] }: Part) => terms.filter(isTermNotKnown).length + charges.filter(isChargeNotKnown).length;
  const marked = Object.values(sheet.marks ?? {}).filter((mark) => mark === 'not-known').length;
  return partsOf(sheet).reduce((sum, part) => sum + inPart(part), marked);
}

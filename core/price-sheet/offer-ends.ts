import type { Workbench } from '../decision/workbench';
import { findTerm } from '../pricing/payment-schedule';
import { evidenceOf } from './figure-notes';
import { partsOf, placeOf } from './parts';

/** The day on which a special offer is over, where the price sheet says; null where it does not. */
export function offerEnds({ sheets }: Workbench, part: string, term: string): string | null {
  for (const { sheet } of sheets) {
    const owner = partsOf(sheet).find(({ id, terms = [] }) => id === part && terms.some((one) => one.id === term));
    if (owner) return evidenceOf(sheet, placeOf(part, { kind: 'term', months: findTerm(owner.terms ?? [], term).months })).until ?? null;
  }
  return null;
}

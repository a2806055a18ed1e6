import type { PriceSheet } from '../decision/price-sheet';
import { noteFigure } from '../price-sheet/figure-notes';
import { columnsOf, type FigurePlace, placeOf, withPart } from '../price-sheet/parts';
import { withTermOf } from '../price-sheet/parts';
import type { FoundChange } from './found-change';

/** Where and when a page was seen. */
export interface SeenPage {
  readonly address: string;
  /** `YYYY-MM-DD`. */
  readonly on: string;
}

/** A price sheet with what was found on its page, each figure with the page as its evidence; the sheet counts as seen that day. */
export function withFoundChanges(sheet: PriceSheet, changes: readonly FoundChange[], { address, on }: SeenPage): PriceSheet {
  const seen = { where: address.slice(0, 500), seen: on, sure: 'sure' as const };
  const changed = changes.reduce<PriceSheet>((before, change) => {
    const after = withChange(before, change);
    const place = placeIn(change);
    return place ? noteFigure(after, place, { ...seen, until: undefined }) : after;
  }, sheet);
  return { ...changed, seen: on };
}

function withChange(sheet: PriceSheet, change: FoundChange): PriceSheet {
  switch (change.kind) {
    case 'term':
      return withPart(sheet, change.part, (part) => ({ ...part, terms: withTermOf(part.terms ?? [], change.term) }));
    case 'charge':
      return withPart(sheet, change.part, (part) => ({
        ...part,
        charges: (part.charges ?? []).map((one) => (one.id === change.charge.id ? change.charge : one)),
      }));
    case 'new-plan':
      return sheet.kind === 'offer' && columnsOf(sheet).every(({ id }) => id !== change.added.id)
        ? { ...sheet, offer: { ...sheet.offer, plans: [...sheet.offer.plans, change.added] } }
        : sheet;
    case 'plan-gone':
      return sheet.kind === 'offer'
        ? { ...sheet, offer: { ...sheet.offer, plans: sheet.offer.plans.filter(({ id }) => id !== change.part) } }
        : sheet;
  }
}

function placeIn(change: FoundChange): string | null {
  const at = (place: FigurePlace) => ('part' in change ? placeOf(change.part, place) : null);
  if (change.kind === 'term') return at({ kind: 'term', months: change.term.months });
  return change.kind === 'charge' ? at({ kind: 'charge', id: change.charge.id }) : null;
}

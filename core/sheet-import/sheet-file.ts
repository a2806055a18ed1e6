import type { PriceSheet } from '../decision/price-sheet';
import type { Offer } from '../decision-file/price-sheet-schema';

/** Marks the JSON of one price sheet. */
export const SHEET_FORMAT = 'venalis.price-sheet';

/** One price sheet as a document of its own. */
export function sheetFile(sheet: PriceSheet) {
  return { format: SHEET_FORMAT, version: 1, sheet } as const;
}

/** The sheet with identifiers of its own, so that it can stand beside the one it came from. */
export function withFreshIds(sheet: PriceSheet, newId: () => string): PriceSheet {
  const fresh = new Map<string, string>();
  const renew = (id: string) => {
    const found = fresh.get(id) ?? newId();
    fresh.set(id, found);
    return found;
  };
  const part = <One extends { id: string; charges?: ReadonlyArray<{ id: string }> | undefined }>(one: One): One => ({
    ...one,
    id: renew(one.id),
    ...(one.charges ? { charges: one.charges.map((charge) => ({ ...charge, id: renew(`charge ${charge.id}`) })) } : {}),
  });
  const notes = (changed: PriceSheet): PriceSheet => ({
    ...changed,
    ...(sheet.figures ? { figures: renamed(sheet.figures, fresh) } : {}),
    ...(sheet.marks ? { marks: renamed(sheet.marks, fresh) } : {}),
    ...(sheet.savings ? { savings: renamed(sheet.savings, fresh) } : {}),
    ...(sheet.settled ? { settled: sheet.settled.map((one) => ({ ...one, place: freshPlace(one.place, fresh) })) } : {}),
  });
  if (sheet.kind === 'processor') return notes({ ...sheet, processor: part(sheet.processor) });
  if (sheet.kind === 'addon') return notes({ ...sheet, addon: part(sheet.addon) });
  const offer: Offer = {
    ...sheet.offer,
    id: newId(),
    plans: sheet.offer.plans.map(part),
    ...(sheet.offer.addons ? { addons: sheet.offer.addons.map(part) } : {}),
  };
  return notes({ ...sheet, offer });
}

function renamed<Value>(record: Readonly<Record<string, Value>>, fresh: ReadonlyMap<string, string>): Record<string, Value> {
  return Object.fromEntries(Object.entries(record).map(([place, value]) => [freshPlace(place, fresh), value]));
}

function freshPlace(place: string, fresh: ReadonlyMap<string, string>): string {
  const [id = '', kind, ...rest] = place.split(' ');
  const partId = fresh.get(id) ?? id;
  if (kind === 'charge') return [partId, kind, fresh.get(`charge ${rest.join(' ')}`) ?? rest.join(' ')].join(' ');
  return [partId, ...(kind === undefined ? [] : [kind]), ...rest].join(' ');
}

import type { Workbench } from '../decision/workbench';
import { findTerm } from '../pricing/payment-schedule';
import { featureWords } from '../wording/need-words';
import { evidenceOf } from './figure-notes';
import { type FigurePlace, partsOf, placeOf } from './parts';

/** The day on which a special offer is over, where the price sheet says; null where it does not. */
export function offerEnds({ sheets }: Workbench, part: string, term: string): string | null {
  for (const { sheet } of sheets) {
    const owner = partsOf(sheet).find(({ id, terms = [] }) => id === part && terms.some((one) => one.id === term));
    if (owner) return evidenceOf(sheet, placeOf(part, { kind: 'term', months: findTerm(owner.terms ?? [], term).months })).until ?? null;
  }
  return null;
}

/** Something that comes with a plan for those who claim it in time. */
export interface ToClaim {
  /** "moving service". */
  readonly what: string;
  /** The last day on which it can be had. */
  readonly until: string;
}

/** What of a plan's features and charges has to be claimed by a day that stands beside it on the price sheet; the earliest first. */
export function toClaim({ sheets }: Pick<Workbench, 'sheets'>, part: string): ToClaim[] {
  for (const { sheet } of sheets) {
    const owner = partsOf(sheet).find(({ id }) => id === part);
    if (!owner) continue;
    const until = (place: FigurePlace) => sheet.figures?.[placeOf(part, place)]?.until;
    const dated = [
      ...Object.keys(owner.features ?? {}).map((feature) => ({ what: featureWords(feature), until: until({ kind: 'feature', feature }) })),
      ...(owner.charges ?? []).map(({ id, label }) => ({ what: label, until: until({ kind: 'charge', id }) })),
      ...(owner.once ?? []).map(({ label }) => ({ what: label, until: until({ kind: 'joining' }) })),
    ];
    return dated
      .flatMap(({ what, until: day }) => (day === undefined ? [] : [{ what, until: day }]))
      .sort((a, b) => (a.until < b.until ? -1 : 1));
  }
  return [];
}

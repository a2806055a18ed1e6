import type { Workbench } from '#core/decision/workbench';
import { featureWords } from '#core/wording/need-words';
import { partsOf } from '#core/price-sheet/parts';
import type { RenewalOpen } from '#core/proposals/decision-proposals';
import type { Reason } from '#core/proposals/passed-over';
import { termWords } from '#core/wording/term-words';
import type { Writer } from '../locale/writer';

/** Names of what reasons speak of: add-ons, charges. */
export interface ReasonNames {
  /** The name of an add-on or charge by its id. */
  nameOf(id: string): string;
  /** The plan that is proposed instead. */
  readonly proposed: string;
}

/** Names of every add-on and charge of a decision's sheets. */
export function namesIn({ sheets }: Pick<Workbench, 'sheets'>): (id: string) => string {
  const names = namesOfSheets.get(sheets) ?? namesAnew(sheets);
  namesOfSheets.set(sheets, names);
  return (id) => names.get(id) || id;
}

/** Every vendor's block asks for the names of all sheets: they are gathered once. */
const namesOfSheets = new WeakMap<Workbench['sheets'], ReadonlyMap<string, string>>();

function namesAnew(sheets: Workbench['sheets']): ReadonlyMap<string, string> {
  const parts = sheets.flatMap(({ sheet }) => partsOf(sheet));
  return new Map([
    ...parts.map(({ id, label }) => [id, label] as const),
    ...parts.flatMap(({ charges = [] }) => charges.map(({ id, label }) => [id, label] as const)),
  ]);
}

/** A must that is not met, in a few words: "no gift cards". */
export function lackWords(feature: string): string {
  if (feature.startsWith('without-')) return `has ${featureWords(feature.slice('without-'.length))}`;
  if (feature.startsWith('gives-')) return `hands no data on to ${featureWords(feature.slice('gives-'.length))}`;
  if (feature.startsWith('takes-')) return `takes no data from ${featureWords(feature.slice('takes-'.length))}`;
  return `no ${featureWords(feature)}`;
}

/** A must that nobody says anything about, in a few words. */
export function unclearWords(feature: string): string {
  if (feature.startsWith('without-')) return `whether it has ${featureWords(feature.slice('without-'.length))}`;
  return featureWords(feature);
}

/** Why a plan is passed over, in a sentence without a full stop. */
export function reasonWords(reason: Reason, { nameOf, proposed }: ReasonNames, write: Writer): string {
  switch (reason.kind) {
    case 'proposed':
      return 'the cheapest of this vendor that does it all';
    case 'dearer': {
      const besides = reason.addons.map(nameOf).join(' and ');
      const by = `${write.amount(reason.by)} dearer than ${proposed}`;
      const lacks = besides && reason.lacks.length > 0 ? `${reason.lacks.map(lackWords).join(', ')}; ` : '';
      const bought = besides ? `with ${besides} ` : '';
      return lacks + bought + (Number(reason.by) === 0 ? `as dear as ${proposed}` : by);
    }
    case 'not-known':
      return `not known: ${reason.charges.length === 0 ? 'what it costs' : reason.charges.map(nameOf).join(', ').toLowerCase()}`;
    case 'missing': {
      const lacks = reason.features.map(lackWords).join(', ');
      const unclear = reason.unclear.length > 0 ? `not known: ${reason.unclear.map(unclearWords).join(', ')}` : '';
      return [lacks, unclear].filter(Boolean).join('; ') || 'cannot be used';
    }
    case 'outgrown':
      return `outgrown in ${write.month(reason.month)}: ${write.number(reason.reaches, 0)} ${featureWords(reason.quantity)}`;
  }
}

/**
 * What a plan costs at least whose renewal price is not known, and up to which it is the better one.
 *
 * @param proposed - the plan proposed for the vendor; null where nothing is, and it is set against the other vendors
 */
export function renewalWords(
  { atLeast, below, months, currency }: Omit<RenewalOpen, 'made'>,
  proposed: string | null,
  write: Writer,
): string {
  const least = `at least ${write.amount(atLeast)}; its renewal price is not known`;
  if (below === null) return proposed === null ? least : `${least}, but ${proposed} costs less whatever it is`;
  const limit = `${write.price(below, currency)} ${termWords(months)}`;
  return `${least}. Below ${limit} ${proposed === null ? 'nothing else costs less' : `it costs less than ${proposed}`}`;
}

/** What a candidate's result says about whether it can be used. */
interface Standing {
  readonly outgrown: { readonly month: string; readonly limit: string } | null;
  readonly missing: readonly string[];
  readonly unclear: readonly string[];
}

/** Why a candidate cannot be used, in words; empty if it can. */
export function standingWords({ outgrown, missing, unclear }: Standing, month: (month: string) => string): string {
  return [
    missing.map(lackWords).join(', '),
    unclear.length > 0 ? `not known: ${unclear.map(unclearWords).join(', ')}` : '',
    outgrown ? `outgrown in ${month(outgrown.month)}: ${featureWords(outgrown.limit)}` : '',
  ]
    .filter(Boolean)
    .join('; ');
}

/** The first reason why a candidate cannot be used, and how many more there are; empty if it can. */
export function firstReason({ outgrown, missing, unclear }: Standing, month: (month: string) => string): string {
  const all = [
    ...missing.map(lackWords),
    ...unclear.map((feature) => `not known: ${unclearWords(feature)}`),
    ...(outgrown ? [`outgrown in ${month(outgrown.month)}`] : []),
  ];
  return all.length > 1 ? `${all[0] ?? ''} and ${all.length - 1} more` : (all[0] ?? '');
}

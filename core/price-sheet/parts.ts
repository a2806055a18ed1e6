import type { PriceSheet } from '../decision/price-sheet';
import type { Addon, Charge, Features, Plan, Processor, SharedAddon, Term } from '../decision-file/price-sheet-schema';

/** What has prices of its own on a sheet: a plan, an add-on or a processor. */
export interface Part {
  readonly id: string;
  readonly label: string;
  readonly currency: string;
  readonly terms?: Term[] | undefined;
  readonly charges?: Charge[] | undefined;
  /** The most it allows, by quantity; what holds for a year under `NAME/year`. */
  readonly limits?: Record<string, string> | undefined;
  readonly features?: Features | undefined;
  readonly once?: Plan['once'];
  readonly taxExcluded?: boolean | undefined;
}

/** The parts of a sheet: its plans and add-ons, or the processor or add-on it is about. */
export function partsOf(sheet: PriceSheet): readonly Part[] {
  const parts = partsOfSheets.get(sheet) ?? [...columnsOf(sheet), ...addonsOf(sheet)];
  partsOfSheets.set(sheet, parts);
  return parts;
}

/** Sheets never change; everything that is shown of one asks for its parts. */
const partsOfSheets = new WeakMap<PriceSheet, readonly Part[]>();

/** The add-ons of a vendor's sheet; what each one adds to a limit stands as its limit. */
export function addonsOf(sheet: PriceSheet): Part[] {
  return sheet.kind === 'offer' ? (sheet.offer.addons ?? []).map(addonPart) : [];
}

function addonPart({ raises, ...addon }: Addon): Part {
  return { ...addon, ...(raises ? { limits: raises } : {}) };
}

const A_YEAR = '/year';

/** Whether a limit holds for twelve months together, and of which quantity (decision file §6, `yearlyLimits`). */
export function limitOf(name: string): { readonly quantity: string; readonly yearly: boolean } {
  const yearly = name.endsWith(A_YEAR);
  return { quantity: yearly ? name.slice(0, -A_YEAR.length) : name, yearly };
}

/** How a limit is called among those of a part. */
export function limitName(quantity: string, yearly = false): string {
  return yearly ? `${quantity}${A_YEAR}` : quantity;
}

function planPart({ yearlyLimits, limits, ...plan }: Plan): Part {
  const yearly = Object.entries(yearlyLimits ?? {}).map(([quantity, most]) => [limitName(quantity, true), most] as const);
  return { ...plan, limits: { ...limits, ...Object.fromEntries(yearly) } };
}

const planColumns = new WeakMap<readonly Plan[], readonly Part[]>();

function columnsOfPlans(plans: readonly Plan[]): readonly Part[] {
  if (!plans.some(({ yearlyLimits }) => yearlyLimits)) return plans;
  const columns = planColumns.get(plans) ?? plans.map((plan) => (plan.yearlyLimits ? planPart(plan) : plan));
  planColumns.set(plans, columns);
  return columns;
}

/** The columns of a sheet: its plans, or the one thing it is about. */
export function columnsOf(sheet: PriceSheet): readonly Part[] {
  if (sheet.kind === 'offer') return columnsOfPlans(sheet.offer.plans);
  return [sheet.kind === 'processor' ? sheet.processor : addonPart(sheet.addon)];
}

/** The sheet with one of its parts changed; what a part cannot have (a processor's terms) is left out. */
export function withPart(sheet: PriceSheet, id: string, change: (part: Part) => Part): PriceSheet {
  if (sheet.kind === 'processor') return sheet.processor.id === id ? { ...sheet, processor: asProcessor(change(sheet.processor)) } : sheet;
  if (sheet.kind === 'addon')
    return sheet.addon.id === id ? { ...sheet, addon: { ...asAddon(change(addonPart(sheet.addon))), ...partners(sheet.addon) } } : sheet;
  const { plans, addons } = sheet.offer;
  const offer = {
    ...sheet.offer,
    plans: plans.map((plan) => (plan.id === id ? asPlan(change(plan.yearlyLimits ? planPart(plan) : plan)) : plan)),
    ...(addons ? { addons: addons.map((addon) => (addon.id === id ? asAddon(change(addonPart(addon))) : addon)) } : {}),
  };
  return { ...sheet, offer };
}

function partners({ worksWith }: SharedAddon): Pick<SharedAddon, 'worksWith'> {
  return worksWith ? { worksWith } : {};
}

function asPlan({ limits, ...part }: Part): Plan {
  const all = Object.entries(limits ?? {});
  const named = (isYearly: boolean) =>
    Object.fromEntries(
      all.flatMap(([name, most]) => {
        const { quantity, yearly } = limitOf(name);
        return yearly === isYearly ? [[quantity, most] as const] : [];
      }),
    );
  const yearly = named(true);
  return {
    ...part,
    terms: part.terms ?? [],
    ...(limits ? { limits: named(false) } : {}),
    ...(Object.keys(yearly).length > 0 ? { yearlyLimits: yearly } : {}),
  };
}

function asAddon({ limits, once: _once, ...part }: Part): Addon {
  return { ...part, ...(limits && Object.keys(limits).length > 0 ? { raises: limits } : {}) };
}

function asProcessor({ id, label, currency, charges, taxExcluded }: Part): Processor {
  return { id, label, currency, ...(charges ? { charges } : {}), ...(taxExcluded === undefined ? {} : { taxExcluded }) };
}

/** The term of a length that a row is about. */
export function termIn(part: Part, { months, nth = 0 }: { readonly months: number; readonly nth?: number }): Term | undefined {
  return part.terms?.filter((term) => term.months === months)[nth];
}

/** The terms with one of them changed, or one more before the first that is longer; once and for good comes last. */
export function withTermOf(terms: readonly Term[], term: Term): Term[] {
  if (terms.some(({ id }) => id === term.id)) return terms.map((one) => (one.id === term.id ? term : one));
  const length = ({ months }: Term) => months || Infinity;
  const at = terms.findIndex((one) => length(one) > length(term));
  return at < 0 ? [...terms, term] : [...terms.slice(0, at), term, ...terms.slice(at)];
}

/** A figure's place on its sheet: which part, and which of its figures. */
export type FigurePlace =
  /** `nth`: of several terms of one length, counted from 0. */
  | { readonly kind: 'term'; readonly months: number; readonly nth?: number }
  | { readonly kind: 'charge'; readonly id: string }
  | { readonly kind: 'limit'; readonly quantity: string }
  | { readonly kind: 'feature'; readonly feature: string }
  | { readonly kind: 'joining' }
  | { readonly kind: 'saving' };

/**
 * The key under which evidence and marks of a figure are kept.
 *
 * @example placeOf('basic', { kind: 'term', months: 12 }) // 'basic term 12'
 */
export function placeOf(partId: string, place: FigurePlace): string {
  switch (place.kind) {
    case 'term':
      return `${partId} term ${place.months}${place.nth ? ` ${place.nth}` : ''}`;
    case 'charge':
      return `${partId} charge ${place.id}`;
    case 'limit':
      return `${partId} limit ${place.quantity}`;
    case 'feature':
      return `${partId} feature ${place.feature}`;
    default:
      return `${partId} ${place.kind}`;
  }
}

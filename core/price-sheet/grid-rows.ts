import { featureWords } from '../wording/need-words';
import type { PriceSheet } from '../decision/price-sheet';
import type { Charge } from '../decision-file/price-sheet-schema';
import type { RowKind } from '../price-phrase/row-kind';
import { countedWords, narrowedWords } from '../wording/rate-words';
import { columnsOf, limitOf, type Part } from './parts';
import { termWords } from '../wording/term-words';

/** The sections of a price sheet, in the order in which pricing pages have them. */
export type Section = 'price' | 'sale' | 'usage' | 'extent' | 'features';

/** A row of a price sheet: what it states, for each column. */
export interface GridRow {
  /** Unique on the sheet, and the same as long as the row means the same. */
  readonly key: string;
  readonly section: Section;
  readonly kind: RowKind;
  readonly title: string;
  /** What the title leaves open, in a few words. */
  readonly note: string;
}

const USUAL_TERMS = [1, 12];

/** The rows of a sheet: those that state something, the usual ones, and those a person asked for. */
export function gridRows(sheet: PriceSheet, asked: readonly RowKind[] = [], columns: readonly Part[] = columnsOf(sheet)): GridRow[] {
  const areAddons = sheet.kind === 'offer' && columns !== columnsOf(sheet);
  const kinds: RowKind[] = [
    ...(sheet.kind === 'processor' ? [] : termKinds(columns, asked)),
    ...chargeKinds(columns, sheet.kind === 'addon' || areAddons ? [] : usualCharges(sheet, columns)),
    ...columns.flatMap(({ limits }) => Object.keys(limits ?? {})).map((quantity): RowKind => ({ kind: 'limit', quantity })),
    ...markedKinds(sheet, columns),
    ...columns.flatMap(({ features }) => Object.keys(features ?? {})).map((feature): RowKind => ({ kind: 'feature', feature })),
    ...asked,
  ].filter(({ kind }) => kind === 'charge' || sheet.kind !== 'processor');
  const rows = new Map<string, GridRow>();
  for (const kind of kinds) {
    const key = kind.kind === 'charge' ? chargeKey(kind) : null;
    if (key !== null && rows.has(key)) continue;
    const row = rowOf(kind);
    if (!rows.has(row.key)) rows.set(row.key, row);
  }
  const order: readonly Section[] = ['price', 'sale', 'usage', 'extent', 'features'];
  return order.flatMap((section) => [...rows.values()].filter((row) => row.section === section));
}

function termKinds(columns: readonly Part[], asked: readonly RowKind[]): RowKind[] {
  const terms = columns.flatMap((part) => part.terms ?? []);
  const wanted = asked.flatMap((kind) => (kind.kind === 'term' ? [kind.months] : []));
  const lengths = [...new Set([...USUAL_TERMS, ...terms.map(({ months }) => months), ...wanted])].sort(
    (a, b) => (a || Infinity) - (b || Infinity),
  );
  return [
    ...lengths.flatMap((months) => termsOfLength(columns, asked, months)),
    ...(columns.some((part) => daysOfAll(part, 'trialDays') !== undefined) ? [{ kind: 'trial' } as const] : []),
    ...(columns.some((part) => daysOfAll(part, 'refundDays') !== undefined) ? [{ kind: 'refund' } as const] : []),
    ...(columns.some(({ once }) => (once?.length ?? 0) > 0) ? [{ kind: 'joining' } as const] : []),
  ];
}

/** The days of a trial or refund window where all terms of a part have the same; undefined otherwise. */
export function daysOfAll({ terms }: Part, field: 'trialDays' | 'refundDays'): number | undefined {
  const [first, ...others] = terms ?? [];
  return first && others.every((term) => term[field] === first[field]) ? first[field] : undefined;
}

/** Rows for all terms of one length: a plan may have several, such as one with a trial. */
function termsOfLength(columns: readonly Part[], asked: readonly RowKind[], months: number): RowKind[] {
  const wanted = asked.flatMap((kind) => (kind.kind === 'term' && kind.months === months ? [(kind.nth ?? 0) + 1] : []));
  const most = Math.max(1, ...wanted, ...columns.map(({ terms }) => terms?.filter((term) => term.months === months).length ?? 0));
  return Array.from({ length: most }, (_, nth): RowKind => (nth === 0 ? { kind: 'term', months } : { kind: 'term', months, nth }));
}

/** A row of charges: those that mean the same on different plans share one. */
export function chargeKind({ label, bucket = 'transaction', on, only, how }: Charge): Extract<RowKind, { kind: 'charge' }> {
  return { kind: 'charge', label, bucket, how, ...(on === undefined || on === 'orders' ? {} : { on }), ...(only ? { only } : {}) };
}

function chargeKinds(columns: readonly Part[], usual: readonly RowKind[]): RowKind[] {
  return [...columns.flatMap(({ charges }) => charges ?? []).map(chargeKind), ...usual];
}

const USUAL_CHARGES: ReadonlyArray<Extract<RowKind, { kind: 'charge' }>> = [
  { kind: 'charge', label: 'Card fee', bucket: 'payment', how: 'per-order' },
  { kind: 'charge', label: 'Sales fee', bucket: 'transaction', how: 'per-order' },
];

function usualCharges(sheet: PriceSheet, columns: readonly Part[]): RowKind[] {
  const buckets = new Set(columns.flatMap(({ charges }) => charges ?? []).map(({ bucket = 'transaction' }) => bucket));
  const wanted = sheet.kind === 'processor' ? USUAL_CHARGES.slice(0, 1) : USUAL_CHARGES;
  return wanted.filter(({ bucket }) => !buckets.has(bucket));
}

/** Limits and features that only a mark says something about. */
function markedKinds(sheet: PriceSheet, columns: readonly Part[]): RowKind[] {
  return Object.keys(sheet.marks ?? {}).flatMap((place): RowKind[] => {
    const [, part, kind, name] = /^(\S+) (limit|feature) (.+)$/.exec(place) ?? [];
    if (name === undefined || !columns.some(({ id }) => id === part)) return [];
    return [kind === 'limit' ? { kind: 'limit', quantity: name } : { kind: 'feature', feature: name }];
  });
}

/** The row that states something of a kind. */
export function rowOf(kind: RowKind): GridRow {
  switch (kind.kind) {
    case 'term':
      return {
        key: `term ${kind.months} ${kind.nth ?? 0}`,
        section: 'price',
        kind,
        title: `${capital(termWords(kind.months))}${kind.nth ? `, another way (${kind.nth + 1})` : ''}`,
        note: kind.months > 1 ? 'for the whole term' : '',
      };
    case 'trial':
      return { key: 'trial', section: 'price', kind, title: 'Trial', note: 'days free first' };
    case 'refund':
      return { key: 'refund', section: 'price', kind, title: 'Money back', note: 'within so many days' };
    case 'joining':
      return { key: 'joining', section: 'price', kind, title: 'Paid on joining', note: 'once' };
    case 'saving':
      return { key: 'saving', section: 'price', kind, title: 'Advertised saving', note: 'by the year' };
    case 'charge':
      return chargeRow(kind);
    case 'limit': {
      const { quantity, yearly } = limitOf(kind.quantity);
      return {
        key: `limit ${kind.quantity}`,
        section: 'extent',
        kind,
        title: capital(`${quantity.replaceAll('-', ' ')}${yearly ? ' a year' : ''}`),
        note: yearly ? 'at most, in twelve months' : 'at most, a month',
      };
    }
    case 'feature':
      return { key: `feature ${kind.feature}`, section: 'features', kind, title: capital(featureWords(kind.feature)), note: '' };
  }
}

const WHOSE_FEE: Readonly<Record<string, string>> = { payment: 'payment fee', transaction: 'platform’s fee' };

function chargeRow(kind: Extract<RowKind, { kind: 'charge' }>): GridRow {
  const { label, bucket, on = 'orders', only, how = 'per-order' } = kind;
  const example = { id: '', label, how, on, ...(only ? { only } : {}) } as Charge;
  const counted = on === 'orders' ? 'per order' : countedWords(example);
  const whose = WHOSE_FEE[bucket] ?? '';
  return {
    key: chargeKey(kind),
    section: bucket === 'payment' || bucket === 'transaction' ? 'sale' : 'usage',
    kind,
    title: label,
    note: [counted, whose, narrowedWords(example)].filter(Boolean).join(', '),
  };
}

/** Charges never change; the key of the row that one stands in is worked out once. */
const keys = new WeakMap<Charge, string>();

function keyOf(charge: Charge): string {
  const key = keys.get(charge) ?? chargeKey(chargeKind(charge));
  keys.set(charge, key);
  return key;
}

function chargeKey({ label, bucket, on = 'orders', only }: Extract<RowKind, { kind: 'charge' }>): string {
  return `charge ${JSON.stringify([label, bucket, on, only ?? null])}`;
}

/** The charge of a part that stands in a row. */
export function chargeIn(part: Part, row: GridRow): Charge | undefined {
  return row.kind.kind === 'charge' ? part.charges?.find((charge) => keyOf(charge) === row.key) : undefined;
}

function capital(text: string): string {
  return text.charAt(0).toUpperCase() + text.slice(1);
}

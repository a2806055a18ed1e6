import type { PriceSheet } from '../../decision/price-sheet';
import type { Charge } from '../../decision-file/price-sheet-schema';
import { chargeWords } from '../../price-phrase/price-sentence';
import type { RowKind } from '../../price-phrase/row-kind';
import { isChargeNotKnown } from '../../rules/charges/charge-rule';
import { countedWords, narrowedWords, rateWords } from '../../wording/rate-words';
import type { Part } from '../parts';
import { figure, isNothing, nothing, type NoFigure, type RowHeading, type RowRule } from './row-rule';

export type ChargeKind = Extract<RowKind, { kind: 'charge' }>;

/** What is charged for each sale, or for anything else that is counted: charges that mean the same on different plans share a row. */
export const chargeRow: RowRule<ChargeKind> = {
  kinds: ({ sheet, columns, areAddons }) => {
    const stated = columns.flatMap(({ charges = [] }) => charges.map(chargeKind));
    const rows = [...stated, ...(sheet.kind === 'addon' || areAddons ? [] : usualCharges(sheet, columns))];
    const known = new Map<string, ChargeKind>();
    for (const kind of rows) {
      const key = chargeKey(kind);
      if (!known.has(key)) known.set(key, kind);
    }
    return [...known.values()];
  },
  heading,
  place: (part, kind) => ({ kind: 'charge', id: chargeOf(part, kind)?.id ?? chargeKey(kind).slice('charge '.length) }),
  cell: (part, kind, write) => {
    const charge = chargeOf(part, kind);
    if (!charge) return null;
    if (isFree(charge)) return nothing('nothing');
    const { only: _only, ...rest } = charge;
    const [rate = '', ...bounds] = rateWords(charge, write.number).split(', ');
    const content = figure(rate, chargeWords(rest, write.phrase), bounds);
    return isChargeNotKnown(charge) ? { ...content, state: 'not-known' } : content;
  },
  states: ['not-known', 'none', 'not-offered', 'empty'],
  marks: ['not-offered', 'unlimited'],
  inState,
  retyped: (part, kind, statement) => {
    const found = chargeOf(part, kind);
    if (!found || statement.kind !== 'charge') return null;
    return { ...part, charges: (part.charges ?? []).map((charge) => (charge === found ? { id: found.id, ...statement.charge } : charge)) };
  },
};

/** The row that a charge stands in. */
export function chargeKind({ label, bucket = 'transaction', on, only, how }: Charge): ChargeKind {
  return { kind: 'charge', label, bucket, how, ...(on === undefined || on === 'orders' ? {} : { on }), ...(only ? { only } : {}) };
}

/** The charge of a part that stands in a row. */
export function chargeOf(part: Part, kind: ChargeKind): Charge | undefined {
  const key = chargeKey(kind);
  return part.charges?.find((charge) => keyOf(charge) === key);
}

/** Charges never change; the key of the row that one stands in is worked out once. */
const keys = new WeakMap<Charge, string>();

function keyOf(charge: Charge): string {
  const key = keys.get(charge) ?? chargeKey(chargeKind(charge));
  keys.set(charge, key);
  return key;
}

function chargeKey({ label, bucket, on = 'orders', only }: ChargeKind): string {
  return `charge ${JSON.stringify([label, bucket, on, only ?? null])}`;
}

const USUAL_CHARGES: readonly ChargeKind[] = [
  { kind: 'charge', label: 'Card fee', bucket: 'payment', how: 'per-order' },
  { kind: 'charge', label: 'Sales fee', bucket: 'transaction', how: 'per-order' },
];

function usualCharges(sheet: PriceSheet, columns: readonly Part[]): readonly ChargeKind[] {
  const buckets = new Set(columns.flatMap(({ charges = [] }) => charges).map(({ bucket = 'transaction' }) => bucket));
  const wanted = sheet.kind === 'processor' ? USUAL_CHARGES.slice(0, 1) : USUAL_CHARGES;
  return wanted.filter(({ bucket }) => !buckets.has(bucket));
}

const WHOSE_FEE: Readonly<Record<string, string>> = { payment: 'payment fee', transaction: 'platform’s fee' };

function heading(kind: ChargeKind): RowHeading {
  const { label, bucket, on = 'orders', only, how = 'per-order' } = kind;
  const example = { id: '', label, how, on, ...(only ? { only } : {}) } as Charge;
  const counted = on === 'orders' ? 'per order' : countedWords(example);
  return {
    key: chargeKey(kind),
    section: bucket === 'payment' || bucket === 'transaction' ? 'sale' : 'usage',
    title: label,
    note: [counted, WHOSE_FEE[bucket] ?? '', narrowedWords(example)].filter(Boolean).join(', '),
  };
}

function isFree(charge: Charge): boolean {
  return charge.how === 'per-order' && isNothing(charge.percent) && isNothing(charge.each) && charge.monthlyMin === undefined;
}

function inState(part: Part, kind: ChargeKind, state: NoFigure, newId: () => string): Part {
  const all = part.charges ?? [];
  const found = chargeOf(part, kind);
  if (state === 'empty' || state === 'not-offered') return { ...part, charges: all.filter((charge) => charge !== found) };
  const { label, bucket, on, only } = kind;
  const shared = { id: found?.id ?? newId(), label, bucket, ...(on ? { on } : {}), ...(only ? { only } : {}) };
  const amount = state === 'not-known' ? null : '0';
  const charge: Charge = on === undefined ? { ...shared, how: 'per-order', percent: amount } : { ...shared, how: 'per-unit', each: amount };
  return { ...part, charges: found ? all.map((one) => (one === found ? charge : one)) : [...all, charge] };
}

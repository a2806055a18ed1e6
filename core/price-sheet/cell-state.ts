import type { PriceSheet } from '../decision/price-sheet';
import type { Charge } from '../decision-file/price-sheet-schema';
import { withTermOf } from './apply-statements';
import { withMark } from './figure-notes';
import { type CellState, figureAt } from './grid-cell';
import { chargeIn, chargeKind, type GridRow } from './grid-rows';
import { type Part, placeOf, termIn, withPart } from './parts';

/** The states that one key goes through in a row, in their order; which make sense depends on what the row states. */
export function statesOf({ kind }: GridRow): ReadonlyArray<Exclude<CellState, 'stated'>> {
  switch (kind.kind) {
    case 'limit':
    case 'feature':
      return ['not-known', 'none', 'unlimited', 'not-offered', 'empty'];
    case 'term':
    case 'charge':
      return ['not-known', 'none', 'not-offered', 'empty'];
    case 'joining':
      return ['none', 'not-known', 'empty'];
    default:
      return ['empty'];
  }
}

/** The state after another one in a row; after a figure comes the first. */
export function nextState(row: GridRow, state: CellState): Exclude<CellState, 'stated'> {
  const states = statesOf(row);
  const at = states.findIndex((one) => one === state);
  return states[(at + 1) % states.length] ?? 'empty';
}

/** The sheet with a cell in a state that is no figure: not known, nothing, no limit, not offered, or empty. */
export function withCellState(
  sheet: PriceSheet,
  partId: string,
  row: GridRow,
  state: Exclude<CellState, 'stated'>,
  newId: () => string,
): PriceSheet {
  let mark: { place: string } | null = null;
  const changed = withPart(sheet, partId, (part) => {
    const next = partInState(part, row, state, newId);
    const at = figureAt(next, row) ?? figureAt(part, row);
    mark = at && { place: placeOf(partId, at) };
    return next;
  });
  const place = (mark as { place: string } | null)?.place;
  if (place === undefined) return changed;
  const needsMark =
    state === 'not-offered' ||
    state === 'unlimited' ||
    (state === 'not-known' && (row.kind.kind === 'limit' || row.kind.kind === 'joining'));
  return withMark(changed, place, needsMark ? state : null);
}

function partInState(part: Part, row: GridRow, state: Exclude<CellState, 'stated'>, newId: () => string): Part {
  const { kind } = row;
  switch (kind.kind) {
    case 'term': {
      const found = termIn(part, kind);
      if (state === 'empty' || state === 'not-offered') return { ...part, terms: (part.terms ?? []).filter((term) => term !== found) };
      return {
        ...part,
        terms: withTermOf(part.terms ?? [], { id: found?.id ?? newId(), months: kind.months, price: state === 'not-known' ? null : '0' }),
      };
    }
    case 'charge':
      return withChargeState(part, row, kind, state, newId);
    case 'limit': {
      const { [kind.quantity]: _former, ...others } = part.limits ?? {};
      const isNothing = state === 'none' || state === 'not-offered';
      return { ...part, limits: isNothing ? { ...others, [kind.quantity]: '0' } : others };
    }
    case 'feature': {
      const { [kind.feature]: _former, ...others } = part.features ?? {};
      if (state === 'empty') return { ...part, features: others };
      const value = state === 'not-known' ? null : state === 'unlimited';
      return { ...part, features: { ...part.features, [kind.feature]: value } };
    }
    case 'joining': {
      const { once: _once, ...rest } = part;
      return state === 'none' ? { ...rest, once: [{ label: 'Joining fee', amount: '0' }] } : rest;
    }
    case 'trial':
      return { ...part, terms: (part.terms ?? []).map(({ trialDays: _former, ...term }) => term) };
    case 'refund':
      return { ...part, terms: (part.terms ?? []).map(({ refundDays: _former, ...term }) => term) };
    case 'saving':
      return part;
  }
}

function withChargeState(
  part: Part,
  row: GridRow,
  kind: ReturnType<typeof chargeKind>,
  state: Exclude<CellState, 'stated'>,
  newId: () => string,
): Part {
  const found = chargeIn(part, row);
  const charges = (part.charges ?? []).filter((charge) => charge !== found);
  if (state === 'empty' || state === 'not-offered') return { ...part, charges };
  const { label, bucket, on, only } = kind;
  const shared = { id: found?.id ?? newId(), label, bucket, ...(on ? { on } : {}), ...(only ? { only } : {}) };
  const amount = state === 'not-known' ? null : '0';
  const charge: Charge = on === undefined ? { ...shared, how: 'per-order', percent: amount } : { ...shared, how: 'per-unit', each: amount };
  const at = (part.charges ?? []).findIndex((one) => one === found);
  const before = at < 0 ? charges : charges.slice(0, at);
  return { ...part, charges: [...before, charge, ...(at < 0 ? [] : charges.slice(at))] };
}

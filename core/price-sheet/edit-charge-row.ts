import type { PriceSheet } from '../decision/price-sheet';
import type { Charge } from '../decision-file/price-sheet-schema';
import { type GridRow, chargeIn } from './grid-rows';
import { type Part, partsOf, withPart } from './parts';

/** What all charges of a row have in common. */
export interface ChargeRowFields {
  readonly label?: string;
  readonly bucket?: NonNullable<Charge['bucket']>;
  /** What is counted; undefined for orders. */
  readonly on?: string | undefined;
  readonly only?: Charge['only'];
}

/** The sheet with all charges of a row changed alike, on every part that has one there. */
export function withChargeRow(sheet: PriceSheet, row: GridRow, fields: ChargeRowFields): PriceSheet {
  return partsOf(sheet).reduce(
    (changed, part) => (chargeIn(part, row) ? withPart(changed, part.id, (one) => withFields(one, row, fields)) : changed),
    sheet,
  );
}

function withFields(part: Part, row: GridRow, fields: ChargeRowFields): Part {
  const found = chargeIn(part, row);
  return { ...part, charges: (part.charges ?? []).map((charge) => (charge === found ? changed(charge, fields) : charge)) };
}

function changed(charge: Charge, { label, bucket, ...narrowing }: ChargeRowFields): Charge {
  const { on, only, ...rest } = charge;
  const nextOn = 'on' in narrowing ? narrowing.on : on;
  const nextOnly = 'only' in narrowing ? narrowing.only : only;
  return {
    ...rest,
    ...(label === undefined ? {} : { label }),
    ...(bucket === undefined ? {} : { bucket }),
    ...(nextOn === undefined || nextOn === 'orders' ? {} : { on: nextOn }),
    ...(nextOnly && Object.keys(nextOnly).length > 0 ? { only: nextOnly } : {}),
  };
}

/** What a charge is narrowed to, with one of its lists changed; an empty list narrows nothing. */
export function withOnly(
  only: Charge['only'],
  field: 'streams' | 'kinds' | 'channels' | 'cards',
  names: readonly string[],
): Charge['only'] {
  const { [field]: _former, ...others } = only ?? {};
  return names.length === 0 ? others : { ...others, [field]: [...names] };
}

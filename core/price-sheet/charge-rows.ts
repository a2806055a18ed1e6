import type { Charge } from '../decision-file/price-sheet-schema';

/** What a row of charges has in common across the plans of a sheet. */
export interface ChargeRow {
  readonly key: string;
  readonly label: string;
  readonly how: Charge['how'];
  readonly bucket: NonNullable<Charge['bucket']>;
  readonly on: string;
  readonly only: Charge['only'];
}

/** The row a charge stands in: charges of different plans that mean the same share one. */
export function chargeRowOf({ label, how, bucket = 'transaction', on = 'orders', only }: Charge): ChargeRow {
  return { key: JSON.stringify([label, how, bucket, on, only ?? null]), label, how, bucket, on, only };
}

/** The rows of charges of several plans, in the order in which they first stand. */
export function chargeRows(sheets: ReadonlyArray<{ charges?: Charge[] | undefined }>): ChargeRow[] {
  const rows = new Map<string, ChargeRow>();
  for (const charge of sheets.flatMap(({ charges }) => charges ?? [])) {
    const row = chargeRowOf(charge);
    if (!rows.has(row.key)) rows.set(row.key, row);
  }
  return [...rows.values()];
}

/** The charge of a plan that stands in a row. */
export function chargeInRow(charges: readonly Charge[] | undefined, row: ChargeRow): Charge | undefined {
  return charges?.find((charge) => chargeRowOf(charge).key === row.key);
}

/** The amounts of a charge that a row's cell shows; `undefined` where nothing is stated. */
export interface ChargeAmounts {
  percent?: string | null | undefined;
  each?: string | null | undefined;
  /** Allowance a month, of a charge per unit. */
  free?: string | null | undefined;
}

/**
 * A plan's charges with the amounts of one row changed: the charge is made when it gets its first amount and
 * removed when it has none left.
 *
 * @param newId - gives the identifier of a new charge
 */
export function withChargeAmounts(
  charges: readonly Charge[] | undefined,
  row: ChargeRow,
  amounts: ChargeAmounts,
  newId: () => string,
): Charge[] {
  const all = charges ?? [];
  const found = chargeInRow(all, row);
  const changed = found ? withAmounts(found, amounts) : withAmounts(newCharge(row, newId()), amounts);
  if (!found) return statesAnything(changed) ? [...all, changed] : [...all];
  return statesAnything(changed)
    ? all.map((charge) => (charge === found ? changed : charge))
    : all.filter((charge) => charge !== found);
}

function newCharge({ label, how, bucket, on, only }: ChargeRow, id: string): Charge {
  const shared = { id, label, bucket, ...(on === 'orders' ? {} : { on }), ...(only ? { only } : {}) };
  if (how === 'per-order') return { ...shared, how };
  if (how === 'per-unit') return { ...shared, how };
  throw new RangeError(`A charge of kind ${how} is not made from single amounts`);
}

function withAmounts(charge: Charge, amounts: ChargeAmounts): Charge {
  const changed: Record<string, unknown> = { ...charge };
  for (const [field, value] of Object.entries(amounts)) {
    if (value === undefined) delete changed[field];
    else changed[field] = value;
  }
  return changed as Charge;
}

function statesAnything(charge: Charge): boolean {
  if (charge.how !== 'per-order' && charge.how !== 'per-unit') return true;
  return charge.percent !== undefined || charge.each !== undefined;
}

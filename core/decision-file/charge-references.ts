import { Decimal } from '../amount/decimal';
import type { Checker } from './checker';
import type { Forecast } from './forecast-schema';
import type { Allowance, Band, Charge } from './price-sheet-schema';

/** What charges of a file can count. */
export interface Countable {
  readonly quantities: ReadonlySet<string>;
  readonly streams: ReadonlySet<string>;
}

/** The quantities and streams of a forecast. */
export function countableIn({ drivers, streams }: Forecast): Countable {
  return {
    quantities: new Set(['orders', 'sales', 'subscribers', ...Object.keys(drivers ?? {})]),
    streams: new Set(streams.map(({ id }) => id)),
  };
}

/** What is wrong with one charge beyond its fields: quantities that exist, bands in order, `least` above `most`. */
export function chargeProblems({ quantities, streams }: Countable, charge: Charge, path: PropertyKey[], check: Checker): void {
  if (charge.on !== undefined) check.exists(charge.on, quantities, [...path, 'on'], 'quantity');
  if (charge.how === 'per-order' && charge.on !== undefined && charge.on !== 'orders')
    check.problem([...path, 'on'], 'a charge per order is always on orders');
  charge.only?.streams?.forEach((id, index) => check.exists(id, streams, [...path, 'only', 'streams', index], 'stream'));
  if ('free' in charge) checkAllowance(charge.free, quantities, [...path, 'free'], check);
  if (charge.how === 'graduated' || charge.how === 'volume') checkBands(charge.bands, [...path, 'bands'], check);
  if (charge.how === 'per-order' && exceeds(charge.least, charge.most)) check.problem([...path, 'least'], 'not more than most is wanted');
  if (exceeds(charge.monthlyMin, charge.monthlyCap)) check.problem([...path, 'monthlyMin'], 'not more than monthlyCap is wanted');
}

function exceeds(lower: string | null | undefined, upper: string | null | undefined): boolean {
  return lower != null && upper != null && new Decimal(lower).gt(upper);
}

function checkAllowance(free: Allowance | undefined, quantities: ReadonlySet<string>, path: PropertyKey[], check: Checker): void {
  if (typeof free === 'object' && free !== null) check.exists(free.per, quantities, [...path, 'per'], 'quantity');
}

function checkBands(bands: Band[], path: PropertyKey[], check: Checker): void {
  let edge = new Decimal(0);
  bands.forEach((band, index) => {
    const at = [...path, index, 'upTo'];
    if (band.upTo === null) {
      if (index < bands.length - 1) check.problem(at, 'a number is wanted: only the last band is open');
      return;
    }
    if (edge.gte(band.upTo)) check.problem(at, `a number above ${edge.toFixed()} is wanted: bands in order`);
    edge = Decimal.max(edge, band.upTo);
  });
}

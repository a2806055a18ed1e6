import { Decimal, decimal, fraction, settle, sum, ZERO } from '../amount/decimal';
import type { Band, Charge } from '../decision-file/price-sheet-schema';
import {
  allowanceIn,
  beyond,
  type ChargeBasis,
  chargedOrders,
  chargeQuantity,
  orderValueFor,
  unitRate,
} from './charge-quantity';

type PerOrder = Extract<Charge, { how: 'per-order' }>;

/**
 * What a charge comes to in every month of the horizon, unrounded, in the charge's currency: its kind's amount,
 * then `monthlyMin`, `monthlyCap` and `totalCap` (decision file §4). A credit is positive here.
 */
export function chargeAmounts(basis: ChargeBasis): Decimal[] {
  const { charge, forecast } = basis;
  const cap = charge.totalCap == null ? null : decimal(charge.totalCap);
  let soFar = ZERO;
  return forecast.months.map((_, month) => {
    const amount = withinMonth(charge, amountIn(basis, month));
    const counted = cap ? Decimal.min(amount, Decimal.max(cap.minus(soFar), ZERO)) : amount;
    soFar = soFar.plus(counted);
    return counted;
  });
}

function withinMonth(charge: Charge, amount: Decimal): Decimal {
  const atLeast = charge.monthlyMin == null ? amount : Decimal.max(amount, charge.monthlyMin);
  return charge.monthlyCap == null ? atLeast : Decimal.min(atLeast, charge.monthlyCap);
}

function amountIn(basis: ChargeBasis, month: number): Decimal {
  const { charge } = basis;
  if (charge.how === 'per-order') return perOrderAmount(basis, charge, month);
  const quantity = chargeQuantity(basis, month);
  switch (charge.how) {
    case 'per-unit':
      return beyond(quantity, allowanceIn(basis, charge.free, month)).times(unitRate(charge));
    case 'package': {
      const packages = settle(beyond(quantity, allowanceIn(basis, charge.free, month)).div(charge.size ?? '1')).ceil();
      return packages.times(charge.each ?? '0');
    }
    case 'graduated':
      return graduatedAmount(charge.bands, quantity);
    case 'volume':
      return volumeAmount(charge.bands, quantity);
  }
}

function perOrderAmount(basis: ChargeBasis, charge: PerOrder, month: number): Decimal {
  const orders = basis.counted.map((stream) => chargedOrders(basis, stream, month));
  const fees = basis.counted.map((stream, index) =>
    (orders[index] ?? ZERO).times(orderFee(charge, orderValueFor(basis, stream.forecast, month))),
  );
  const all = sum(fees);
  if (charge.free === undefined) return all;
  const count = sum(orders);
  if (count.isZero()) return ZERO;
  return all.times(beyond(count, allowanceIn(basis, charge.free, month))).div(count);
}

/**
 * The fee on one order: order value × percent/100 + each, not below `least` nor above `most` (decision file §4).
 *
 * @param orderValue - in the charge's currency
 */
export function orderFee(charge: PerOrder, orderValue: Decimal): Decimal {
  const fee = orderValue.times(fraction(charge.percent ?? '0')).plus(charge.each ?? '0');
  const atLeast = charge.least == null ? fee : Decimal.max(fee, charge.least);
  return charge.most == null ? atLeast : Decimal.min(atLeast, charge.most);
}

/** Each band's part of the quantity at that band's rate, plus `flat` for every band entered. */
function graduatedAmount(bands: readonly Band[], quantity: Decimal): Decimal {
  const settled = settle(quantity);
  let edge = ZERO;
  let amount = ZERO;
  bands.forEach((band, index) => {
    if (settled.lte(edge)) return;
    const open = band.upTo === null || index === bands.length - 1;
    const top = open || band.upTo === null ? settled : Decimal.min(settled, band.upTo);
    amount = amount.plus(top.minus(edge).times(unitRate(band))).plus(band.flat ?? '0');
    edge = decimal(band.upTo ?? '0');
  });
  return amount;
}

/** All of the quantity at the rate of the band it falls in, plus that band's `flat`. */
function volumeAmount(bands: readonly Band[], quantity: Decimal): Decimal {
  const settled = settle(quantity);
  const band = bands.find(({ upTo }) => upTo === null || settled.lte(upTo)) ?? bands.at(-1);
  if (!band) return ZERO;
  return settled.times(unitRate(band)).plus(band.flat ?? '0');
}

/** Whether some amount of a charge is not known: then it gives no line and no limit (decision file §5, Ledger). */
export function isChargeNotKnown(charge: Charge): boolean {
  const amounts: unknown[] = [charge.monthlyMin, charge.monthlyCap, charge.totalCap];
  if ('free' in charge) {
    const { free } = charge;
    amounts.push(typeof free === 'object' && free !== null ? free.ratio : free);
  }
  if (charge.how === 'graduated' || charge.how === 'volume')
    for (const band of charge.bands) amounts.push(band.each, band.percent, band.flat);
  else {
    amounts.push(charge.each);
    if (charge.how !== 'package') amounts.push(charge.percent);
    if (charge.how === 'package') amounts.push(charge.size);
    if (charge.how === 'per-order') amounts.push(charge.least, charge.most);
  }
  return amounts.includes(null);
}

import { Decimal, decimal, fraction, settle, sum, ZERO } from '../amount/decimal';
import type { Band, Charge } from '../decision-file/price-sheet-schema';
import {
  allowance,
  beyond,
  type ChargeBasis,
  chargedOrders,
  chargeQuantities,
  countedMonths,
  inCurrency,
  isReturned,
  orderValueFor,
  unitRate,
} from './charge-quantity';

type PerOrder = Extract<Charge, { how: 'per-order' }>;

/** What a charge comes to in a month, unrounded, in its currency. */
type AmountInMonth = (month: number) => Decimal;

/**
 * What a charge comes to in every month of the horizon, unrounded, in the charge's currency: its kind's amount,
 * then `monthlyMin`, `monthlyCap` and `totalCap` (decision file §4). A credit is positive here.
 */
export function chargeAmounts(basis: ChargeBasis): Decimal[] {
  const amounts = monthlyAmounts(basis);
  return basis.charge.totalCap == null ? amounts : withinTotal(amounts, decimal(basis.charge.totalCap));
}

/** Like {@link chargeAmounts}, before the cap on the whole time with the candidate. */
export function monthlyAmounts(basis: ChargeBasis): Decimal[] {
  const { charge, forecast } = basis;
  const amountIn = amountOf(basis);
  const least = charge.monthlyMin == null ? null : decimal(charge.monthlyMin);
  const most = charge.monthlyCap == null ? null : decimal(charge.monthlyCap);
  return forecast.months.map((_, month) => {
    const amount = amountIn(month);
    const atLeast = least ? Decimal.max(amount, least) : amount;
    return most ? Decimal.min(atLeast, most) : atLeast;
  });
}

/** Counts amounts until a cap on their sum is reached (decision file §4, `totalCap`). */
export function withinTotal(amounts: readonly Decimal[], cap: Decimal): Decimal[] {
  let left = cap;
  return amounts.map((amount) => {
    const counted = Decimal.min(amount, left);
    left = left.minus(counted);
    return counted;
  });
}

function amountOf(basis: ChargeBasis): AmountInMonth {
  const { charge } = basis;
  if (charge.how === 'per-order') return perOrderAmount(basis, charge);
  const quantities = chargeQuantities(basis);
  const quantity = (month: number) => quantities[month] ?? ZERO;
  switch (charge.how) {
    case 'per-unit': {
      const free = allowance(basis, charge.free);
      const rate = unitRate(charge);
      return (month) => beyond(quantity(month), free(month)).times(rate);
    }
    case 'package': {
      const free = allowance(basis, charge.free);
      const size = decimal(charge.size ?? '1');
      const each = decimal(charge.each ?? '0');
      return (month) => packagesFor(beyond(quantity(month), free(month)), size).times(each);
    }
    case 'graduated':
      return (month) => graduatedAmount(charge.bands, quantity(month));
    case 'volume':
      return (month) => volumeAmount(charge.bands, quantity(month));
  }
}

/** How many packages cover a quantity. */
export function packagesFor(quantity: Decimal, size: Decimal): Decimal {
  return settle(quantity.div(size)).ceil();
}

/** The fees of all charged orders by month, before any allowance, unrounded, in the charge's currency. */
export function perOrderFees(basis: ChargeBasis, charge: PerOrder): Decimal[] {
  const fees = orderFees(basis, charge);
  return basis.forecast.months.map((_, month) => fees(month));
}

function perOrderAmount(basis: ChargeBasis, charge: PerOrder): AmountInMonth {
  const { orders } = countedMonths(basis, isReturned(charge));
  const fees = orderFees(basis, charge);
  if (charge.free === undefined) return fees;
  const free = allowance(basis, charge.free);
  return (month) => {
    const count = orders[month] ?? ZERO;
    return count.isZero()
      ? ZERO
      : fees(month)
          .times(beyond(count, free(month)))
          .div(count);
  };
}

/** Σ over matching streams of orders × fee; without bounds on the fee that is sales × percent + orders × each. */
function orderFees(basis: ChargeBasis, charge: PerOrder): AmountInMonth {
  if (charge.least == null && charge.most == null) {
    const { orders, sales } = countedMonths(basis, isReturned(charge));
    const percent = fraction(charge.percent ?? '0');
    const each = decimal(charge.each ?? '0');
    return (month) =>
      inCurrency(sales[month] ?? ZERO, basis.rate)
        .times(percent)
        .plus((orders[month] ?? ZERO).times(each));
  }
  return (month) =>
    sum(
      basis.counted.map((stream) =>
        chargedOrders(basis, stream, month).times(orderFee(charge, orderValueFor(basis, stream.forecast, month))),
      ),
    );
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
  return sum(enteredBands(bands, quantity).map(({ band, part }) => part.times(unitRate(band)).plus(band.flat ?? '0')));
}

/** A band that a quantity enters, with the part of the quantity that lies in it. */
export interface EnteredBand {
  readonly band: Band;
  readonly part: Decimal;
}

/** The bands of a graduated charge that a quantity enters: it is above their lower edge (decision file §4). */
export function enteredBands(bands: readonly Band[], quantity: Decimal): EnteredBand[] {
  const settled = settle(quantity);
  let edge = ZERO;
  return bands.flatMap((band, index) => {
    if (settled.lte(edge)) return [];
    const isLast = index === bands.length - 1;
    const top = isLast || band.upTo === null ? settled : Decimal.min(settled, band.upTo);
    const part = top.minus(edge);
    edge = decimal(band.upTo ?? '0');
    return [{ band, part }];
  });
}

/** All of the quantity at the rate of the band it falls in, plus that band's `flat`. */
function volumeAmount(bands: readonly Band[], quantity: Decimal): Decimal {
  const band = bandOf(bands, quantity);
  return band
    ? settle(quantity)
        .times(unitRate(band))
        .plus(band.flat ?? '0')
    : ZERO;
}

/** The band a quantity falls in, the last one for a quantity past all (decision file §4). */
export function bandOf(bands: readonly Band[], quantity: Decimal): Band | undefined {
  const settled = settle(quantity);
  return bands.find(({ upTo }) => upTo === null || settled.lte(upTo)) ?? bands.at(-1);
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

import { Decimal, decimal, sum, ZERO } from '../amount/decimal';
import type { Candidate } from '../decision-file/candidate-schema';
import type { Charge } from '../decision-file/price-sheet-schema';
import { candidateCharges } from '../pricing/candidate-charges';
import { bandOf, chargeAmounts, enteredBands, monthlyAmounts, orderFee, packagesFor } from '../pricing/charge-amount';
import {
  allowance,
  beyond,
  type ChargeBasis,
  chargeBasis,
  chargedOrders,
  chargeQuantities,
  orderValueFor,
  unitRate,
} from '../pricing/charge-quantity';
import type { LineSource } from '../pricing/ledger-line';
import { liftScale, type Pricing } from '../pricing/pricing';
import { processingOf } from '../pricing/processing';
import type { BandPart, ChargeDerivation, StreamPart } from './derivation';

type ChargeSource = Extract<LineSource, { kind: 'charge' }>;

/** How a charge came to what it is in a month. */
export function explainCharge(
  pricing: Pricing,
  candidate: Candidate,
  source: ChargeSource,
  month: number,
  scale: Decimal,
): { what: ChargeDerivation; unrounded: Decimal } {
  const processing = processingOf(candidate);
  const found = candidateCharges(pricing, candidate, processing).find(
    ({ charge, owner }) => charge.id === source.charge && owner.id === source.id,
  );
  if (!found) throw new RangeError(`There is no charge ${source.charge}`);
  const { charge, owner } = found;
  const forecast = pricing.forecastAt(liftScale(candidate).times(scale));
  const basis = chargeBasis(charge, owner, processing, forecast, pricing.rate(owner.currency));
  const parts = partsOf(basis, charge, month);
  const held = heldBy(basis, month, parts.plain);
  const amount = held.at(-1)?.at ?? parts.plain;
  return { what: { kind: 'charge', charge, ...parts, held }, unrounded: charge.credit ? amount.neg() : amount };
}

type Parts = Omit<ChargeDerivation, 'kind' | 'charge' | 'held'>;

function partsOf(basis: ChargeBasis, charge: Charge, month: number): Parts {
  const nothing = { streams: [], free: ZERO, rate: null, packages: null, bands: [] };
  if (charge.how === 'per-order') {
    const streams = basis.counted.map((stream) => streamPart(basis, charge, stream, month));
    const quantity = sum(streams.map(({ orders }) => orders));
    const fees = sum(streams.map(({ orders, fee }) => orders.times(fee)));
    const free = charge.free === undefined ? ZERO : allowance(basis, charge.free)(month);
    const plain = charge.free === undefined ? fees : quantity.isZero() ? ZERO : fees.times(beyond(quantity, free)).div(quantity);
    return { ...nothing, streams, quantity, free, plain };
  }
  const quantity = chargeQuantities(basis)[month] ?? ZERO;
  switch (charge.how) {
    case 'per-unit': {
      const free = allowance(basis, charge.free)(month);
      const rate = unitRate(charge);
      return { ...nothing, quantity, free, rate, plain: beyond(quantity, free).times(rate) };
    }
    case 'package': {
      const free = allowance(basis, charge.free)(month);
      const rate = decimal(charge.each ?? '0');
      const packages = packagesFor(beyond(quantity, free), decimal(charge.size ?? '1'));
      return { ...nothing, quantity, free, rate, packages, plain: packages.times(rate) };
    }
    case 'graduated':
    case 'volume': {
      const band = bandOf(charge.bands, quantity);
      const entered = charge.how === 'graduated' ? enteredBands(charge.bands, quantity) : band ? [{ band, part: quantity }] : [];
      const bands = entered.map<BandPart>(({ band: one, part }) => ({
        quantity: part,
        rate: unitRate(one),
        flat: decimal(one.flat ?? '0'),
      }));
      return { ...nothing, quantity, bands, plain: sum(bands.map(({ quantity: part, rate, flat }) => part.times(rate).plus(flat))) };
    }
  }
}

function streamPart(
  basis: ChargeBasis,
  charge: Extract<Charge, { how: 'per-order' }>,
  stream: ChargeBasis['counted'][number],
  month: number,
): StreamPart {
  const orderValue = orderValueFor(basis, stream.forecast, month);
  const fee = orderFee(charge, orderValue);
  const { least: _least, most: _most, ...unbounded } = charge;
  const plain = orderFee(unbounded, orderValue);
  return {
    label: stream.forecast.stream.label,
    orders: chargedOrders(basis, stream, month),
    orderValue,
    fee,
    bound: fee.gt(plain) ? 'least' : fee.lt(plain) ? 'most' : null,
  };
}

/** What holds the amount back or up, in the order in which it does (decision file §4). */
function heldBy(basis: ChargeBasis, month: number, plain: Decimal): ChargeDerivation['held'] {
  const { charge } = basis;
  const held: Array<ChargeDerivation['held'][number]> = [];
  const monthly = monthlyAmounts(basis)[month] ?? ZERO;
  if (charge.monthlyMin != null && plain.lt(charge.monthlyMin))
    held.push({ by: 'monthlyMin', at: Decimal.min(charge.monthlyMin, charge.monthlyCap ?? charge.monthlyMin) });
  if (charge.monthlyCap != null && plain.gt(charge.monthlyCap)) held.push({ by: 'monthlyCap', at: decimal(charge.monthlyCap) });
  const counted = chargeAmounts(basis)[month] ?? ZERO;
  if (counted.lt(monthly)) held.push({ by: 'totalCap', at: counted });
  return held;
}

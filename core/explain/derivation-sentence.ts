import { type Decimal, fixed } from '../amount/decimal';
import { minorDigits } from '../amount/currencies';
import { termWords } from '../price-sheet/term-words';
import type { WriteNumber } from '../price-sheet/rate-words';
import type { ChargeDerivation, Derivation, PaymentDerivation, StreamPart } from './derivation';

/**
 * Says in a plain sentence how a line came about.
 *
 * @param write - writes a decimal in the person's locale
 * @example derivationSentence(derivation, String) // 'Card fee: Kites 118.5 orders × (48.00 × 2.6 % + 0.28) = 181.07.'
 */
export function derivationSentence(derivation: Derivation, write: WriteNumber): string {
  const { what, charged, currency, baseCurrency, amount, rate } = derivation;
  const money = (value: Decimal, code = currency) => write(fixed(value, minorDigits(code)));
  const result = `${money(charged)}${currency === baseCurrency ? '' : ` ${currency}, × ${write(rate.toString())} = ${money(amount, baseCurrency)} ${baseCurrency}`}`;
  switch (what.kind) {
    case 'payment':
      return `${what.label}: ${paymentWords(what, money, write)} = ${result}.`;
    case 'charge':
      return `${what.charge.label}: ${chargeWords(what, write)} = ${what.charge.credit ? 'a credit of ' : ''}${result}.`;
    case 'time': {
      const hours =
        what.setup && !what.setup.isZero()
          ? `${write(what.setup.toString())} hours to set up and ${write(what.monthly.toString())} for the month`
          : `${write(what.monthly.toString())} hours`;
      return `Own time: ${hours}, each worth ${money(what.hourValue)} = ${result}.`;
    }
    case 'tax':
      return `Tax on fees: ${write(what.percent.toString())} % of ${money(what.on)} that was quoted without tax = ${result}.`;
  }
}

function paymentWords(payment: PaymentDerivation, money: (value: Decimal) => string, write: WriteNumber): string {
  const { term, introductory, ordinal, price, count, part, covers } = payment;
  const kind = term ? (introductory ? `introductory price, payment ${ordinal + 1} of ${term.intro?.periods ?? 1}, ` : '') : '';
  const how = termWords(covers);
  const times = count === 1 ? '' : ` × ${write(String(count))}`;
  const whole = `${kind}${money(price)}${times}${term || covers > 0 ? ` ${how}` : ' once'}`;
  return part ? `${whole}, part ${part.number} of ${part.of}` : whole;
}

const HELD = { monthlyMin: 'the least a month', monthlyCap: 'the most a month', totalCap: 'what is left of the most in all' } as const;

function chargeWords(derived: ChargeDerivation, write: WriteNumber): string {
  const { charge, streams, quantity, free, packages, bands, rate, held } = derived;
  const number = (value: Decimal) => write(value.toDecimalPlaces(4).toString());
  const beyondFree = free.isZero() ? number(quantity) : `(${number(quantity)} − ${number(free)} free)`;
  const counted = (charge.on ?? 'orders').replaceAll('-', ' ');
  const parts = (() => {
    switch (charge.how) {
      case 'per-order': {
        const fees = streams.filter(({ orders }) => !orders.isZero()).map((stream) => streamWords(stream, charge, number));
        const all = fees.length === 0 ? 'no orders' : fees.join(' + ');
        return free.isZero() ? all : `(${all}) × ${beyondFree} ÷ ${number(quantity)}`;
      }
      case 'per-unit':
        return `${beyondFree} ${counted} × ${number(rate ?? quantity)}`;
      case 'package':
        return `${number(packages ?? quantity)} packages of ${write(charge.size ?? '1')} for ${beyondFree} ${counted} × ${number(rate ?? quantity)}`;
      case 'graduated':
      case 'volume':
        return `${number(quantity)} ${counted}: ${bands.map((band) => `${number(band.quantity)} × ${number(band.rate)}${band.flat.isZero() ? '' : ` + ${number(band.flat)}`}`).join(', then ') || 'nothing'}`;
    }
  })();
  return [parts, ...held.map(({ by, at }) => `held to ${HELD[by]}, ${number(at)}`)].join(', ');
}

function streamWords(
  { label, orders, orderValue, fee, bound }: StreamPart,
  charge: { percent?: string | null | undefined; each?: string | null | undefined },
  number: (value: Decimal) => string,
): string {
  const rate = [
    charge.percent == null ? null : `${number(orderValue)} × ${charge.percent} %`,
    charge.each == null ? null : charge.each,
  ].filter((part) => part !== null);
  const stated = rate.length === 0 ? '0' : rate.length === 1 ? rate.join('') : `(${rate.join(' + ')})`;
  const bounded = bound === null ? stated : `${number(fee)} (${bound === 'least' ? 'at least' : 'at most'})`;
  return `${label} ${number(orders)} orders × ${bounded}`;
}

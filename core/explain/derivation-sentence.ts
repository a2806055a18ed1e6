import { type Decimal, fixed } from '../amount/decimal';
import { minorDigits } from '../amount/currencies';
import { termWords } from '../wording/term-words';
import type { ChargeHow, PartsOf } from '../rules/charges/kinds';
import { wordsOf } from '../wording/charges/words';
import type { WriteNumber } from '../wording/rate-words';
import type { ChargeDerivation, Derivation, PaymentDerivation, SpreadPart } from './derivation';

/**
 * Says in a plain sentence how a line came about.
 *
 * @param write - writes a decimal in the person's locale
 * @example derivationSentence(derivation, String) // 'Card fee: Kites 118.5 orders × (48.00 × 2.6% + 0.28) = 181.07.'
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
    case 'plan-credit':
      return `${what.charge.label}: ${money(what.used)} of the credit pays for the plan${what.part ? `, ${partWords(what.part)}` : ''} = a credit of ${result}.`;
    case 'time': {
      const hours =
        what.setup && !what.setup.isZero()
          ? `${write(what.setup.toString())} hours to set up and ${write(what.monthly.toString())} for the month`
          : `${write(what.monthly.toString())} hours`;
      return `Own time: ${hours}, each worth ${money(what.hourValue)} = ${result}.`;
    }
    case 'tax':
      return `Tax on fees: ${write(what.percent.toString())}% of ${money(what.on)} that was quoted without tax = ${result}.`;
  }
}

const PRICES = { usual: '', introductory: 'introductory price', changed: 'price announced for then', renewal: 'renewal price' } as const;

function paymentWords(payment: PaymentDerivation, money: (value: Decimal) => string, write: WriteNumber): string {
  const { term, ofTerm, price, count, part, covers } = payment;
  const how = termWords(covers);
  const times = count === 1 ? '' : ` × ${write(String(count))}`;
  const whole = `${kindOfPrice(term, ofTerm)}${money(price)}${times}${term || covers > 0 ? ` ${how}` : ' once'}`;
  return part ? `${whole}, ${partWords(part)}` : whole;
}

function kindOfPrice(term: PaymentDerivation['term'], ofTerm: PaymentDerivation['ofTerm']): string {
  if (!ofTerm || ofTerm.price === 'usual') return '';
  const which = ofTerm.price === 'introductory' ? `, payment ${ofTerm.ordinal + 1} of ${term?.intro?.periods ?? 1}` : '';
  return `${PRICES[ofTerm.price]}${which}, `;
}

function partWords({ number, of }: SpreadPart): string {
  return `part ${number} of ${of}`;
}

const HELD = { monthlyMin: 'the least a month', monthlyCap: 'the most a month', totalCap: 'what is left of the most in all' } as const;

function chargeWords({ charge, parts, value, held }: ChargeDerivation, write: WriteNumber): string {
  const number = (amount: Decimal) => write(amount.toDecimalPlaces(4).toString());
  const counted = (charge.on ?? 'orders').replaceAll('-', ' ');
  const derived = wordsOf(charge).derived({ parts: parts as PartsOf<ChargeHow>, counted, value, number, write });
  return [derived, ...held.map(({ by, at }) => `held to ${HELD[by]}, ${number(at)}`)].join(', ');
}

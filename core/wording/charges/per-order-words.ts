import type { Decimal } from '../../amount/decimal';
import type { PerOrder, PerOrderParts, SizeFee } from '../../rules/charges/per-order';
import { amountWords, beyondWords, type ChargeWords, type Derived, freeWords, percentAndEach, phrasedAmount } from './charge-words';

export const perOrderWords: ChargeWords<'per-order'> = {
  rate: (charge, write) => percentAndEach(charge, write),
  bounds({ least, most, free }, write) {
    const bounds: string[] = [];
    if (least !== undefined) bounds.push(`at least ${amountWords(least, write)}`);
    if (most !== undefined) bounds.push(`at most ${amountWords(most, write)}`);
    return [...bounds, ...freeWords(free, write)];
  },
  phrase({ percent, each }, _on, write) {
    if (percent === undefined) return each === undefined ? 'nothing per order' : `${phrasedAmount(each, write)} per order`;
    const fixed = each === undefined ? '' : ` + ${phrasedAmount(each, write)}`;
    return `${phrasedAmount(percent, write)}%${fixed} per order`;
  },
  phrasedBounds({ least, most, refund }, write) {
    const bounds: string[] = [];
    if (least !== undefined) bounds.push(`at least ${phrasedAmount(least, write)} per order`);
    if (most !== undefined) bounds.push(`at most ${phrasedAmount(most, write)} per order`);
    if (refund === 'returned') bounds.push('given back on refunds');
    return bounds;
  },
  derived(derived) {
    const { parts, value, number } = derived;
    const fees = parts.streams.flatMap((stream) => streamWords(stream, derived));
    const all = fees.length === 0 ? 'no orders' : fees.join(' + ');
    const [quantity, free] = [value(parts.quantity), value(parts.free)];
    return free.isZero() ? all : `(${all}) × ${beyondWords(quantity, free, number)} ÷ ${number(quantity)}`;
  },
};

function streamWords({ label, sizes }: PerOrderParts['streams'][number], derived: Derived<'per-order'>): string[] {
  const counted = sizes.filter(({ orders }) => !derived.value(orders).isZero());
  const isBounded = derived.charge.least != null || derived.charge.most != null;
  // Without bounds on the fee of an order it does not matter how the orders differ in size.
  const told = isBounded ? counted : counted.slice(0, 1);
  if (told.length === 0) return [];
  const all = isBounded
    ? null
    : counted.reduce<Decimal | null>((sum, { orders }) => (sum ? sum.plus(derived.value(orders)) : derived.value(orders)), null);
  return told.map(
    (size) =>
      `${label} ${derived.number(all ?? derived.value(size.orders))} orders × ${feeWords(size, derived, all !== null && sizes.length > 1)}`,
  );
}

function feeWords(size: SizeFee, { charge, value, number }: Derived<'per-order'>, isAverage: boolean): string {
  const [plain, fee] = [value(size.plain), value(size.fee)];
  if (fee.gt(plain)) return `${number(fee)} (at least)`;
  if (fee.lt(plain)) return `${number(fee)} (at most)`;
  const worth = isAverage ? 'their value' : number(value(size.value));
  return statedFee(charge, worth);
}

function statedFee({ percent, each }: Pick<PerOrder, 'percent' | 'each'>, worth: string): string {
  const parts: string[] = [];
  if (percent != null) parts.push(`${worth} × ${percent}%`);
  if (each != null) parts.push(each);
  if (parts.length === 0) return '0';
  return parts.length === 1 ? parts.join('') : `(${parts.join(' + ')})`;
}

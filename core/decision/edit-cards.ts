import { decimal, HUNDRED, sum } from '../amount/decimal';
import type { Stream } from '../decision-file/forecast-schema';

/** A kind of card or wallet, and the percentage of a stream's orders paid with it. */
export interface CardShare {
  readonly kind: string;
  readonly percent: string;
}

/** The kind that has the remainder: domestic cards, or the first where there are none. */
export function restKind({ cards }: Stream): string {
  const kinds = Object.keys(cards ?? {});
  return kinds.includes('domestic') || kinds.length === 0 ? 'domestic' : (kinds[0] ?? 'domestic');
}

/** The shares of a stream's cards and wallets; the one that has the rest comes first. */
export function cardShares(stream: Stream): CardShare[] {
  const rest = restKind(stream);
  const cards = stream.cards ?? { domestic: '100' };
  return [rest, ...Object.keys(cards).filter((kind) => kind !== rest)].map((kind) => ({ kind, percent: cards[kind] ?? '0' }));
}

/** The most that one kind can have while the others keep theirs, in percent. */
export function mostForCard(stream: Stream, kind: string): string {
  const others = cardShares(stream).filter((one) => one.kind !== kind && one.kind !== restKind(stream));
  return HUNDRED.minus(sum(others.map(({ percent }) => decimal(percent)))).toFixed();
}

/**
 * The stream with one kind's share changed, added, or with null taken away; the rest goes to `restKind`.
 *
 * @throws RangeError if the shares would be more than 100% together
 */
export function withCardShare(stream: Stream, kind: string, percent: string | null): Stream {
  const rest = restKind(stream);
  const others = cardShares(stream).filter((one) => one.kind !== kind && one.kind !== rest);
  const all = percent === null ? others : [...others, { kind, percent }];
  const left = HUNDRED.minus(sum(all.map((one) => decimal(one.percent))));
  if (left.isNegative()) throw new RangeError(`The cards have more than 100% together: ${left.negated().plus(HUNDRED).toFixed()}`);
  const order = cardShares(stream).map((one) => one.kind);
  const sorted = [...all].sort((a, b) => (order.indexOf(a.kind) + 1 || Infinity) - (order.indexOf(b.kind) + 1 || Infinity));
  return {
    ...stream,
    cards: Object.fromEntries([[rest, left.toFixed()] as const, ...sorted.map((one) => [one.kind, one.percent] as const)]),
  };
}

import { type NumberStream, scaledStream, withStreams } from '../forecast/number-forecast';
import type { PricingAssumptions } from '../scales/pricing-assumptions';
import { type Change, keyParts } from './changes';

/**
 * A level with another assumption, worked out from its numbers alone; the same as from the changed decision file.
 *
 * @param foreign - the kind of card that stands for customers abroad
 * @returns null for assumptions that need the forecast to be worked out anew (growth, season, churn, quantities)
 */
export function changedAssumptions(assumed: PricingAssumptions, { key, value }: Change, foreign: string | null): PricingAssumptions | null {
  const [kind, of] = keyParts(key);
  const amount = Number(value);
  const streams = (change: (stream: NumberStream) => NumberStream): PricingAssumptions => ({
    ...assumed,
    forecast: withStreams(
      assumed.forecast,
      assumed.forecast.streams.map((one) => (of === null || one.stream.id === of ? change(one) : one)),
    ),
  });
  const factor = Math.max(0, 1 + amount / 100);
  switch (kind) {
    case 'orders':
      return streams((stream) => scaledStream(stream, factor, 1));
    case 'order-value':
      return streams((stream) => scaledStream(stream, 1, factor));
    case 'refunds':
      return streams((stream) => ({ ...stream, refunded: Math.min(1, Math.max(0, stream.refunded + amount / 100)) }));
    case 'foreign-cards':
      return foreign === null ? assumed : streams((stream) => ({ ...stream, cards: foreignCards(stream.cards, foreign, amount / 100) }));
    case 'rate':
      return { ...assumed, rate: (currency) => assumed.rate(currency) * (currency === of ? Math.max(factor, 1e-12) : 1) };
    case 'hour-value':
      return { ...assumed, hourValue: amount };
    default:
      return null;
  }
}

function foreignCards(cards: NumberStream['cards'], foreign: string, points: number): NumberStream['cards'] {
  const before = cards.find(([kind]) => kind === foreign)?.[1] ?? 0;
  const after = Math.min(1, Math.max(0, before + points));
  const others = cards.filter(([kind]) => kind !== foreign);
  const rest =
    before >= 1 ? [['domestic', 1 - after] as const] : others.map(([kind, share]) => [kind, (share * (1 - after)) / (1 - before)] as const);
  return [[foreign, after], ...rest];
}

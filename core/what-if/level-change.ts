import { type NumberStream, scaledStream, withStreams } from '../forecast/number-forecast';
import type { Level } from '../scales/level';
import { type Change, keyParts } from './changes';

/**
 * A level with another assumption, worked out from its numbers alone; the same as from the changed decision file.
 *
 * @param foreign - the kind of card that stands for customers abroad
 * @returns null for assumptions that need the forecast to be worked out anew (growth, season, churn, quantities)
 */
export function changedLevel(level: Level, { key, value }: Change, foreign: string | null): Level | null {
  const [kind, of] = keyParts(key);
  const amount = Number(value);
  const streams = (change: (stream: NumberStream) => NumberStream): Level => ({
    ...level,
    forecast: withStreams(
      level.forecast,
      level.forecast.streams.map((one) => (of === null || one.stream.id === of ? change(one) : one)),
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
      return foreign === null ? level : streams((stream) => ({ ...stream, cards: foreignCards(stream.cards, foreign, amount / 100) }));
    case 'rate':
      return { ...level, rate: (currency) => level.rate(currency) * (currency === of ? Math.max(factor, 1e-12) : 1) };
    case 'hour-value':
      return { ...level, hourValue: amount };
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

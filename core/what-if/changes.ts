import { Decimal, decimal, HUNDRED, ONE, sum, ZERO } from '../amount/decimal';
import type { Forecast, Series, Stream } from '../decision-file/forecast-schema';
import type { DecisionFile } from '../decision-file/schema';
import { inVersion } from '../forecast/versions';
import type { StreamDifferences } from '../forecast/versions-schema';
import { foreignKind } from '../forecast/foreign-kind';
import { withPrice } from './open-prices';

/** An assumption as it is changed; how `value` is stated is said by the assumption's unit. */
export interface Change {
  readonly key: string;
  readonly value: string;
}

/** What changes are applied to besides prices: a decision file, or a decision's own document. */
type Changeable = Pick<DecisionFile, 'forecast' | 'rates' | 'hourValue'>;

/** What comes before a key's colon, and what behind it. */
export function keyParts(key: string): [kind: string, of: string | null] {
  const at = key.indexOf(':');
  return at < 0 ? [key, null] : [key.slice(0, at), key.slice(at + 1)];
}

/** A decision file with other assumptions, prices that are not known among them. */
export function withChanges(file: DecisionFile, changes: readonly Change[]): DecisionFile {
  return changes.reduce((changed, { key, value }) => {
    const [kind, of] = keyParts(key);
    return kind === 'price' && of !== null ? withPrice(changed, of, value) : withChange(changed, { key, value });
  }, file);
}

/** A document with one other assumption; a price is none of the document's own and changes nothing here. */
export function withChange<Document extends Changeable>(document: Document, { key, value }: Change): Document {
  const [kind, of] = keyParts(key);
  const differing = (field: keyof StreamDifferences): Document => {
    const differences = of === null ? { [field]: value } : { streams: { [of]: { [field]: value } } };
    return { ...document, forecast: inVersion(document.forecast, differences) };
  };
  const streams = (change: (stream: Stream) => Stream): Document => ({
    ...document,
    forecast: {
      ...document.forecast,
      streams: document.forecast.streams.map((stream) => (of === null || stream.id === of ? change(stream) : stream)),
    },
  });
  switch (kind) {
    case 'orders':
      return differing('orders');
    case 'order-value':
      return differing('orderValue');
    case 'growth':
      return differing('growth');
    case 'refunds':
      return differing('refunds');
    case 'churn':
      return differing('churn');
    case 'season':
      return streams((stream) => withSeason(stream, decimal(value).div(HUNDRED)));
    case 'foreign-cards': {
      const foreign = foreignKind(document);
      return foreign === null ? document : streams((stream) => withForeignCards(stream, foreign, decimal(value)));
    }
    case 'quantity':
      return of === null ? document : { ...document, forecast: inVersion(document.forecast, { quantities: { [of]: value } }) };
    case 'rate': {
      const now = of === null ? undefined : document.rates?.[of];
      if (of === null || now === undefined) return document;
      // A rate is never nothing.
      const rate = Decimal.max(decimal(now).times(ONE.plus(decimal(value).div(HUNDRED))), '0.000000000001')
        .toDecimalPlaces(12)
        .toFixed();
      return { ...document, rates: { ...document.rates, [of]: rate } };
    }
    case 'hour-value':
      return { ...document, hourValue: value };
    default:
      return document;
  }
}

const PLACES = 12;

/** Each month of the year is moved towards the average or away from it. */
function withSeason(stream: Stream, strength: Decimal): Stream {
  const seasonal = (series: Series): Series => {
    if (typeof series === 'string' || !series.season) return series;
    const factors = series.season.map((factor) => decimal(factor));
    const mean = sum(factors).div(12);
    return {
      ...series,
      season: factors.map((factor) =>
        Decimal.max(ZERO, mean.plus(factor.minus(mean).times(strength)))
          .toDecimalPlaces(PLACES)
          .toFixed(),
      ),
    };
  };
  return {
    ...stream,
    ...(stream.orders === undefined ? {} : { orders: seasonal(stream.orders) }),
    ...(stream.subscribers ? { subscribers: { ...stream.subscribers, joins: seasonal(stream.subscribers.joins) } } : {}),
  };
}

/** So many points more are paid with cards from abroad; all other kinds have the rest as they shared it before. */
function withForeignCards(stream: Stream, foreign: string, points: Decimal): Stream {
  const cards = stream.cards ?? { domestic: '100' };
  const before = decimal(Object.hasOwn(cards, foreign) ? (cards[foreign] ?? '0') : '0');
  const after = Decimal.min(HUNDRED, Decimal.max(ZERO, before.plus(points)));
  const others = HUNDRED.minus(before);
  const kinds = Object.entries(cards).filter(([kind]) => kind !== foreign);
  const rest = others.isZero()
    ? [['domestic', HUNDRED.minus(after)] as const]
    : kinds.map(([kind, share]) => [kind, decimal(share).times(HUNDRED.minus(after)).div(others)] as const);
  return { ...stream, cards: addingUp([[foreign, after], ...rest]) };
}

/** Shares to a few places that still add up to 100: the largest takes what rounding leaves. */
function addingUp(shares: ReadonlyArray<readonly [kind: string, share: Decimal]>): Record<string, string> {
  const rounded = shares.map(([kind, share]) => [kind, share.toDecimalPlaces(PLACES)] as [string, Decimal]);
  const left = HUNDRED.minus(sum(rounded.map(([, share]) => share)));
  const largest = [...rounded].sort(([, a], [, b]) => b.cmp(a))[0];
  return Object.fromEntries(rounded.map((one) => [one[0], (one === largest ? one[1].plus(left) : one[1]).toFixed()]));
}

/** Whether a forecast has what a change is about; one that was removed changes nothing any more. */
export function isAbout(forecast: Forecast, key: string): boolean {
  const [kind, of] = keyParts(key);
  if (of === null || ['rate', 'price', 'hour-value'].includes(kind)) return true;
  return kind === 'quantity' ? Object.hasOwn(forecast.drivers ?? {}, of) : forecast.streams.some(({ id }) => id === of);
}

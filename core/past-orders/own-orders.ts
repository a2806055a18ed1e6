import { isCurrency } from '../amount/currencies';
import { decimal } from '../amount/decimal';
import { countedDay, dayCounted } from '../calendar/counted-day';
import { addMonths, monthsBetween } from '../calendar/month';
import type { Decision } from '../decision/decision-schema';
import type { Stream } from '../decision-file/forecast-schema';
import { PastOrderCollector, type PastOrders } from '../replay/past-orders';
import type { KeptOrders, WordColumn } from './kept-orders';

/** What the orders of a decision are taken for. */
export interface OwnOrders {
  /** null where none is left. */
  readonly orders: PastOrders | null;
  /** Places of selling that orders name, how many each has, and the stream they are taken for; null where they are left out. */
  readonly channels: ReadonlyArray<{ readonly name: string; readonly orders: number; readonly stream: string | null }>;
  /** Countries that orders name, the most frequent first. */
  readonly countries: ReadonlyArray<{ readonly name: string; readonly orders: number }>;
  /** The country whose cards are domestic; null where orders name none. */
  readonly home: string | null;
  /** Orders that stand in several files, counted once. */
  readonly doubled: number;
  /** Orders in currencies without a rate, which are left out. */
  readonly withoutRate: ReadonlyArray<{ readonly currency: string; readonly orders: number }>;
}

/** Which months count, `YYYY-MM`, the first and the last; all where none are stated. */
export interface CountedMonths {
  readonly from: string;
  readonly to: string;
}

/** Kept values are in ten-thousandths, replayed ones in millionths. */
const MILLIONTHS = 100;

/**
 * The orders that were kept, as the decision takes them: by its streams, in its currency, each once.
 *
 * @param kept - the oldest file first; an order that stands in several counts as the newest has it
 */
export function ownOrders(
  kept: readonly KeptOrders[],
  decision: Pick<Decision, 'forecast' | 'pastOrders' | 'currency' | 'rates'>,
  only?: CountedMonths,
): OwnOrders {
  const channels = countedWords(kept, 'channel');
  const countries = [...countedWords(kept, 'country')].filter(([name]) => name !== '').sort(([, a], [, b]) => b - a);
  const home = decision.pastOrders?.home ?? countries[0]?.[0] ?? null;
  const streams = new Map([...channels.keys()].map((name) => [name, streamOf(name, decision)] as const));
  const taking: Taking = { decision, streams, home, only, collector: new PastOrderCollector(), seen: new Set(), unrated: new Map() };
  // Numbers of orders are remembered for the files that are still to come.
  const doubled = kept.toReversed().reduce((sum, one, at) => sum + takeFile(one, taking, at < kept.length - 1), 0);
  return {
    orders: taking.collector.finish(),
    channels: [...channels]
      .map(([name, many]) => ({ name, orders: many, stream: streams.get(name) ?? null }))
      .sort((a, b) => b.orders - a.orders),
    countries: countries.map(([name, many]) => ({ name, orders: many })),
    home,
    doubled,
    withoutRate: [...taking.unrated].map(([currency, many]) => ({ currency, orders: many })),
  };
}

/** What orders are taken by, and into. */
interface Taking {
  readonly decision: Parameters<typeof ownOrders>[1];
  /** Streams by the place of selling. */
  readonly streams: ReadonlyMap<string, string | null>;
  readonly home: string | null;
  readonly only: CountedMonths | undefined;
  readonly collector: PastOrderCollector;
  /** Numbers of orders in files that were taken already. */
  readonly seen: Set<number>;
  /** How many orders are in currencies without a rate. */
  readonly unrated: Map<string, number>;
}

/** Takes the orders of a file; says how many of them a newer file has as well. */
function takeFile(
  { file: { words }, parts }: KeptOrders,
  { decision, streams: streamFor, home, only, collector, seen, unrated }: Taking,
  isFollowed: boolean,
): number {
  const { streams } = decision.forecast;
  const from = only ? countedDay(`${only.from}-01`) : -Infinity;
  const end = only ? countedDay(`${addMonths(only.to, 1)}-01`) : Infinity;
  const rates = words.currency.map((code) => rateOf(code, decision));
  const cards = streams.map((stream) => cardsOf(stream, words, home));
  const places = words.channel.map((name) => streams.findIndex(({ id }) => id === streamFor.get(name)));
  const inFile: number[] = [];
  let doubled = 0;
  for (const part of parts)
    for (let at = 0; at < part.day.length; at++) {
      const number = part.number[at] ?? 0;
      if (seen.has(number)) {
        doubled += 1;
        continue;
      }
      if (isFollowed && number !== 0) inFile.push(number);
      const currency = part.currency[at] ?? 0;
      const rate = rates[currency] ?? null;
      if (rate === null) {
        const code = words.currency[currency] ?? '';
        unrated.set(code, (unrated.get(code) ?? 0) + 1);
        continue;
      }
      const stream = places[part.channel[at] ?? 0] ?? -1;
      const [day, value] = [part.day[at] ?? 0, part.value[at] ?? 0];
      const millionths = rate === 1 ? value * MILLIONTHS : decimal(value).times(rate).times(MILLIONTHS).round().toNumber();
      if (stream < 0 || day < from || day >= end || millionths <= 0) continue;
      const card = cards[stream]?.(part.country[at] ?? 0, part.means[at] ?? 0) ?? 'domestic';
      collector.addUnits(day, millionths, stream, card, (part.refunded[at] ?? 0) >= value);
    }
  for (const number of inFile) seen.add(number);
  return doubled;
}

/** A month that ends later than this many days after its last order is not over yet. */
const QUIET_DAYS = 3;
const YEAR = 12;

/**
 * The months that count: of those that are whole the last so many. A month in which the orders break off, or that they
 * begin in the middle of, would be taken for a weak one. Where no month is whole, all count.
 */
export function wholeMonths(kept: readonly KeptOrders[], most = YEAR): CountedMonths | undefined {
  if (kept.length === 0) return undefined;
  const days = kept.flatMap(({ file }) => [file.from, file.to]).sort();
  const [first, last] = [days[0] ?? '', days.at(-1) ?? ''];
  const isBegun = Number(first.slice(8)) > QUIET_DAYS + 1;
  const isOver = dayCounted(countedDay(last) + QUIET_DAYS + 1).slice(0, 7) > last.slice(0, 7);
  const from = isBegun ? addMonths(first.slice(0, 7), 1) : first.slice(0, 7);
  const to = isOver ? last.slice(0, 7) : addMonths(last.slice(0, 7), -1);
  if (from > to) return undefined;
  return { from: monthsBetween(from, to) >= most ? addMonths(to, 1 - most) : from, to };
}

/** How many orders have each word of a column. */
function countedWords(kept: readonly KeptOrders[], column: WordColumn): Map<string, number> {
  const all = new Map<string, number>();
  for (const { file, parts } of kept) {
    const words = file.words[column];
    const counts = words.map(() => 0);
    for (const part of parts) for (const place of part[column]) counts[place] = (counts[place] ?? 0) + 1;
    words.forEach((word, place) => counts[place] !== 0 && all.set(word, (all.get(word) ?? 0) + (counts[place] ?? 0)));
  }
  return all;
}

/** The stream that orders of a place of selling are taken for: the one that was said, one of that name, or the first. */
function streamOf(name: string, { forecast, pastOrders }: Pick<Decision, 'forecast' | 'pastOrders'>): string | null {
  const said = pastOrders?.streams?.[name];
  if (said === null) return null;
  const { streams } = forecast;
  if (said !== undefined && streams.some(({ id }) => id === said)) return said;
  const plain = name.toLowerCase();
  const alike = streams.find(({ id, label, channel }) => [id, label.toLowerCase(), channel].includes(plain));
  const near = streams.find(({ label }) => plain !== '' && label.toLowerCase().includes(plain));
  return (alike ?? near ?? streams[0])?.id ?? null;
}

/** Base units for one unit of an order's currency: 1 where it names none or no currency; null where there is no rate. */
function rateOf(code: string, { currency, rates }: Pick<Decision, 'currency' | 'rates'>): number | string | null {
  const plain = code.trim().toUpperCase();
  if (plain === currency || !isCurrency(plain)) return 1;
  return rates?.[plain] ?? null;
}

const ABROAD = /abroad|foreign|international|ausland/i;

/** The kind of card of an order, by how it was paid and where it came from. */
function cardsOf({ cards }: Stream, words: KeptOrders['file']['words'], home: string | null): (country: number, means: number) => string {
  const kinds = Object.keys(cards ?? { domestic: '100' });
  const usual = kinds.find((kind) => !ABROAD.test(kind)) ?? kinds[0] ?? 'domestic';
  const abroad = kinds.find((kind) => ABROAD.test(kind)) ?? usual;
  const named = words.means.map((means) =>
    kinds.find((kind) => kind !== usual && kind !== abroad && means.toLowerCase().includes(kind.toLowerCase())),
  );
  return (country, means) => {
    const by = named[means];
    if (by) return by;
    const from = words.country[country] ?? '';
    return from === '' || home === null || from === home ? usual : abroad;
  };
}

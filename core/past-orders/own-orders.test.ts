import { describe, expect, it } from 'vitest';
import { countedDay } from '../calendar/counted-day';
import type { Stream } from '../decision-file/forecast-schema';
import type { KeptOrders } from './kept-orders';
import { ownOrders, wholeMonths } from './own-orders';

interface Row {
  readonly on: string;
  readonly paid: number;
  readonly back?: number;
  readonly number?: number;
  readonly currency?: string;
  readonly country?: string;
  readonly means?: string;
  readonly channel?: string;
}

function keptOf(rows: readonly Row[]): KeptOrders {
  const words = { currency: [] as string[], country: [] as string[], means: [] as string[], channel: [] as string[] };
  const place = (column: keyof typeof words, word = '') => {
    if (!words[column].includes(word)) words[column].push(word);
    return words[column].indexOf(word);
  };
  const part = {
    day: rows.map(({ on }) => countedDay(on)),
    value: rows.map(({ paid }) => Math.round(paid * 1e4)),
    refunded: rows.map(({ back = 0 }) => Math.round(back * 1e4)),
    number: rows.map(({ number = 0 }) => number),
    currency: rows.map(({ currency }) => place('currency', currency)),
    country: rows.map(({ country }) => place('country', country)),
    means: rows.map(({ means }) => place('means', means)),
    channel: rows.map(({ channel }) => place('channel', channel)),
  };
  const days = rows.map(({ on }) => on).sort();
  return { file: { name: 'a.csv', orders: rows.length, from: days[0] ?? '', to: days.at(-1) ?? '', words }, parts: [part] };
}

const stream = (id: string, label: string, more: Partial<Stream> = {}): Stream => ({
  id,
  label,
  kind: 'goods',
  orders: '1',
  orderValue: '1',
  ...more,
});
const cards = { domestic: '60', wallet: '10', international: '30' };
const decision = {
  currency: 'EUR',
  rates: { USD: '0.9' },
  forecast: { streams: [stream('kites', 'Kites', { cards }), stream('stalls', 'Festival stalls', { channel: 'in-person' })] },
};

/** Orders as the decision has them: month, value, stream, card, refunded. */
function shown(rows: readonly Row[], of: Parameters<typeof ownOrders>[1] = decision, only?: Parameters<typeof ownOrders>[2]) {
  const { orders } = ownOrders([keptOf(rows)], of, only);
  if (!orders) return [];
  return [...orders.units].map((units, at) =>
    [units / 10 ** orders.digits, orders.stream[at], orders.kinds[orders.kind[at] ?? 0], orders.refunded[at]].join(' '),
  );
}

describe('kept orders as a decision takes them', () => {
  it('belong to the stream of the place they were sold at: as said, of that name, or the first', () => {
    const rows = ['Festival', 'in-person', 'elsewhere', ''].map((channel, at) => ({ on: `2026-01-0${at + 1}`, paid: 1, channel }));
    expect(shown(rows).map((line) => line.split(' ')[1])).toEqual(['1', '1', '0', '0']);
    const said = { ...decision, pastOrders: { streams: { Festival: 'kites', elsewhere: null } } };
    expect(shown(rows, said).map((line) => line.split(' ')[1])).toEqual(['0', '1', '0']);
    const { channels } = ownOrders([keptOf(rows)], said);
    expect(channels).toContainEqual({ name: 'elsewhere', orders: 1, stream: null });
  });

  it('were paid with the kind of card that the means and the country say', () => {
    const rows: Row[] = [
      { on: '2026-01-01', paid: 1, country: 'DE' },
      { on: '2026-01-02', paid: 1, country: 'DE', means: 'Wallet app' },
      { on: '2026-01-03', paid: 1, country: 'FR' },
      { on: '2026-01-04', paid: 1 },
    ];
    const kinds = (of?: Parameters<typeof ownOrders>[1]) => shown(rows, of).map((line) => line.split(' ')[2]);
    expect(kinds()).toEqual(['domestic', 'wallet', 'international', 'domestic']);
    expect(kinds({ ...decision, pastOrders: { home: 'FR' } })).toEqual(['international', 'wallet', 'domestic', 'domestic']);
  });

  it('are in the currency of the decision, and left out where there is no rate', () => {
    const rows = ['EUR', 'usd', 'SEK', '€'].map((currency, at) => ({ on: `2026-01-0${at + 1}`, paid: 10.01, currency }));
    expect(shown(rows).map((line) => line.split(' ')[0])).toEqual(['10.01', '9.009', '10.01']);
    expect(ownOrders([keptOf(rows)], decision).withoutRate).toEqual([{ currency: 'SEK', orders: 1 }]);
  });

  it('are refunded only where all was given back', () => {
    const rows = [0, 4.99, 5].map((back, at) => ({ on: `2026-01-0${at + 1}`, paid: 5, back }));
    expect(shown(rows).map((line) => line.at(-1))).toEqual(['0', '0', '1']);
  });

  it('count once where several files have them, as the newest has them', () => {
    const [older, newer] = [
      keptOf([{ on: '2026-01-01', paid: 5, number: 7 }]),
      keptOf([
        { on: '2026-01-01', paid: 6, number: 7 },
        { on: '2026-01-02', paid: 7 },
      ]),
    ];
    const { orders, doubled } = ownOrders([older, newer], decision);
    expect([[...(orders?.units ?? [])], doubled]).toEqual([[6, 7], 1]);
  });

  it('are those of some months', () => {
    const rows = ['2026-01-31', '2026-02-01', '2026-03-31', '2026-04-01'].map((on, at) => ({ on, paid: at + 1 }));
    expect(shown(rows, decision, { from: '2026-02', to: '2026-03' }).map((line) => line.split(' ')[0])).toEqual(['2', '3']);
    expect(shown(rows, decision, { from: '2027-01', to: '2027-03' })).toEqual([]);
  });
});

describe('the months that count', () => {
  const between = (from: string, to: string, most?: number) =>
    wholeMonths(
      [
        keptOf([
          { on: from, paid: 1 },
          { on: to, paid: 1 },
        ]),
      ],
      most,
    );
  it.each([
    ['2025-09-01', '2026-10-31', { from: '2025-11', to: '2026-10' }],
    ['2025-09-02', '2026-03-29', { from: '2025-09', to: '2026-03' }],
    ['2025-09-15', '2026-03-12', { from: '2025-10', to: '2026-02' }],
    ['2026-03-12', '2026-03-12', undefined],
    ['2026-03-12', '2026-04-12', undefined],
  ])('%s to %s', (from, to, months) => {
    expect(between(from, to)).toEqual(months);
  });

  it('are all of them where as many are wanted, and none without orders', () => {
    expect(between('2020-01-01', '2026-10-31', Infinity)).toEqual({ from: '2020-01', to: '2026-10' });
    expect(wholeMonths([])).toBeUndefined();
  });
});

import { describe, expect, it } from 'vitest';
import type { Charge } from '../decision-file/price-sheet-schema';
import type { DecisionFile } from '../decision-file/schema';
import { numberForecast } from '../forecast/number-forecast';
import { statedAssumptions } from '../scales/pricing-assumptions';
import { kiteDecision } from '../tests/kite-decision';
import { foreignKind } from '../forecast/foreign-kind';
import { allOrdersKey } from './assumption';
import { isAbout, keyParts, withChange, withChanges } from './changes';
import { changedAssumptions } from './assumption-changes';
import { openPrices, withPrice } from './open-prices';

type Stream = DecisionFile['forecast']['streams'][number];

const decision = (stream: Partial<Stream> = {}, more: Partial<DecisionFile> = {}) =>
  kiteDecision({
    rates: { USD: '0.9' },
    forecast: {
      streams: [
        {
          id: 'kites',
          label: 'Kites',
          kind: 'goods',
          orders: '100',
          orderValue: '10',
          cards: { domestic: '60', wallet: '20', international: '20' },
          ...stream,
        },
      ],
      drivers: { contacts: '500', mailings: { per: 'contacts', ratio: '4' } },
    },
    ...more,
  });
const changed = (key: string, value: string, file = decision()) => withChange(file, { key, value });
const streamOf = (file: DecisionFile) => file.forecast.streams[0];

describe('a changed assumption', () => {
  it.each<[string, string, (file: DecisionFile) => unknown, unknown]>([
    ['orders:kites', '25', (file) => streamOf(file)?.orders, '125'],
    ['orders', '-100', (file) => streamOf(file)?.orders, '0'],
    ['order-value:kites', '-10', (file) => streamOf(file)?.orderValue, '9'],
    ['growth:kites', '1.5', (file) => streamOf(file)?.orders, { start: '100', growth: '1.5' }],
    ['refunds:kites', '7', (file) => streamOf(file)?.refunds, '7'],
    ['quantity:contacts', '20', (file) => file.forecast.drivers?.['contacts'], '600'],
    ['rate:USD', '10', (file) => file.rates?.['USD'], '0.99'],
    ['rate:USD', '-100', (file) => file.rates?.['USD'], '0.000000000001'],
    ['hour-value', '31', (file) => file.hourValue, '31'],
    ['orders:gone', '25', (file) => streamOf(file)?.orders, '100'],
    ['rate:JPY', '10', (file) => file.rates, { USD: '0.9' }],
    ['nothing-known', '10', (file) => file.hourValue, '20'],
  ])('%s by %s', (key, value, read, expected) => {
    expect(read(changed(key, value))).toEqual(expected);
  });

  it('of cards from abroad leaves the others in the shares they had', () => {
    expect(streamOf(changed('foreign-cards:kites', '20'))?.cards).toEqual({ international: '40', domestic: '45', wallet: '15' });
    expect(streamOf(changed('foreign-cards:kites', '500'))?.cards).toMatchObject({ international: '100' });
    expect(streamOf(changed('foreign-cards:kites', '-50'))?.cards).toEqual({ international: '0', domestic: '75', wallet: '25' });
    const abroad = decision({ cards: { international: '100' } });
    expect(streamOf(changed('foreign-cards:kites', '-30', abroad))?.cards).toEqual({ international: '70', domestic: '30' });
  });

  it('of shares that do not divide still adds up to a hundred', () => {
    const cards =
      streamOf(
        changed('foreign-cards:kites', '3.3', decision({ cards: { domestic: '33', wallet: '33', voucher: '14', international: '20' } })),
      )?.cards ?? {};
    expect(Object.values(cards).reduce((sum, share) => sum + Number(share), 0)).toBeCloseTo(100, 9);
  });

  it('of the season moves each month towards the average or away from it', () => {
    const season = ['2', '1', '1', '1', '1', '1', '1', '1', '1', '1', '1', '0'];
    const seasonal = decision({ orders: { start: '100', season } });
    const factors = (value: string) => {
      const { orders } = streamOf(changed('season:kites', value, seasonal)) ?? {};
      return typeof orders === 'object' ? [orders.season?.[0], orders.season?.[1], orders.season?.[11]] : [];
    };
    expect(factors('0')).toEqual(['1', '1', '1']);
    expect(factors('50')).toEqual(['1.5', '1', '0.5']);
    // Below nothing there is nothing.
    expect(factors('200')).toEqual(['3', '1', '0']);
  });

  it('comes one after the other, and a price is filled in on the sheet', () => {
    const file = decision(
      {},
      {
        offers: kiteDecision().offers.map((offer) => ({
          ...offer,
          plans: offer.plans.map((plan) => ({
            ...plan,
            charges: plan.charges?.map((charge) =>
              charge.id === 'fa' && charge.how === 'per-order' ? { ...charge, percent: null } : charge,
            ),
          })),
        })),
      },
    );
    const both = withChanges(file, [
      { key: 'orders:kites', value: '10' },
      { key: 'orders:kites', value: '10' },
      { key: 'price:fa', value: '2.5' },
    ]);
    expect(streamOf(both)?.orders).toBe('121');
    expect(both.offers[0]?.plans[0]?.charges?.[0]).toMatchObject({ percent: '2.5' });
  });

  it('is about something that is there, or it is idle', () => {
    const { forecast } = decision();
    expect(['orders', 'orders:kites', 'quantity:contacts', 'rate:XXX', 'price:x'].map((key) => isAbout(forecast, key))).toEqual([
      true,
      true,
      true,
      true,
      true,
    ]);
    expect(['orders:gone', 'quantity:gone'].map((key) => isAbout(forecast, key))).toEqual([false, false]);
    expect(keyParts('price:p term y')).toEqual(['price', 'p term y']);
  });
});

describe('a level worked out from its numbers', () => {
  const assumed = statedAssumptions(decision());

  it.each(['orders', 'orders:kites', 'order-value', 'order-value:kites', 'refunds:kites', 'foreign-cards:kites'])(
    'is what the changed file gives, for %s',
    (key) => {
      const quick = changedAssumptions(assumed, { key, value: '12.5' }, 'international');
      const anew = numberForecast(changed(key, '12.5'));
      expect([...(quick?.forecast.orders ?? [])]).toEqual([...anew.orders]);
      (quick?.forecast.sales ?? []).forEach((sales, month) => expect(sales).toBeCloseTo(anew.sales[month] ?? NaN, 9));
      expect(quick?.forecast.streams[0]?.refunded).toBeCloseTo(anew.streams[0]?.refunded ?? NaN, 12);
      for (const [kind, share] of anew.streams[0]?.cards ?? [])
        expect(quick?.forecast.streams[0]?.cards.find(([one]) => one === kind)?.[1]).toBeCloseTo(share, 12);
    },
  );

  it('has other rates and another worth of an hour, and the same forecast', () => {
    expect(changedAssumptions(assumed, { key: 'rate:USD', value: '10' }, null)?.rate('USD')).toBeCloseTo(0.99, 12);
    expect(changedAssumptions(assumed, { key: 'rate:USD', value: '10' }, null)?.rate('EUR')).toBe(1);
    expect(changedAssumptions(assumed, { key: 'hour-value', value: '7' }, null)).toMatchObject({
      hourValue: 7,
      forecast: assumed.forecast,
    });
    expect(changedAssumptions(assumed, { key: 'foreign-cards:kites', value: '7' }, null)).toBe(assumed);
  });

  it.each(['growth:kites', 'season:kites', 'churn:kites', 'quantity:contacts'])('is not, for %s', (key) => {
    expect(changedAssumptions(assumed, { key, value: '1' }, null)).toBeNull();
  });
});

describe('which kind of card comes from abroad, and what all orders are called', () => {
  it('is the one whose name says so, or the first that is not the usual one', () => {
    expect(foreignKind(decision())).toBe('international');
    expect(foreignKind(decision({ cards: { domestic: '80', wallet: '20' } }))).toBe('wallet');
    expect(foreignKind(decision({ cards: { domestic: '100' } }))).toBeNull();
  });

  it('is one key for several streams, and the stream’s own for one', () => {
    expect(allOrdersKey(decision())).toBe('orders:kites');
    expect(
      allOrdersKey({
        forecast: { streams: [...decision().forecast.streams, { id: 'plans', label: 'Plans', kind: 'digital', orderValue: '5' }] },
      }),
    ).toBe('orders');
    expect(allOrdersKey({ forecast: { streams: [] } })).toBeNull();
  });
});

describe('prices that are not known', () => {
  const withCharge = (charge: Charge, terms = kiteDecision().offers[0]?.plans[0]?.terms) => {
    const file = kiteDecision();
    const [alder, birch] = file.offers;
    return { ...file, offers: [{ ...alder, plans: [{ ...alder?.plans[0], terms, charges: [charge] }] }, birch] } as DecisionFile;
  };

  it('are the single open figure of a charge, or a term without a price that a candidate has', () => {
    expect(openPrices(withCharge({ id: 'f', label: 'Fee', how: 'per-order', percent: null, each: '0.2' }))).toEqual([
      { id: 'f', label: 'Fee, Alder Plan', usual: [0, 5], places: [{ part: 'pa', line: 'charge', id: 'f', field: 'percent' }] },
    ]);
    const unpriced = withCharge({ id: 'f', label: 'Fee', how: 'per-order', percent: '1' }, [
      { id: 'm', months: 1, price: null },
      { id: 'y', months: 12, price: '96' },
    ]);
    expect(openPrices(unpriced)).toEqual([
      { id: 'pa term m', label: 'Price of Alder Plan', usual: [0, 16], places: [{ part: 'pa', line: 'term', id: 'm', field: 'price' }] },
    ]);
    expect(openPrices({ ...unpriced, candidates: unpriced.candidates.slice(1) })).toEqual([]);
  });

  it('are none where several figures of a charge are open: one figure could not say them', () => {
    expect(openPrices(withCharge({ id: 'f', label: 'Fee', how: 'per-order', percent: null, each: null }))).toEqual([]);
  });

  it('are filled in where they stand: a term, a charge, a band', () => {
    const unpriced = withCharge(
      {
        id: 'f',
        label: 'Fee',
        how: 'graduated',
        bands: [
          { upTo: '10', each: '1' },
          { upTo: null, each: null },
        ],
      },
      [{ id: 'm', months: 1, price: null }],
    );
    const [plan] = withPrice(withPrice(unpriced, 'pa term m', '12'), 'f', '0.4').offers[0]?.plans ?? [];
    expect(plan?.terms[0]?.price).toBe('12');
    expect(plan?.charges?.[0]).toMatchObject({ bands: [{ each: '1' }, { each: '0.4' }] });
  });
});

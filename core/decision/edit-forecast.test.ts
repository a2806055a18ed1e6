import { describe, expect, it } from 'vitest';
import type { Stream } from '../decision-file/forecast-schema';
import { cardShares, mostForCard, withCardShare } from './edit-cards';
import { differencesOf, inVersion } from '../forecast/versions';
import { smallDecision } from '../tests/small-decision';
import {
  countedByMonth,
  monthsSet,
  newStream,
  withMonthSet,
  withQuantity,
  withOrdersBetween,
  shaped,
  withKind,
  withSeries,
  withStream,
  withStreamMonthSet,
} from './edit-forecast';

describe('withSeries', () => {
  it('is written as plainly as it can be', () => {
    expect(withSeries('96', { start: '120' })).toBe('120');
    expect(withSeries('96', { growth: '1.2' })).toEqual({ start: '96', growth: '1.2' });
    expect(withSeries({ start: '96', growth: '1.2' }, { growth: undefined })).toBe('96');
    expect(withSeries(undefined, { start: '5' })).toBe('5');
  });

  it('keeps what is not changed', () => {
    const season = Array.from({ length: 12 }, () => '1.1');
    expect(withSeries({ start: '96', season }, { start: '10' })).toEqual({ start: '10', season });
    expect(shaped(withSeries({ start: '96', season }, { season: undefined }))).toEqual({ start: '96' });
  });
});

describe('streams', () => {
  const stream: Stream = newStream('s', 'Kites');

  it('change kind without losing their first figure', () => {
    const club = withKind({ ...stream, orders: { start: '15', growth: '2' } }, 'subscription');
    expect(club).toMatchObject({ kind: 'subscription', subscribers: { start: '15', joins: '0', churn: '0' } });
    expect(club).not.toHaveProperty('orders');
    expect(withKind(club, 'goods')).toMatchObject({ kind: 'goods', orders: '15' });
  });

  it('split their cards and wallets so that they always add up to 100', () => {
    const abroad = withCardShare(stream, 'international', '33.4');
    expect(abroad.cards).toEqual({ domestic: '66.6', international: '33.4' });
    const both = withCardShare(abroad, 'wallet', '20');
    expect(cardShares(both)).toEqual([
      { kind: 'domestic', percent: '46.6' },
      { kind: 'international', percent: '33.4' },
      { kind: 'wallet', percent: '20' },
    ]);
    expect(mostForCard(both, 'wallet')).toBe('66.6');
    expect(() => withCardShare(both, 'wallet', '66.7')).toThrow(RangeError);
    expect(withCardShare(both, 'wallet', null).cards).toEqual(abroad.cards);
    expect(withCardShare({ ...stream, cards: { wallet: '70', cash: '30' } }, 'cash', '40').cards).toEqual({ wallet: '60', cash: '40' });
  });

  it('take single months by hand, and give them back to their course', () => {
    const set = withStreamMonthSet({ ...stream, orders: { start: '9', growth: '1' } }, '2027-03', '40');
    expect(set.orders).toEqual({ start: '9', growth: '1', set: { '2027-03': '40' } });
    expect(monthsSet(set)).toEqual({ '2027-03': '40' });
    expect(withStreamMonthSet(set, '2027-03', null).orders).toEqual({ start: '9', growth: '1' });
    const club = withStreamMonthSet(withKind(stream, 'subscription'), '2027-03', '7');
    expect(club.subscribers?.joins).toEqual({ start: '0', set: { '2027-03': '7' } });
    expect(monthsSet(club)).toEqual({ '2027-03': '7' });
  });

  it('are changed and removed by their id', () => {
    const forecast = { streams: [stream, newStream('t', 'Plans')] };
    expect(withStream(forecast, 't', (one) => ({ ...one, label: 'Patterns' })).streams.map(({ label }) => label)).toEqual([
      'Kites',
      'Patterns',
    ]);
    expect(withStream(forecast, 's', () => null).streams.map(({ id }) => id)).toEqual(['t']);
  });
});

describe('orders between two figures', () => {
  it('expect the middle, and the ends are the cautious and the hopeful version', () => {
    const decision = withOrdersBetween(smallDecision(), 's', { least: '0.41666667', most: '5' });
    const ordersIn = (version: 'cautious' | 'expected' | 'hopeful') => {
      const orders = inVersion(decision.forecast, differencesOf(decision.versions, version)).streams[0]?.orders;
      return Number(typeof orders === 'string' ? orders : orders?.start).toFixed(6);
    };
    expect([ordersIn('cautious'), ordersIn('expected'), ordersIn('hopeful')]).toEqual(['0.416667', '2.710000', '5.000000']);
  });

  it('leave all other differences as they are, and nothing is divided by nothing', () => {
    const before = smallDecision({ versions: { cautious: { growth: '-1', streams: { other: { orders: '-5' } } } } });
    expect(withOrdersBetween(before, 's', { least: '0', most: '0' }).versions).toEqual({
      cautious: { growth: '-1', streams: { other: { orders: '-5' }, s: { orders: '0' } } },
      hopeful: { streams: { s: { orders: '0' } } },
    });
  });
});

describe('other quantities', () => {
  const forecast = { streams: [], drivers: { contacts: '400', mailings: { per: 'contacts', ratio: '4' } } };

  it('are changed, added and removed, the others staying as they are', () => {
    expect(withQuantity(forecast, 'contacts', '500').drivers).toEqual({ ...forecast.drivers, contacts: '500' });
    expect(withQuantity({ streams: [] }, 'visits', '9').drivers).toEqual({ visits: '9' });
    expect(withQuantity(forecast, 'contacts', null).drivers).toEqual({ mailings: forecast.drivers.mailings });
  });

  it('have months of their own where they are counted by month', () => {
    expect(countedByMonth('400')).toEqual({ start: '400' });
    expect(countedByMonth(forecast.drivers.mailings)).toBeNull();
    expect(countedByMonth(undefined)).toBeNull();
    expect(withMonthSet('400', '2027-03', '450')).toEqual({ start: '400', set: { '2027-03': '450' } });
    expect(withMonthSet({ start: '400', set: { '2027-03': '450' } }, '2027-03', null)).toBe('400');
  });
});

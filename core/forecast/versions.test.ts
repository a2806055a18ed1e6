import { readFileSync } from 'node:fs';
import { describe, expect, it } from 'vitest';
import { priceDecision } from '../comparison/decision-result';
import { readDecisionFile } from '../decision-file/read';
import type { Forecast, Stream } from '../decision-file/forecast-schema';
import { forecastMonths } from './forecast';
import { differencesOf, inVersion } from './versions';

const file = readDecisionFile(JSON.parse(readFileSync(new URL('../cases/13-larkfell.json', import.meta.url), 'utf8')));
const ordersIn = (forecast: Forecast) => forecastMonths(forecast, '2027-01', 6).orders.map(Number);

describe('versions of expected sales', () => {
  it('a quarter less and a quarter more as long as nobody says otherwise', () => {
    expect(differencesOf(undefined, 'cautious')).toEqual({ orders: '-25' });
    expect(differencesOf({ hopeful: { orderValue: '5' } }, 'hopeful')).toEqual({ orderValue: '5' });
    expect(differencesOf({ cautious: { orders: '-1' } }, 'expected')).toEqual({});
  });

  it('fewer orders are fewer in every month, with growth, season, single months and subscribers', () => {
    const before = ordersIn(file.forecast);
    ordersIn(inVersion(file.forecast, { orders: '-25' })).forEach((orders, month) =>
      expect(orders).toBeCloseTo((before[month] ?? 0) * 0.75, 8),
    );
  });

  it('is the forecast itself without differences, and prices the same', () => {
    const same = { ...file, forecast: inVersion(file.forecast, {}) };
    expect(priceDecision(same).result).toEqual(priceDecision(file).result);
  });

  it('growth by points a month, from its start', () => {
    const forecast: Forecast = {
      streams: [{ id: 's', label: 's', kind: 'goods', orderValue: '10', orders: { start: '100', growth: '2', set: { '2027-03': '80' } } }],
    };
    expect(ordersIn(inVersion(forecast, { growth: '-2' }))).toEqual([100, 100, 80, 100, 100, 100]);
    expect(inVersion(forecast, { growth: '-500' }).streams[0]?.orders).toMatchObject({ growth: '-100' });
    const constant: Forecast = { streams: [{ id: 's', label: 's', kind: 'goods', orderValue: '10', orders: '100' }] };
    expect(ordersIn(inVersion(constant, { growth: '10' })).slice(0, 3)).toEqual([100, 110, 121]);
  });

  it('a stream’s own differences replace those for all, and percentages stay between 0 and 100', () => {
    const [kites, ...others] = inVersion(file.forecast, {
      orders: '-50',
      refunds: '-90',
      margin: '90',
      streams: { kites: { orders: '10', orderValue: '-10' } },
    }).streams;
    expect(kites).toMatchObject({ orders: { start: '105.6' }, orderValue: '43.2', refunds: '0', margin: '100' });
    expect(others.map(startOf)).toEqual(
      file.forecast.streams
        .slice(1)
        .map((stream) => Number(startOf(stream)) / 2)
        .map(String),
    );
  });

  it('quantities of their own follow only where it is said', () => {
    const { drivers } = inVersion(
      { streams: [], drivers: { contacts: { start: '900', add: '45' }, visits: { per: 'orders', ratio: '60' }, staff: '2' } },
      { orders: '50', quantities: { contacts: '-10', visits: '20' } },
    );
    expect(drivers).toEqual({ contacts: { start: '810', add: '40.5' }, visits: { per: 'orders', ratio: '72' }, staff: '2' });
  });

  it('moves churn, margin and steps of growth that are stated only by default', () => {
    const forecast: Forecast = {
      streams: [
        { id: 's', label: 's', kind: 'goods', orderValue: '10', orders: { start: '100', add: '4' } },
        { id: 'c', label: 'c', kind: 'subscription', orderValue: '9', subscribers: { start: '40', joins: '5', churn: '3' } },
      ],
      drivers: { contacts: { start: '900', set: { '2027-02': '500' } } },
    };
    const [goods, club] = inVersion(forecast, { churn: '2', margin: '-30', growth: '1', orders: '10' }).streams;
    expect(goods).toMatchObject({ margin: '70', orders: { start: '110', add: '4.4', growth: '1' } });
    expect(club?.subscribers).toEqual({ start: '44', joins: { start: '5.5', growth: '1' }, churn: '5' });
    expect(goods).not.toHaveProperty('refunds');
    expect(inVersion(forecast, { quantities: { contacts: '-50' } }).drivers).toEqual({
      contacts: { start: '450', set: { '2027-02': '250' } },
    });
    // Without a difference nothing is written anew.
    expect(inVersion(forecast, { churn: '1' }).streams[0]?.orders).toBe(forecast.streams[0]?.orders);
  });
});

function startOf({ orders, subscribers }: Stream): string {
  return typeof orders === 'string' ? orders : (orders?.start ?? subscribers?.start ?? '0');
}

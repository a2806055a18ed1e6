import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { decimal } from '../amount/decimal';
import type { Forecast, Series } from '../decision-file/forecast-schema';
import { forecastMonths } from './forecast';
import { scaledQuantities } from './scaled-quantities';
import { seriesValues } from './series';

const texts = (values: ReadonlyArray<{ toFixed(): string }>) => values.map((value) => value.toFixed());

describe('seriesValues', () => {
  it.each<[string, Series, string[]]>([
    ['a constant', '7.5', ['7.5', '7.5', '7.5']],
    ['growth that compounds', { start: '100', growth: '10' }, ['100', '110', '121']],
    ['an addition each month', { start: '5', add: '2.5' }, ['5', '7.5', '10']],
    ['growth and addition', { start: '100', growth: '10', add: '1' }, ['100', '111', '123']],
    ['a fall that stops at nothing', { start: '3', add: '-2' }, ['3', '1', '0']],
    ['a single month set by hand', { start: '10', set: { '2027-12': '99' } }, ['10', '99', '10']],
  ])('%s', (_name, series, expected) => {
    expect(texts(seriesValues(series, '2027-11', 3))).toEqual(expected);
  });

  it('takes the season by the calendar, also over the turn of the year, and not for months set by hand', () => {
    const season = ['0.5', '1', '1', '1', '1', '1', '1', '1', '1', '1', '1', '2'];
    expect(texts(seriesValues({ start: '10', season, set: { '2028-02': '3' } }, '2027-11', 4))).toEqual(['10', '20', '5', '3']);
  });

  it('is never below 0', () => {
    fc.assert(
      fc.property(fc.integer({ min: -100, max: 50 }), fc.integer({ min: -50, max: 50 }), (growth, add) => {
        const values = seriesValues({ start: '20', growth: String(growth), add: String(add) }, '2027-01', 24);
        expect(values.every((value) => value.gte(0))).toBe(true);
      }),
    );
  });
});

const forecast: Forecast = {
  streams: [
    { id: 'goods', label: 'Goods', kind: 'goods', orders: '100', orderValue: '119', salesTax: '19', refunds: '2' },
    { id: 'club', label: 'Club', kind: 'subscription', orderValue: '36', subscribers: { start: '30', joins: '10', churn: '10', every: 3 } },
  ],
  drivers: {
    contacts: { start: '500', add: '50' },
    visits: { per: 'orders', ratio: '40', streams: ['goods'] },
    mailings: { per: 'contacts', ratio: '2' },
    hours: { per: 'subscribers', ratio: '0.5' },
  },
};

describe('forecastMonths', () => {
  it('counts subscribers with joins and churn, and their payments evenly spread', () => {
    const { streams, quantities } = forecastMonths(forecast, '2027-01', 3);
    // 30; 30 × 0.9 + 10; 37 × 0.9 + 10.
    expect(texts(quantities.get('subscribers') ?? [])).toEqual(['30', '37', '43.3']);
    expect(streams[1]?.orders.map((orders) => orders.toFixed(4))).toEqual(['10.0000', '12.3333', '14.4333']);
  });

  it('takes sales tax out of the order value', () => {
    expect(forecastMonths(forecast, '2027-01', 1).streams[0]?.netOrderValue[0]?.toFixed()).toBe('100');
  });

  it('works out other quantities from orders, subscribers and one another', () => {
    const { quantities } = forecastMonths(forecast, '2027-01', 2);
    expect(texts(quantities.get('visits') ?? [])).toEqual(['4000', '4000']);
    expect(texts(quantities.get('mailings') ?? [])).toEqual(['1000', '1100']);
    expect(texts(quantities.get('hours') ?? [])).toEqual(['15', '18.5']);
  });

  it('counts per sales and per subscribers of some streams, and nothing per what the forecast does not have', () => {
    const drivers: Forecast['drivers'] = {
      credit: { per: 'sales', ratio: '0.01', streams: ['goods'] },
      posts: { per: 'subscribers', ratio: '2', streams: ['club'] },
      none: { per: 'subscribers', ratio: '2', streams: ['goods'] },
      crew: { per: 'ghosts', ratio: '3' },
    };
    const { quantities, streams } = forecastMonths({ ...forecast, drivers }, '2027-01', 2);
    // 1 % of 100 × 119; 2 × 30 and 2 × 37.
    expect(texts(quantities.get('credit') ?? [])).toEqual(['119', '119']);
    expect(texts(quantities.get('posts') ?? [])).toEqual(['60', '74']);
    expect(texts(quantities.get('none') ?? [])).toEqual(['0', '0']);
    expect(texts(quantities.get('crew') ?? [])).toEqual(['0', '0']);
    expect(streams.map(({ channel }) => channel)).toEqual(['own-site', 'own-site']);
  });

  it('has no orders where a stream states none, and the channel that it states', () => {
    const quiet: Forecast = { streams: [{ id: 'q', label: 'q', kind: 'goods', orderValue: '5', channel: 'in-person' }] };
    const { streams, orders } = forecastMonths(quiet, '2027-01', 2);
    expect(texts(orders)).toEqual(['0', '0']);
    expect(streams[0]?.channel).toBe('in-person');
  });

  it('scales orders and subscribers and what is per them, and nothing else', () => {
    const [plain, scaled] = ['1', '2.5'].map((scale) => forecastMonths(forecast, '2027-01', 2, decimal(scale)));
    const scalable = scaledQuantities(forecast);
    expect([...scalable].sort()).toEqual(['hours', 'orders', 'sales', 'subscribers', 'visits']);
    for (const [id, values] of plain?.quantities ?? [])
      values.forEach((value, month) =>
        expect(scaled?.quantities.get(id)?.[month]?.toFixed()).toBe((scalable.has(id) ? value.times('2.5') : value).toFixed()),
      );
    expect(scaled?.sales[0]?.div(plain?.sales[0] ?? 1).toFixed()).toBe('2.5');
  });

  it('lets a quantity of that name stand for subscribers', () => {
    const own = { ...forecast, drivers: { subscribers: '7', hours: { per: 'subscribers', ratio: '2' } } };
    expect(texts(forecastMonths(own, '2027-01', 1).quantities.get('hours') ?? [])).toEqual(['14']);
    expect(scaledQuantities(own).has('hours')).toBe(false);
  });
});

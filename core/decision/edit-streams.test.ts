import { describe, expect, it } from 'vitest';
import { monthsFrom } from '../calendar/month';
import { seriesValues } from '../forecast/series';
import { smallDecision } from '../tests/small-decision';
import { newStream } from './edit-forecast';
import { firstMonthSold, withChannelShares, withFirstMonth } from './edit-streams';

const months = monthsFrom('2027-01', 4);
const kites = { ...newStream('k', 'Kites'), channel: 'own-site', orders: '100', orderValue: '10' };

describe('the first month of sales', () => {
  it('is that of the horizon unless months before are set to nothing', () => {
    expect(firstMonthSold(kites, months)).toBe('2027-01');
    const from = withFirstMonth(kites, '2027-03', months);
    expect(from.orders).toEqual({ start: '100', set: { '2027-01': '0', '2027-02': '0' } });
    expect(firstMonthSold(from, months)).toBe('2027-03');
  });

  it('moves without losing months that were set by hand', () => {
    const set = { ...kites, orders: { start: '100', set: { '2027-03': '40', '2027-04': '0' } } };
    const later = withFirstMonth(set, '2027-02', months);
    expect(later.orders).toEqual({ start: '100', set: { '2027-01': '0', '2027-03': '40', '2027-04': '0' } });
    expect(withFirstMonth(later, '2027-01', months).orders).toEqual(set.orders);
  });

  it('is none where nothing is sold, and can be given again', () => {
    const never = { ...kites, orders: { start: '5', set: Object.fromEntries(months.map((month) => [month, '0'])) } };
    expect(firstMonthSold(never, months)).toBeNull();
    expect(withFirstMonth(never, '2027-04', months).orders).toEqual({
      start: '5',
      set: { '2027-01': '0', '2027-02': '0', '2027-03': '0' },
    });
  });
});

describe('a stream split by where it is sold', () => {
  const decision = smallDecision({
    forecast: {
      streams: [{ ...kites, orders: { start: '100', growth: '10', add: '2', set: { '2027-02': '50' } } }, newStream('t', 'Plans')],
    },
    versions: { cautious: { streams: { k: { orders: '-30' }, t: { orders: '-1' } } }, hopeful: { orders: '5' } },
    candidates: [
      { id: 'A', label: 'A', plans: [{ plan: 'p', term: 'm', streams: ['t', 'k'] }], lift: { percent: '5', streams: ['k'] } },
      { id: 'B', label: 'B', plans: [{ plan: 'p', term: 'm' }], lift: '3' },
    ],
  });
  let next = 0;
  const split = (shares: Array<[string, string]>, of = decision) =>
    withChannelShares(
      of,
      'k',
      shares.map(([channel, percent]) => ({ channel, percent })),
      () => `n${next++}`,
    );

  it('keeps what is left over where it was; all parts together sell what it sold', () => {
    next = 0;
    const { streams } = split([
      ['marketplace', '15'],
      ['in-person', '8'],
    ]).forecast;
    expect(streams.map(({ id, channel, label }) => [id, channel, label])).toEqual([
      ['k', 'own-site', 'Kites'],
      ['n0', 'marketplace', 'Kites'],
      ['n1', 'in-person', 'Kites'],
      ['t', undefined, 'Plans'],
    ]);
    expect(streams[1]?.orders).toEqual({ start: '15', growth: '10', add: '0.3', set: { '2027-02': '7.5' } });
    const sold = streams.slice(0, 3).map(({ orders = '0' }) => seriesValues(orders, '2027-01', 4));
    const before = seriesValues(decision.forecast.streams[0]?.orders ?? '0', '2027-01', 4);
    expect(months.map((_, month) => sold.reduce((all, one) => all + Number(one[month]), 0))).toEqual(before.map(Number));
  });

  it('takes along what names it: cautious sales, what a plan handles, a lift', () => {
    next = 0;
    const { versions, candidates } = split([['marketplace', '15']]);
    expect(versions).toEqual({
      cautious: { streams: { k: { orders: '-30' }, t: { orders: '-1' }, n0: { orders: '-30' } } },
      hopeful: { orders: '5' },
    });
    expect(candidates[0]).toMatchObject({ plans: [{ streams: ['t', 'k', 'n0'] }], lift: { percent: '5', streams: ['k', 'n0'] } });
    expect(candidates[1]).toEqual(decision.candidates[1]);
  });

  it('goes over to the first channel where nothing is left over', () => {
    next = 0;
    const { streams } = split([
      ['marketplace', '60'],
      ['in-person', '40'],
    ]).forecast;
    expect(streams.map(({ id, channel }) => [id, channel])).toEqual([
      ['k', 'marketplace'],
      ['n0', 'in-person'],
      ['t', undefined],
    ]);
  });

  it('stays as it is without shares, with more than there is, and where there are no orders', () => {
    expect(split([])).toBe(decision);
    expect(split([['marketplace', '0']])).toBe(decision);
    expect(
      split([
        ['marketplace', '60'],
        ['in-person', '41'],
      ]),
    ).toBe(decision);
    const club = { ...kites, orders: undefined, subscribers: { start: '1', joins: '0', churn: '0' } };
    const clubs = { ...decision, forecast: { streams: [club] } };
    expect(split([['marketplace', '60']], clubs)).toBe(clubs);
  });
});
